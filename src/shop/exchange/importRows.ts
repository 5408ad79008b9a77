import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { Db } from '@/data/database';
import { database, inTransaction } from '@/data/database';
import { setActor, tellAsOne } from '@/data/audit';
import type { Person } from '../access/person';
import { allow, owner, type Right } from '../access/roles';
import { notWanted } from '../work/work';
import type { ImportReport, RowReport } from './dto';

const SHOWN = 200;

export const exportAll: Right = { name: 'export-all', roles: owner, summary: 'Take all data out' };

/** One row of a file, looked at. */
export interface LookedRow<T> extends RowReport {
  /** What is to be written for a new row. */
  make: T | null;
}

/**
 * Takes rows in: all of them or none. A dry run looks at every row and writes nothing.
 * @param look tells of every row what it is; called inside the transaction that writes
 * @param write puts the new rows in
 */
export async function importRows<T>(
  person: Person,
  right: Right,
  dryRun: boolean,
  look: (db: Db) => Promise<LookedRow<T>[]>,
  write: (db: Db, rows: T[]) => Promise<void>,
): Promise<ImportReport> {
  allow(person, right);
  return inTransaction(database(), async (db) => {
    await setActor(db, person.id, right.name);
    await tellAsOne(db);
    const looked = await look(db);
    const counts = { new: 0, known: 0, wrong: 0 };
    for (const r of looked) counts[r.outcome]++;
    const written = !dryRun && counts.wrong === 0;
    if (written)
      await write(
        db,
        looked.flatMap((r) => (r.outcome === 'new' && r.make !== null ? [r.make] : [])),
      );
    const order = { wrong: 0, new: 1, known: 2 };
    const rows = looked
      .map(({ row, outcome, what, problems }) => ({ row, outcome, what, problems }))
      .sort((a, b) => order[a.outcome] - order[b.outcome] || a.row - b.row);
    return { written, counts, rows: rows.slice(0, SHOWN), more: Math.max(0, rows.length - SHOWN) };
  });
}

/** So long at most is worked at rows before others have their turn. */
const SLICE_MS = 12;

/** Every row looked at, in slices: a hundred thousand rows hold nobody up. Ends when nobody waits for it any more. */
export async function inSlices<Row, Made>(rows: readonly Row[], look: (row: Row, i: number) => Made): Promise<Made[]> {
  const made: Made[] = [];
  let since = performance.now();
  for (const [i, row] of rows.entries()) {
    made.push(look(row, i));
    if (performance.now() - since < SLICE_MS) continue;
    await new Promise((next) => setImmediate(next));
    notWanted()?.throwIfAborted();
    since = performance.now();
  }
  return made;
}

/** What a DTO class finds wrong with one row. */
export function rowProblems<T extends object>(type: ClassConstructor<T>, value: object): RowReport['problems'] {
  return validateSync(plainToInstance(type, value)).flatMap((e) =>
    Object.values(e.constraints ?? {}).map((message) => ({ field: e.property, message })),
  );
}
