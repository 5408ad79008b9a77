import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { addCustomer, findCustomers } from '@/shop/customers/customers';
import { CUSTOMER_COLUMNS } from '@/shop/customers/dto';
import { readListQuery } from '@/shop/lists/dto';
import { CustomerList } from '@/ui/customers/CustomerList';

export const metadata: Metadata = { title: 'Customers' };

type Query = Promise<Record<string, string | string[] | undefined>>;

export default async function CustomersPage({ searchParams }: { searchParams: Query }) {
  const asked = readListQuery(await searchParams, CUSTOMER_COLUMNS);
  const [found, person] = await Promise.all([findCustomers(asked), currentPerson()]);
  return <CustomerList found={found} asked={asked} mayAdd={may(person.role, addCustomer.spec)} />;
}
