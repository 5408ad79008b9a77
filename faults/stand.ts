import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import pg from 'pg';

/** Runs the script that keeps the cluster; its words on failure are the error. */
function cluster(...args: string[]): string {
  const run = spawnSync('scripts/faults.sh', args, { encoding: 'utf8' });
  if (run.status !== 0) throw new Error(`scripts/faults.sh ${args.join(' ')}: ${run.stderr}`);
  return run.stdout.trim();
}

export const sleep = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** Asks again until it holds. @throws Error when it does not within `ms` */
export async function eventually<T>(
  what: string,
  ask: () => Promise<T | false | null | undefined>,
  ms = 30_000,
): Promise<T> {
  const end = Date.now() + ms;
  let last: unknown = null;
  while (Date.now() < end) {
    try {
      const got = await ask();
      if (got) return got;
    } catch (error) {
      last = error;
    }
    await sleep(40);
  }
  throw new Error(`Did not come about: ${what}${last ? ` (${String(last)})` : ''}`);
}

export function expect(holds: boolean, what: string): asserts holds {
  if (!holds) throw new Error(what);
}

/** A database server of our own, one demonstration shop in it, and servers of the shop that may be killed. */
export class Stand {
  private constructor(
    readonly url: string,
    private readonly servers: Map<number, ChildProcess>,
  ) {}

  static async open(): Promise<Stand> {
    cluster('start');
    const admin = new pg.Client({ connectionString: cluster('url') });
    await admin.connect();
    await admin.query('drop database if exists gk_faults with (force)');
    await admin.query('create database gk_faults');
    await admin.end();
    const stand = new Stand(cluster('url').replace(/\/postgres$/, '/gk_faults'), new Map());
    for (const script of ['scripts/migrate.ts', 'scripts/demo.ts']) {
      const run = spawnSync('node', ['--import', 'tsx', script], {
        env: { ...process.env, DATABASE_URL: stand.url },
        encoding: 'utf8',
      });
      expect(run.status === 0, `${script}: ${run.stderr}`);
    }
    return stand;
  }

  /** Starts a server of the shop. @param nodeOptions such as one that sets its clock wrong */
  async server(port: number, nodeOptions = ''): Promise<void> {
    this.spawn(port, nodeOptions, 'silent', 'ignore');
    await this.ready(port);
  }

  /** A server that logs everything. @returns what it has said */
  async loudServer(port: number): Promise<() => string> {
    const child = this.spawn(port, '', 'debug', 'pipe');
    const said: Buffer[] = [];
    for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (piece: Buffer) => said.push(piece));
    await this.ready(port);
    return () => Buffer.concat(said).toString();
  }

  private async ready(port: number): Promise<void> {
    await eventually(`server on ${port} ready`, async () => (await fetch(`http://127.0.0.1:${port}/readyz`)).ok);
  }

  private spawn(port: number, nodeOptions: string, level: string, stdio: 'ignore' | 'pipe'): ChildProcess {
    const child = spawn('node', ['.next/own/door.mjs'], {
      stdio,
      env: {
        ...process.env,
        HOST: '127.0.0.1',
        PORT: String(port),
        DATABASE_URL: this.url,
        NODE_ENV: 'production',
        GRITKEEPER_LOG: level,
        NODE_OPTIONS: nodeOptions,
      },
    });
    this.servers.set(port, child);
    return child;
  }

  /** Asks a server to end, as the machine does when it is shut down. @returns milliseconds until it had */
  async askServerToEnd(port: number): Promise<number> {
    const child = this.servers.get(port)!;
    const started = Date.now();
    const ended = new Promise((done) => child.once('exit', done));
    child.kill('SIGTERM');
    await ended;
    this.servers.delete(port);
    return Date.now() - started;
  }

  /** Ends a server at once, in the middle of whatever it does. */
  async killServer(port: number): Promise<void> {
    const child = this.servers.get(port);
    if (!child) return;
    const ended = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await ended;
    this.servers.delete(port);
  }

  /** Ends the database server at once, in the middle of whatever it does. */
  killDatabase(): void {
    process.kill(Number(cluster('pid')), 'SIGKILL');
  }

  /** Stops every process of the database server where it stands, or lets them go on: it answers nothing, and is not gone. */
  freezeDatabase(frozen: boolean): void {
    const main = cluster('pid');
    const children = spawnSync('pgrep', ['-P', main], { encoding: 'utf8' }).stdout.split('\n').filter(Boolean);
    for (const pid of [main, ...children]) process.kill(Number(pid), frozen ? 'SIGSTOP' : 'SIGCONT');
  }

  stopDatabase(): void {
    cluster('stop');
  }

  async startDatabase(): Promise<void> {
    // The killed server and the last of its children must be gone before another may start: until then it seems to run.
    await eventually('database started again', async () => {
      cluster('start');
      return (await this.sql('select 1')).length === 1;
    });
  }

  ownDirectory(path: string): void {
    cluster('own', path);
  }

  async sql<T extends pg.QueryResultRow>(text: string, values: unknown[] = []): Promise<T[]> {
    const client = new pg.Client({ connectionString: this.url });
    await client.connect();
    try {
      return (await client.query<T>(text, values)).rows;
    } finally {
      await client.end();
    }
  }

  /** Holds a whole table while something is done, so that nobody else can even read it. */
  async whileHeld<T>(table: string, work: () => Promise<T>): Promise<T> {
    const client = new pg.Client({ connectionString: this.url });
    await client.connect();
    try {
      await client.query(`begin; lock table ${client.escapeIdentifier(table)} in access exclusive mode`);
      return await work();
    } finally {
      await client.end();
    }
  }

  async close(): Promise<void> {
    for (const port of [...this.servers.keys()]) await this.killServer(port);
    cluster('stop');
  }
}

