import type { Knex } from 'knex';
import { openTestDatabase } from '@/data/testDatabase.fixture';
import { afterwardsDone } from './afterwards/afterwards';

/** A database of its own for one test file of the shop; dropped when all that goes on after an answer is done. */
export async function openTestShop(): Promise<{ db: Knex; close: () => Promise<void> }> {
  const { db, close } = await openTestDatabase();
  return {
    db,
    close: async () => {
      await afterwardsDone();
      await close();
    },
  };
}
