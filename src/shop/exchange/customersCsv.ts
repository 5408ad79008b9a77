import { allCustomers, insertCustomers, knownCustomers } from '@/data/exchange';
import type { Person } from '../access/person';
import { owner, type Right } from '../access/roles';
import { outOfPackets } from '../papers/packets';
import type { CardRow } from '../papers/readCards';
import { inPaperThread } from '../papers/paperThreads';
import { AddCustomerDto } from '../customers/dto';
import { plainCell, writeCsv } from './csv';
import type { ImportReport } from './dto';
import { importRows, inSlices, rowProblems, type LookedRow } from './importRows';
import { writtenOut } from './written';

export const takeCustomersIn: Right = {
  name: 'import-customers',
  roles: owner,
  summary: 'Take customers in from a file',
};

const COLUMNS = { needed: ['name'], allowed: ['kind', 'phone', 'email', 'address', 'standing'] } as const;
const ALL = [...COLUMNS.needed, ...COLUMNS.allowed] as const;

type Row = Record<(typeof ALL)[number], string>;

export function customersCsv(person: Person): Promise<AsyncGenerator<string>> {
  return writtenOut(person, allCustomers, (rows, isFirst) =>
    writeCsv(
      ALL,
      rows.map((c) => [c.name, c.kind, c.phone, c.email, c.address, c.standing]),
      isFirst,
    ),
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
  const packets = await inPaperThread('readCsv', { text, columns: COLUMNS });
  return importCustomers(person, () => outOfPackets(packets, plainRow), dryRun);
}

function plainRow(r: Row): CardRow {
  return {
    ...(Object.fromEntries(ALL.map((c) => [c, plainCell(r[c])])) as Row),
    kind: r.kind === '' ? 'household' : r.kind.toLowerCase(),
  };
}

/**
 * Takes customers in, from whatever file they came. Rows are numbered from 2, as below a line of names.
 * @param rows gives them from the first on, as often as it is asked
 */
export function importCustomers(person: Person, rows: () => Iterable<CardRow>, dryRun: boolean): Promise<ImportReport> {
  return importRows<CardRow>(
    person,
    takeCustomersIn,
    dryRun,
    async (db) => {
      const known = await knownCustomers(db);
      const seen = new Set<string>();
      return inSlices(rows(), (row, i): LookedRow<CardRow> => {
        const at = i + 2;
        const key = customerKey(row.name, row.phone);
        const problems = rowProblems(AddCustomerDto, { ...row, key: '00000000-0000-4000-8000-000000000000' });
        const what = [row.name, row.phone].filter(Boolean).join(', ');
        if (problems.length > 0) return { row: at, outcome: 'wrong', what, problems, make: null };
        // Two of one name and phone are two when something else tells them apart, as in a file that this shop wrote.
        const whole = JSON.stringify([key, row.kind, row.email, row.address, row.standing]);
        const isTwice = seen.has(whole);
        seen.add(whole);
        if (known.has(key) || isTwice) return { row: at, outcome: 'known', what, problems, make: null };
        return { row: at, outcome: 'new', what, problems, make: row };
      });
    },
    insertCustomers,
  );
}
