import type { Metadata } from 'next';
import { orForbidden } from '@/app/orForbidden';
import { currentPerson } from '@/app/person';
import { readDoorBook } from '@/shop/doorBook/doorBook';
import { shopOf } from '@/shop/shopBook/shopBook';
import { DoorBookScreen } from '@/ui/shop/DoorBookScreen';

export const metadata: Metadata = { title: 'Door' };

export default async function DoorsPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { before } = await searchParams;
  const person = await currentPerson();
  const from = Number(before);
  return orForbidden(async () => {
    const [found, shop] = await Promise.all([
      readDoorBook(person, Number.isSafeInteger(from) && from > 0 ? { before: from } : {}),
      shopOf(),
    ]);
    return <DoorBookScreen {...found} zone={shop.zone} />;
  });
}
