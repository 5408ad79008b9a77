import { validateSync } from 'class-validator';
import type { Db } from '@/data/database';
import { database, inTransaction } from '@/data/database';
import { setActor, takeTime, tellAsOne } from '@/data/audit';
import type { Person } from '../access/person';
import { allow, owner, type Right } from '../access/roles';
import { notWanted } from '../underWay/underWay';
import type { ImportReport, RowReport } from './dto';

const SHOWN = 200;

export const exportAll: Right = { name: 'export-all', roles: owner, summary: 'Take all data out' };

/** One row of a file, looked at. */
export interface LookedRow<T> extends RowReport {
  /** What is to be written for a new row. */
  make: T | null;
}

/** What was seen of a file: how many of each sort, those that are worth reading, and what is to be written. */
export interface Looked<T> {
  counts: ImportReport['counts'];
  shown: Record<RowReport['outcome'], RowReport[]>;
  make: T[];
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
  look: (db: Db) => Promise<Looked<T>>,
  write: (db: Db, rows: T[]) => Promise<void>,
): Promise<ImportReport> {
  allow(person, right);
  return inTransaction(database(), async (db) => {
    await setActor(db, person.id, right.name);
    await tellAsOne(db);
    await takeTime(db);
    const { counts, shown, make } = await look(db);
    const written = !dryRun && counts.wrong === 0;
    if (written) await write(db, make);
    const rows = [...shown.wrong, ...shown.new, ...shown.known].slice(0, SHOWN);
    return { written, counts, rows, more: counts.new + counts.known + counts.wrong - rows.length };
  });
}

/** So long at most is worked at rows before others have their turn. */
const SLICE_MS = 12;

/** Every row looked at, in slices: a hundred thousand rows hold nobody up. Ends when nobody waits for it any more. */
export async function inSlices<Row, T>(
  rows: Iterable<Row>,
  look: (row: Row, i: number) => LookedRow<T>,
): Promise<Looked<T>> {
  const looked: Looked<T> = {
    counts: { new: 0, known: 0, wrong: 0 },
    shown: { new: [], known: [], wrong: [] },
    make: [],
  };
  let since = performance.now();
  let i = 0;
  for (const row of rows) {
    const { make, ...report } = look(row, i++);
    const { outcome } = report;
    if (++looked.counts[outcome] <= SHOWN) looked.shown[outcome].push(report);
    if (outcome === 'new' && make !== null) looked.make.push(make);
    if (performance.now() - since < SLICE_MS) continue;
    await new Promise((next) => setImmediate(next));
    notWanted()?.throwIfAborted();
    since = performance.now();
  }
  return looked;
}

/** What a DTO class finds wrong with one row, which is flat: nothing in it is of a class of its own. */
export function rowProblems<T extends object>(type: new () => T, value: object): RowReport['problems'] {
  return validateSync(Object.assign(new type(), value)).flatMap((e) =>
    Object.values(e.constraints ?? {}).map((message) => ({ field: e.property, message })),
  );
}
