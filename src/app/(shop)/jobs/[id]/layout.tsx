import type { ReactNode } from 'react';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { stageOf } from '@/shop/odds/readJob';

/** Above what is fetched piece by piece: an address that leads nowhere answers 404, not a page that says so later. */
export default async function JobLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ id: string }>;
}) {
  const { id } = await params;
  await orNotFound((async () => stageOf(jobNumber(id)))());
  return children;
}
