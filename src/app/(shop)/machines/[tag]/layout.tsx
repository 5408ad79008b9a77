import type { ReactNode } from 'react';
import { orNotFound } from '@/app/orNotFound';
import { machineHere } from '@/shop/machines/machines';

/** Above what is fetched piece by piece: a tag that nobody has answers 404. */
export default async function MachineLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ tag: string }>;
}) {
  await orNotFound(machineHere(decodeURIComponent((await params).tag)));
  return children;
}
