import type { Metadata } from 'next';
import { findCustomers } from '@/shop/customers/customers';
import { readListQuery } from '@/shop/lists/dto';
import { MACHINE_COLUMNS } from '@/shop/machines/dto';
import { findMachines } from '@/shop/machines/machines';
import { shopToday } from '@/shop/settings/shopToday';
import { MachineList } from '@/ui/machines/MachineList';

export const metadata: Metadata = { title: 'Machines' };

const MOST_CUSTOMERS = 8;
type Query = Promise<Record<string, string | string[] | undefined>>;

export default async function MachinesPage({ searchParams }: { searchParams: Query }) {
  const asked = readListQuery(await searchParams, MACHINE_COLUMNS);
  const { words } = asked;
  const [found, today, customers] = await Promise.all([
    findMachines(asked),
    shopToday(),
    words.trim() && asked.page === 0 ? findCustomers({ words }) : { rows: [] },
  ]);
  return <MachineList found={found} asked={asked} customers={customers.rows.slice(0, MOST_CUSTOMERS)} today={today} />;
}
