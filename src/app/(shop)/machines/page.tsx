import type { Metadata } from 'next';
import { findMachines } from '@/shop/machines/machines';
import { shopToday } from '@/shop/settings/shopToday';
import { MachineList } from '@/ui/machines/MachineList';

export const metadata: Metadata = { title: 'Machines' };

type Query = Promise<{ q?: string | string[]; page?: string | string[] }>;

export default async function MachinesPage({ searchParams }: { searchParams: Query }) {
  const { q, page } = await searchParams;
  const words = typeof q === 'string' ? q.slice(0, 200) : '';
  const at = typeof page === 'string' ? Math.max(0, Number.parseInt(page, 10) || 0) : 0;
  const [found, today] = await Promise.all([findMachines(words, at), shopToday()]);
  return <MachineList {...found} words={words} page={at} today={today} />;
}