/** Ends what takes longer. Its clock holds it: the platform's own may be swept away while nobody else does, and then never rings. */
function within(ms: number): AbortSignal {
  const ending = new AbortController();
  setTimeout(() => ending.abort(new DOMException(`No answer within ${ms} ms.`, 'TimeoutError')), ms);
  return ending.signal;
}

/** A signed-in browser without a screen. */
export class Hand {
  private cookie = '';
  constructor(readonly base: string) {}

  static async at(port: number): Promise<Hand> {
    const hand = new Hand(`http://127.0.0.1:${port}`);
    const answer = await hand.ask('POST', '/api/sign-in', { signIn: 'demo', passphrase: 'salt marsh bench' });
    expect(answer.ok, `sign-in answered ${answer.status}`);
    hand.cookie = answer.headers.get('set-cookie')!.split(';')[0]!;
    return hand;
  }

  /** The same session at another server. */
  also(port: number): Hand {
    const other = new Hand(`http://127.0.0.1:${port}`);
    other.cookie = this.cookie;
    return other;
  }

  /** Waits half a minute at most. */
  ask(
    method: string,
    path: string,
    body?: unknown,
    more: Record<string, string> = {},
    patienceMs = 30_000,
  ): Promise<Response> {
    const raw = body instanceof Uint8Array;
    return fetch(this.base + path, {
      method,
      redirect: 'manual',
      signal: within(patienceMs),
      headers: {
        origin: this.base,
        cookie: this.cookie,
        ...(body !== undefined && !raw ? { 'content-type': 'application/json' } : {}),
        ...more,
      },
      ...(body === undefined ? {} : { body: raw ? (body as unknown as BodyInit) : JSON.stringify(body) }),
    });
  }

  /** Sends a text from another address of this machine. @returns the status, or 0 when nobody answered in time */
  fromElsewhere(path: string, text: string, patienceMs: number): Promise<number> {
    return new Promise((done, fail) => {
      const asked = request(
        this.base + path,
        {
          method: 'POST',
          localAddress: '127.0.0.2',
          timeout: patienceMs,
          headers: { origin: this.base, cookie: this.cookie, 'content-length': Buffer.byteLength(text) },
        },
        (answer) => {
          answer.resume();
          answer.on('end', () => done(answer.statusCode!));
        },
      );
      asked.on('timeout', () => {
        asked.destroy();
        done(0);
      });
      asked.on('error', fail);
      asked.end(text);
    });
  }

  /** Sends a text or bytes as they are. */
  send(method: string, path: string, text?: string | Uint8Array): Promise<Response> {
    return fetch(this.base + path, {
      method,
      redirect: 'manual',
      signal: within(240_000),
      headers: {
        origin: this.base,
        cookie: this.cookie,
        ...(text === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(text === undefined || method === 'GET' ? {} : { body: text as BodyInit }),
    });
  }

  async get<T>(path: string): Promise<T> {
    const answer = await this.ask('GET', path);
    expect(answer.ok, `${path} answered ${answer.status}`);
    return (await answer.json()) as T;
  }
}

/** A machine of a stranger over the counter, everything in it of our choosing. */
export function stranger(model: number, text = 'It squeals.', key: string = randomUUID()) {
  return {
    key,
    newMachine: { modelId: model, serial: text.slice(0, 60), pets: false, hoursPerWeek: 1.5 },
    newCustomer: {
      name: text.trim().slice(0, 200) || 'Nobody',
      kind: 'household',
      phone: text.slice(0, 40),
      email: text.slice(0, 200),
      address: text.slice(0, 400),
      standing: text.slice(0, 4000),
    },
    words: text,
    complaints: ['squeal'],
    openedBefore: true,
    openedBy: text.slice(0, 200),
    pickedUp: text.slice(0, 1000),
    arrivalSigns: ['handle'],
    accessories: [text.trim().slice(0, 80) || 'hose'],
    marks: [{ station: 'housing', text: text.trim().slice(0, 200) || 'cracked' }],
    promisedOn: '2199-01-01',
  };
}

/** What must belong to a job that is there, or the job is a half one. */
export const HALF_JOBS = `
  select job.id from job
  where (visit = '' and not exists (select 1 from job_complaint where job_id = job.id))
     or not exists (select 1 from timeline where job_id = job.id and what = 'taken-in')
  union all
  select machine.id from machine where not exists (select 1 from customer where id = machine.customer_id)
  union all
  select audit.job_id from audit where row_of = 'job' and before is null
    and not exists (select 1 from job where id::text = audit.row_id)`;

export const secretOfCheckout = () => readFileSync('.gritkeeper/secret', 'utf8');
