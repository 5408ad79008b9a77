import type { ReactNode } from 'react';
import { idNumber } from '@/app/deedRoute';
import { orNotFound } from '@/app/orNotFound';
import { customerHere } from '@/shop/customers/customers';

/** Above what is fetched piece by piece: a number that no customer has answers 404. */
export default async function CustomerLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ id: string }>;
}) {
  const { id } = await params;
  await orNotFound((async () => customerHere(idNumber('This customer')(id)))());
  return children;
}
