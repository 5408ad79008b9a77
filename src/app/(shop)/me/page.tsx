import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { me } from '@/shop/me/me';
import { shopOf } from '@/shop/shopBook/shopBook';
import { MeScreen } from '@/ui/me/MeScreen';

export const metadata: Metadata = { title: 'Your keys' };

export default async function MePage() {
  const [view, shop] = await Promise.all([me(await currentPerson()), shopOf()]);
  return <MeScreen me={view} zone={shop.zone} />;
}
