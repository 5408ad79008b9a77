import type { ReactNode } from 'react';
import { currentPerson } from '@/app/person';
import { shopOf } from '@/shop/shopBook/shopBook';
import { zoneOffsets } from '@/shop/settings/zoneOffsets';
import { Shell } from '@/ui/shell/Shell';

export default async function ShopLayout({ children }: { children: ReactNode }) {
  const person = await currentPerson();
  const { lockMinutes, zone } = await shopOf();
  return (
    <Shell person={person} lockMinutes={lockMinutes} clock={zoneOffsets(zone)}>
      {children}
    </Shell>
  );
}
