import type { ReactNode } from 'react';
import { currentPerson } from '@/app/person';
import { shopOf } from '@/shop/shopBook/shopBook';
import { Shell } from '@/ui/shell/Shell';

export default async function ShopLayout({ children }: { children: ReactNode }) {
  const person = await currentPerson();
  const { lockMinutes } = await shopOf();
  return (
    <Shell person={person} lockMinutes={lockMinutes}>
      {children}
    </Shell>
  );
}
