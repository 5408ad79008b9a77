import { randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import { connect, database, migrate } from './database';

/**
 * A database of its own for one test file, with the schema; dropped afterwards. Uses the server that
 * `./gritkeeper test` started (TEST_DATABASE_SERVER).
 */
export async function openTestDatabase(): Promise<{ db: Knex; close: () => Promise<void> }> {
  const server = process.env.TEST_DATABASE_SERVER;
  if (!server) throw new Error('Run these tests with ./gritkeeper test unit: they need its database server.');
  process.env.GRITKEEPER_SECRET ??= 'test-secret-test-secret-test-secret-0';
  const name = `gk_unit_${randomBytes(6).toString('hex')}`;
  const admin = connect(server, 2);
  await admin.raw(`create database ${name}`);
  process.env.DATABASE_URL = server.replace(/\/postgres$/, `/${name}`);
  const db = database();
  await migrate(db);
  return {
    db,
    close: async () => {
      await db.destroy();
      await admin.raw(`drop database ${name} with (force)`);
      await admin.destroy();
    },
  };
}
