import type { Metadata } from 'next';
import { findCustomers } from '@/shop/customers/customers';
import { findMachines } from '@/shop/machines/machines';
import { shopToday } from '@/shop/settings/shopToday';
import { MachineList } from '@/ui/machines/MachineList';

export const metadata: Metadata = { title: 'Machines' };

type Query = Promise<{ q?: string | string[]; page?: string | string[] }>;

export default async function MachinesPage({ searchParams }: { searchParams: Query }) {
  const { q, page } = await searchParams;
  const words = typeof q === 'string' ? q.slice(0, 200) : '';
  const at = typeof page === 'string' ? Math.max(0, Number.parseInt(page, 10) || 0) : 0;
  const [found, today, customers] = await Promise.all([
    findMachines(words, at),
    shopToday(),
    words.trim() && at === 0 ? findCustomers(words) : { rows: [] },
  ]);
  return <MachineList {...found} customers={customers.rows.slice(0, 8)} words={words} page={at} today={today} />;
}
