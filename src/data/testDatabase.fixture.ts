import { createHash, randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import { connect, migrate } from './database';
import { steps } from './migrations';

const TEMPLATE_LOCK = 7_204_115;
/** On a slow machine a server is full for a while; that decides no test. */
const LET_IN_MS = 240_000;

/**
 * A database of its own for one test file, with the schema; dropped afterwards. Uses the server that
 * `./gritkeeper test` started (TEST_DATABASE_SERVER), and copies a template there that the first test file makes.
 */
export async function openTestDatabase(): Promise<{ db: Knex; close: () => Promise<void> }> {
  const server = process.env.TEST_DATABASE_SERVER;
  if (!server) throw new Error('Run these tests with ./gritkeeper test unit: they need its database server.');
  process.env.GRITKEEPER_SECRET ??= 'test-secret-test-secret-test-secret-0';
  const admin = connect(server, { max: 2, patient: true, letInMs: LET_IN_MS });
  const template = await readyTemplate(admin, server);
  const name = `gk_unit_${randomBytes(6).toString('hex')}`;
  await admin.raw(`create database ${name} template ${template}`);
  process.env.DATABASE_URL = addressOf(server, name);
  // The one pool of this process, made by us.
  const db = connect(addressOf(server, name), { letInMs: LET_IN_MS });
  (globalThis as { gritkeeperDatabase?: Knex }).gritkeeperDatabase = db;
  return {
    db,
    close: async () => {
      await db.destroy();
      await admin.raw(`drop database ${name} with (force)`);
      await admin.destroy();
    },
  };
}

const addressOf = (server: string, name: string) => server.replace(/\/postgres$/, `/${name}`);

/** The name of a database with the schema as the migrations make it now; one test file makes it, the others wait. */
async function readyTemplate(admin: Knex, server: string): Promise<string> {
  const hash = createHash('sha256').update(JSON.stringify(steps)).digest('hex');
  const name = `gk_template_${hash.slice(0, 12)}`;
  await admin.transaction(async (t) => {
    await t.raw('select pg_advisory_xact_lock(?)', [TEMPLATE_LOCK]);
    const there = await t('pg_database').where({ datname: name }).first('datname');
    if (there) return;
    // A database cannot be made inside a transaction: another connection makes it while this one holds the lock.
    const making = `${name}_making`;
    await admin.raw(`drop database if exists ${making} with (force)`);
    await admin.raw(`create database ${making}`);
    const db = connect(addressOf(server, making), { max: 2, patient: true, letInMs: LET_IN_MS });
    await migrate(db);
    await db.destroy();
    await admin.raw(`alter database ${making} rename to ${name}`);
  });
  return name;
}
