import { searchCustomers } from '@/data/customers';
import { database } from '@/data/database';
import { searchMachines } from '@/data/machines';
import { listView } from '../machines/machines';
import type { SearchRow } from './dto';

const MACHINES = 10;
const CUSTOMERS = 5;

/** What the one search box finds: machines by tag, serial, owner, phone, model or words; then customers. */
export async function search(words: string): Promise<SearchRow[]> {
  if (words.trim() === '') return [];
  const db = database();
  const both = (forgiving: false | 'only') =>
    Promise.all([
      searchMachines(db, words, MACHINES, 0, { forgiving }),
      searchCustomers(db, words, CUSTOMERS, 0, { forgiving }),
    ]);
  let [machines, customers] = await both(false);
  // Typing errors are forgiven only when nothing at all answers as it was typed.
  if (machines.length + customers.length === 0) [machines, customers] = await both('only');
  return [
    ...machines.map((m) => ({ sort: 'machine' as const, ...listView(m) })),
    ...customers.map((c) => ({
      sort: 'customer' as const,
      id: c.id,
      name: c.name,
      phone: c.phone,
      machines: Number(c.machines),
      standing: c.standing,
    })),
  ];
}
