import { addCustomer } from '@/shop/customers/customers';
import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { findCustomers } from '@/shop/customers/customers';
import { CustomerList } from '@/ui/customers/CustomerList';

export const metadata: Metadata = { title: 'Customers' };

type Query = Promise<{ q?: string | string[]; page?: string | string[] }>;

export default async function CustomersPage({ searchParams }: { searchParams: Query }) {
  const { q, page } = await searchParams;
  const words = typeof q === 'string' ? q.slice(0, 200) : '';
  const at = typeof page === 'string' ? Math.max(0, Number.parseInt(page, 10) || 0) : 0;
  const [found, person] = await Promise.all([findCustomers(words, at), currentPerson()]);
  return <CustomerList {...found} words={words} page={at} mayAdd={may(person.role, addCustomer.spec)} />;
}
