import { spawn, spawnSync } from 'node:child_process';
import pg from 'pg';
import { eventually, expect, Hand, sleep, stranger, type Stand } from './stand';

const PORT = 4396;
const READY_MS = 2500;
const END_MS = 10_000;

/** A database that takes every question and answers none: told within moments, and back by itself. */
export async function databaseFrozen(stand: Stand): Promise<string> {
  await stand.server(PORT);
  try {
    const hand = await Hand.at(PORT);
    expect((await hand.ask('GET', '/')).status === 200, 'the Bench is not there');
    stand.freezeDatabase(true);
    let readyMs = 0;
    try {
      const started = Date.now();
      const ready = await fetch(`${hand.base}/readyz`);
      readyMs = Date.now() - started;
      expect(ready.status === 503 && readyMs < READY_MS, `/readyz answered ${ready.status} after ${readyMs} ms`);
      expect((await fetch(`${hand.base}/healthz`)).ok, 'the process itself does not answer');
      // As many as there are connections, and more: each is told in the end, none hangs.
      const [{ id }] = [{ id: 1 }];
      const asked = await Promise.all(
        Array.from({ length: 14 }, () => hand.ask('POST', '/api/v1/jobs', stranger(id), {}, 60_000)),
      );
      expect(
        asked.every((a) => a.status === 503),
        `writes answered ${asked.map((a) => a.status).join()}`,
      );
    } finally {
      stand.freezeDatabase(false);
    }
    await eventually('the Bench is back', async () => (await hand.ask('GET', '/')).status === 200);
    return `/readyz said so after ${readyMs} ms, fourteen writes were told, and it came back by itself`;
  } finally {
    await stand.killServer(PORT);
  }
}

/** Asked to end, a server ends its live streams, finishes what runs, and is gone within ten seconds. */
export async function askedToEnd(stand: Stand): Promise<string> {
  await stand.server(PORT);
  const hand = await Hand.at(PORT);
  const streams = await Promise.all(
    Array.from({ length: 5 }, () => hand.ask('GET', '/api/v1/live', undefined, {}, 120_000)),
  );
  const ends = Promise.all(
    streams.map(async (s) =>
      s.text().then(
        () => true,
        () => false,
      ),
    ),
  );
  const [{ id }] = (await stand.sql<{ id: string }>(
    `select id from model where kind = 'upright-shaft-belt' limit 1`,
  )) as [{ id: string }];
  // Held up by a row that somebody holds, they are on their way for certain when the end comes.
  const held = new pg.Client({ connectionString: stand.url });
  await held.connect();
  await held.query('begin; lock table machine in access exclusive mode');
  const writes = Array.from({ length: 6 }, () => hand.ask('POST', '/api/v1/jobs', stranger(Number(id))));
  await eventually('six writes wait', async () => {
    const [{ waiting }] = (await stand.sql<{ waiting: string }>(
      `select count(*) as waiting from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock'`,
    )) as [{ waiting: string }];
    return Number(waiting) >= 6;
  });
  const ended = stand.askServerToEnd(PORT);
  await sleep(500);
  await held.query('commit');
  await held.end();
  const tookMs = await ended;
  expect(tookMs < END_MS, `it took ${tookMs} ms`);
  expect((await ends).every(Boolean), 'a live stream was cut, not ended');
  const done = await Promise.all(writes);
  expect(
    done.every((w) => w.status === 201),
    `writes on their way answered ${done.map((w) => w.status).join()}`,
  );
  return `gone after ${tookMs} ms; five live streams ended in order, six writes on their way were answered`;
}

/** Whoever keeps the server starts a dead one again and says so; asked to end, both are gone. */
export async function keptRunning(stand: Stand): Promise<string> {
  const keeper = spawn('node', ['.next/own/supervise.mjs'], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      DATABASE_URL: stand.url,
      NODE_ENV: 'production',
      GRITKEEPER_LOG: 'silent',
      HOST: '127.0.0.1',
      PORT: String(PORT),
    },
  });
  const said: Buffer[] = [];
  keeper.stdout.on('data', (piece: Buffer) => said.push(piece));
  const gone = new Promise((done) => keeper.once('exit', done));
  const childOf = () => Number(spawnSync('pgrep', ['-P', String(keeper.pid)], { encoding: 'utf8' }).stdout.trim());
  const isReady = async () => (await fetch(`http://127.0.0.1:${PORT}/readyz`)).ok;
  try {
    await eventually('ready', isReady);
    for (let round = 0; round < 2; round++) {
      const child = childOf();
      process.kill(child, 'SIGKILL');
      await eventually('another one', async () => childOf() > 0 && childOf() !== child);
      await eventually('ready again', isReady);
    }
    const lines = Buffer.concat(said).toString();
    expect(
      (lines.match(/it is started again in \d+ ms/g) ?? []).length === 2,
      `it did not say so: ${lines.slice(0, 300)}`,
    );
  } finally {
    keeper.kill('SIGTERM');
    await gone;
  }
  expect((await fetch(`http://127.0.0.1:${PORT}/healthz`).catch(() => null)) === null, 'a server was left behind');
  return 'killed twice, started again twice, said so; ended with its keeper';
}
