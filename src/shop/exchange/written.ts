import type { Knex } from 'knex';
import { database } from '@/data/database';
import type { Person } from '../access/person';
import { allow } from '../access/roles';
import { exportAll } from './importRows';

/**
 * All rows as text, piece by piece, as they stood when it began: no more than a page is held, and nobody waits for the whole.
 * @param pages of rows, of one picture of the database
 * @param write a page as text; `isFirst` for the first
 * @throws ProblemError 403 before anything is written
 */
export async function writtenOut<Row>(
  person: Person,
  pages: (db: Knex.Transaction) => AsyncGenerator<Row[]>,
  write: (rows: Row[], isFirst: boolean) => string,
): Promise<AsyncGenerator<string>> {
  allow(person, exportAll);
  return pieces(await database().transaction({ isolationLevel: 'repeatable read', readOnly: true }), pages, write);
}

async function* pieces<Row>(
  db: Knex.Transaction,
  pages: (db: Knex.Transaction) => AsyncGenerator<Row[]>,
  write: (rows: Row[], isFirst: boolean) => string,
): AsyncGenerator<string> {
  try {
    let isFirst = true;
    for await (const rows of pages(db)) {
      yield write(rows, isFirst);
      isFirst = false;
    }
    if (isFirst) yield write([], true);
  } finally {
    // A reader that leaves in the middle holds no connection.
    await db.rollback();
  }
}
