import knex, { type Knex } from 'knex';
import pg from 'pg';
import { databaseUrl } from '../environment';
import { migrationSource, newestStep } from './migrations';

// Dates stay calendar dates, counts are numbers: neither may pass through the server's own zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);
pg.types.setTypeParser(pg.types.builtins.INT8, Number);
pg.types.setTypeParser(pg.types.builtins.NUMERIC, Number);

export type Db = Knex | Knex.Transaction;

const held = globalThis as { gritkeeperDatabase?: Knex };

export function connect(url: string, max = 10): Knex {
  return knex({
    client: 'pg',
    // Every statement here is short: compiling one takes a hundred times as long as running it.
    connection: { connectionString: url, application_name: 'gritkeeper', options: '-c jit=off' },
    pool: { min: 0, max },
    acquireConnectionTimeout: 5000,
  });
}

/** The one pool of this process, made when first needed. @throws Error when DATABASE_URL is not set */
export function database(): Knex {
  return (held.gritkeeperDatabase ??= connect(databaseUrl()));
}

/**
 * Keeps the plan of a statement with the connection: for what is asked with every press. A name stands for one text, always.
 */
export function prepared(name: string): Readonly<Record<string, string>> {
  return { name };
}

type Task = () => Promise<unknown>;
type Answers<T extends readonly Task[]> = { -readonly [K in keyof T]: Awaited<ReturnType<T[K]>> };

/** Several queries: at once from the pool, one after the other inside a transaction, which has one connection. */
export async function together<const T extends readonly Task[]>(db: Db, tasks: T): Promise<Answers<T>> {
  if (!db.isTransaction) return (await Promise.all(tasks.map((task) => task()))) as Answers<T>;
  const answers: unknown[] = [];
  for (const task of tasks) answers.push(await task());
  return answers as Answers<T>;
}

const MIGRATION_LOCK = 7_204_113;

/** Brings the schema up to date; several servers may call it at once, one works and the others wait. */
export async function migrate(db: Knex): Promise<void> {
  const lock = await db.client.acquireConnection();
  try {
    await lock.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await db.migrate.latest({ migrationSource, tableName: 'schema_step', disableTransactions: false });
  } finally {
    await lock.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]);
    await db.client.releaseConnection(lock);
  }
}

/** Whether the database answers and has the newest schema. */
export async function readiness(db: Knex): Promise<{ database: boolean; migrations: boolean }> {
  try {
    await db.raw('select 1');
  } catch {
    return { database: false, migrations: false };
  }
  try {
    const row = await db('schema_step').where({ name: newestStep }).first();
    return { database: true, migrations: Boolean(row) };
  } catch {
    return { database: true, migrations: false };
  }
}
