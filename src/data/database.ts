import knex, { type Knex } from 'knex';
import pg from 'pg';
import { databaseUrl } from '../environment';
import { migrationSource, newestStep } from './migrations';
import { PgClient } from './pgClient';

// Dates stay calendar dates, counts are numbers: neither may pass through the server's own zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);
pg.types.setTypeParser(pg.types.builtins.INT8, Number);
pg.types.setTypeParser(pg.types.builtins.NUMERIC, Number);

export type Db = Knex | Knex.Transaction;

const held = globalThis as { gritkeeperDatabase?: Knex };

/** Nothing that a shop asks takes so long; what takes longer waits for somebody who has gone, or for a disk that is. */
const PATIENCE_MS = {
  connect: 3000,
  pool: 10_000,
  statement: 20_000,
  lock: 8000,
  idleInTransaction: 30_000,
  answer: 25_000,
};

/**
 * A pool of connections, each of them bounded in how long it waits: to be let in, for a statement, for a row that somebody
 * holds, for an answer of a server that is frozen.
 * @param more.patient without bounds on statements, for changes of the schema
 * @param more.letInMs how long it waits to be let in, ms; the tests wait long: no time decides them
 */
export function connect(url: string, more: { max?: number; patient?: boolean; letInMs?: number } = {}): Knex {
  const { letInMs = PATIENCE_MS.connect } = more;
  const bounded = more.patient
    ? ''
    : ` -c statement_timeout=${PATIENCE_MS.statement} -c lock_timeout=${PATIENCE_MS.lock} -c idle_in_transaction_session_timeout=${PATIENCE_MS.idleInTransaction}`;
  return knex({
    client: PgClient,
    connection: {
      connectionString: url,
      application_name: 'gritkeeper',
      // Every statement here is short: compiling one takes a hundred times as long as running it.
      options: `-c jit=off${bounded}`,
      connectionTimeoutMillis: letInMs,
      ...(more.patient ? {} : { query_timeout: PATIENCE_MS.answer }),
      keepAlive: true,
    } as Knex.PgConnectionConfig,
    pool: { min: 0, max: more.max ?? 10 },
    acquireConnectionTimeout: Math.max(PATIENCE_MS.pool, letInMs),
    // A failed statement must not carry what it was given into a log.
    compileSqlOnError: false,
    // What it would say past our log is thrown as well, and logged there.
    log: { warn() {}, error() {}, debug() {}, deprecate() {} },
  });
}

/** Errors that say: somebody else was at the same rows at the same time, GK001 that they merged them. A second try sees what they did. */
const CONTENDED = new Set(['40001', '40P01', '23505', 'GK001']);
const MOST_TRIES = 5;
/** Those who met wait for different times before they try again, or they would meet again. */
const LONGEST_PAUSE_MS = 40;

/**
 * Does work in one transaction; tried anew, wholly, when it met another at the same rows (deadlock, serialisation, the same new
 * row twice): then it sees what the other wrote and refuses in its own words.
 */
export async function inTransaction<T>(db: Knex, work: (db: Knex.Transaction) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await db.transaction(work);
    } catch (error) {
      const code = (error as { code?: unknown }).code;
      if (tries >= MOST_TRIES || typeof code !== 'string' || !CONTENDED.has(code)) throw error;
      await new Promise((done) => setTimeout(done, Math.random() * LONGEST_PAUSE_MS * tries));
    }
  }
}

/** The one pool of this process, made when first needed. @throws Error when DATABASE_URL is not set */
export function database(): Knex {
  return (held.gritkeeperDatabase ??= connect(databaseUrl()));
}

/** A longer name is cut off by the database, and two texts could then go by one. */
const LONGEST_NAME = 63;

/**
 * Keeps the plan of a statement with the connection: for what is asked with every press. A name stands for one text, always.
 * @throws RangeError for a name of more than 63 characters
 */
export function prepared(name: string): Readonly<Record<string, string>> {
  if (name.length > LONGEST_NAME) throw new RangeError(`The name of a statement is too long: ${name}`);
  return { name };
}

/** The same for one statement in several shapes: each has a number of its own in this process, however it is described. */
export function preparedShapes(name: string): (shape: string) => Readonly<Record<string, string>> {
  const numbers = new Map<string, number>();
  return (shape) => {
    let number = numbers.get(shape);
    if (number === undefined) numbers.set(shape, (number = numbers.size));
    return prepared(`${name}:${number}`);
  };
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

const READY_MS = 1500;

/** Whether the database answers and has the newest schema; who does not answer within a moment and a half does not. */
export async function readiness(db: Knex): Promise<{ database: boolean; migrations: boolean }> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<'late'>((done) => (timer = setTimeout(() => done('late'), READY_MS)));
  try {
    if ((await Promise.race([db.raw('select 1'), late])) === 'late') return { database: false, migrations: false };
    const row = await Promise.race([db('schema_step').where({ name: newestStep }).first(), late]);
    return row === 'late' ? { database: false, migrations: false } : { database: true, migrations: Boolean(row) };
  } catch (error) {
    // No table of steps: a database that answers and was never set up.
    return { database: (error as { code?: string }).code === '42P01', migrations: false };
  } finally {
    clearTimeout(timer);
  }
}
