import type { ReactNode } from 'react';
import { currentPerson } from '@/app/person';
import { Shell } from '@/ui/shell/Shell';

export default async function ShopLayout({ children }: { children: ReactNode }) {
  const person = await currentPerson();
  return <Shell person={person}>{children}</Shell>;
}
