import { exportAll } from '@/shop/exchange/importRows';
import type { Metadata } from 'next';
import { orForbidden } from '@/app/orForbidden';
import { currentPerson } from '@/app/person';
import { allow } from '@/shop/access/roles';
import { DataScreen } from '@/ui/shop/DataScreen';

export const metadata: Metadata = { title: 'In and out' };

export default async function DataPage() {
  const person = await currentPerson();
  return orForbidden(async () => {
    allow(person, exportAll);
    return <DataScreen />;
  });
}
