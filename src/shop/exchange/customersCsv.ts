import { allCustomers, insertCustomers, knownCustomers } from '@/data/exchange';
import { database } from '@/data/database';
import type { Person } from '../access/person';
import { allow, owner, type Right } from '../access/roles';
import { inPaperThread } from '../papers/paperThreads';
import { AddCustomerDto } from '../customers/dto';
import { plainCell, writeCsv } from './csv';
import type { ImportReport } from './dto';
import { exportAll, importRows, inSlices, rowProblems, type LookedRow } from './importRows';

export const takeCustomersIn: Right = {
  name: 'import-customers',
  roles: owner,
  summary: 'Take customers in from a file',
};

const COLUMNS = { needed: ['name'], allowed: ['kind', 'phone', 'email', 'address', 'standing'] } as const;
const ALL = [...COLUMNS.needed, ...COLUMNS.allowed] as const;

/** A customer as a file has them. */
export interface CustomerIn {
  name: string;
  kind: string;
  phone: string;
  email: string;
  address: string;
  standing: string;
}

export async function customersCsv(person: Person): Promise<string> {
  allow(person, exportAll);
  const rows = await allCustomers(database());
  return writeCsv(
    ALL,
    rows.map((c) => [c.name, c.kind, c.phone, c.email, c.address, c.standing]),
  );
}

/** Who a customer is, for telling whether they are known: the name and the digits of the phone. */
export function customerKey(name: string, phone: string): string {
  return `${name.trim().toLowerCase()}|${phone.replace(/\D/g, '')}`;
}

/**
 * Takes customers in from CSV. One who is known by name and phone is left as they are.
 * @throws ProblemError 400 for a file that cannot be read, 403
 */
export async function importCustomersCsv(person: Person, text: string, dryRun: boolean): Promise<ImportReport> {
  const read = (await inPaperThread('readCsv', { text, columns: COLUMNS })) as Record<(typeof ALL)[number], string>[];
  const rows = read.map((r) => ({
    ...(Object.fromEntries(ALL.map((c) => [c, plainCell(r[c])])) as Record<(typeof ALL)[number], string>),
    kind: r.kind === '' ? 'household' : r.kind.toLowerCase(),
  }));
  return importCustomers(person, rows, dryRun);
}

/** Takes customers in, from whatever file they came. Rows are numbered from 2, as below a line of names. */
export function importCustomers(person: Person, rows: CustomerIn[], dryRun: boolean): Promise<ImportReport> {
  return importRows<CustomerIn>(
    person,
    takeCustomersIn,
    dryRun,
    async (db) => {
      const known = await knownCustomers(db);
      const seen = new Map<string, number>();
      return inSlices(rows, (row, i): LookedRow<CustomerIn> => {
        const at = i + 2;
        const key = customerKey(row.name, row.phone);
        const problems = rowProblems(AddCustomerDto, { ...row, key: '00000000-0000-4000-8000-000000000000' });
        const twin = seen.get(key);
        if (twin !== undefined) problems.push({ field: 'name', message: `The same as row ${twin}.` });
        seen.set(key, at);
        const what = [row.name, row.phone].filter(Boolean).join(', ');
        if (problems.length > 0) return { row: at, outcome: 'wrong', what, problems, make: null };
        if (known.has(key)) return { row: at, outcome: 'known', what, problems, make: null };
        return { row: at, outcome: 'new', what, problems, make: row };
      });
    },
    insertCustomers,
  );
}
