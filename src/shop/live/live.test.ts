import type { Knex } from 'knex';
import { listen } from '@/data/news';
import type { News } from '@/data/news';
import { openTestShop } from '../testShop.fixture';
import type { Person } from '../access/person';
import { bench } from '../bench/bench';
import { endWait } from '../endWait/endWait';
import { readJob } from '../odds/readJob';
import { machineCard } from '../machines/machines';
import { moveJob } from '../moveJob/moveJob';
import { signIn, signOut } from '../access/signIn';
import { base, furnishShop, openJob, PASSPHRASE } from '../scene.fixture';
import { startWait } from '../startWait/startWait';
import { liveEvents } from './live';
import { ringClocks, tidy } from './ringClocks';

let db: Knex;
let close: () => Promise<void>;
let person: Person;
let models: Record<string, number>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  ({ person, models } = await furnishShop(db));
});
afterAll(() => close());
const K1 = 'upright-shaft-belt';

/** Collects news until the test has seen what it waits for. */
function ear() {
  const heard: News[] = [];
  const stop = listen((n) => heard.push(n));
  const until = async (check: (news: News[]) => boolean) => {
    const end = Date.now() + 5000;
    while (!check(heard)) {
      if (Date.now() > end) throw new Error(`Not heard; only ${JSON.stringify(heard)}`);
      await new Promise((r) => setTimeout(r, 20));
    }
  };
  return { heard, stop, until };
}

test('a change at one bench is heard at the other; one that is taken back is not', async () => {
  const job = await openJob(person, models[K1]!, ['squeal']);
  const { heard, stop, until } = ear();
  try {
    await until((n) => n.length > 0);
    heard.length = 0;
    await expect(moveJob(person, job, { ...(await base(job)), place: 'rack', benchNo: 9 })).rejects.toThrow();
    await moveJob(person, job, { ...(await base(job)), place: 'rack' });
    await until((n) => n.some((x) => x.job === job));
    expect(heard.every((n) => n.job === job || n.job === null)).toBe(true);
  } finally {
    stop();
  }
});

test('after the line was cut it is made again, and everybody is told that anything may have changed', async () => {
  const { heard, stop, until } = ear();
  try {
    await until((n) => n.length > 0);
    heard.length = 0;
    await db.raw(
      `select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'gritkeeper news' and datname = current_database()`,
    );
    await until((n) => n.some((x) => x.job === null && x.machine === null));
    heard.length = 0;
    const job = await openJob(person, models[K1]!, ['squeal']);
    await until((n) => n.some((x) => x.job === job));
  } finally {
    stop();
  }
});

test('who comes later hears what happened since their page was drawn, and no more', async () => {
  const { heard, stop, until } = ear();
  // A deed may be told in more than one line: all of them must have come before the next page is drawn.
  const quiet = async () => {
    let before: number;
    do {
      before = heard.length;
      await new Promise((r) => setTimeout(r, 250));
    } while (heard.length !== before);
  };
  try {
    await until((n) => n.length > 0);
    await quiet();
    const linked = Date.now();
    const first = await openJob(person, models[K1]!, ['squeal']);
    await until((n) => n.some((x) => x.job === first));
    await quiet();
    const drawn = Date.now();
    const job = await openJob(person, models[K1]!, ['squeal']);
    await until((n) => n.some((x) => x.job === job));
    const since = (at: number) => {
      const told: News[] = [];
      listen((n) => told.push(n), Date.now() - at)();
      return new Set(told.map((n) => n.job).filter((j) => j !== null));
    };
    expect(since(Date.now() + 1)).toEqual(new Set());
    expect(since(drawn)).toEqual(new Set([job]));
    expect(since(linked)).toEqual(new Set([first, job]));
    // Longer ago than anybody listened: anything may have changed.
    const told: News[] = [];
    listen((n) => told.push(n), 3_600_000)();
    expect(told).toEqual([{ machine: null, job: null }]);
  } finally {
    stop();
  }
});

test('the stream greets, tells, and ends when its reader leaves', async () => {
  const left = new AbortController();
  const reader = liveEvents(left.signal).getReader();
  const text = async () => new TextDecoder().decode((await reader.read()).value);
  expect(await text()).toContain('event: hello');
  // The link stands: from here on nothing is missed.
  expect(await text()).toContain('event: change');
  const job = await openJob(person, models[K1]!, ['squeal']);
  let seen = '';
  while (!seen.includes(`"job":${job}`)) seen += await text();
  expect(seen).toContain('event: change');
  left.abort();
  let done = false;
  while (!done) done = (await reader.read()).done;
});

test('a reader that cancels is let go without an error, and the news do not look for it', async () => {
  const stream = liveEvents(new AbortController().signal);
  const reader = stream.getReader();
  await reader.read();
  await expect(reader.cancel()).resolves.toBeUndefined();
  // Whatever happens now is written to nobody.
  await moveJob(person, await openJob(person, models[K1]!, ['rattle']), {
    key: '0b6f3c1e-9c2a-4b55-8f0e-6c1f6e1d2a01',
    version: 1,
    place: 'rack',
  });
  await expect(reader.closed).resolves.toBeUndefined();
});

test('a stream ends with its session: who has signed out, or was locked out, hears nothing more', async () => {
  const open = async () => {
    const { token } = await signIn({ signIn: 'tess', passphrase: PASSPHRASE }, { address: '', agent: '' });
    const row = await db('session').orderBy('id', 'desc').first('id');
    const reader = liveEvents(new AbortController().signal, { session: row.id, heartMs: 20 }).getReader();
    return { token, session: row.id as number, reader };
  };
  /** Read to its end. @throws Error when it does not end */
  const ends = async (reader: ReadableStreamDefaultReader<Uint8Array>) => {
    for (let i = 0; i < 500; i++) if ((await reader.read()).done) return true;
    return false;
  };
  const left = await open();
  await signOut(left.token);
  expect(await ends(left.reader)).toBe(true);
  const locked = await open();
  await db('session').where({ id: locked.session }).update({ locked_at: db.fn.now() });
  expect(await ends(locked.reader)).toBe(true);
  const stays = await open();
  for (let i = 0; i < 8; i++) expect((await stays.reader.read()).done).toBe(false);
  await stays.reader.cancel();
});

test('a wait clock rings once, on the server, whoever looks and however many servers there are', async () => {
  const job = await openJob(person, models[K1]!, ['squeal']);
  await startWait(person, job, { ...(await base(job)), kind: 'glue', what: 'seam', hours: 1 });
  expect(await ringClocks()).toBe(0);
  await db('wait')
    .where({ job_id: job })
    .update({ started_at: db.raw(`now() - interval '2 hours'`), ends_at: db.raw(`now() - interval '1 second'`) });
  const rang = await Promise.all([ringClocks(), ringClocks(), ringClocks()]);
  expect(rang.reduce((a, b) => a + b, 0)).toBe(1);
  const strip = (await bench()).strips.find((s) => s.job === job)!;
  expect(strip.wait).toMatchObject({ kind: 'glue', rang: true });
  const { timeline } = await machineCard((await readJob(job)).machine.tag);
  expect(timeline.filter((t) => t.text === 'Glue or sealant is over: seam.')).toHaveLength(1);
  await endWait(person, job, await base(job));
  expect((await bench()).strips.find((s) => s.job === job)!.wait).toBeNull();
});

test('what nobody can want any more is thrown away, and only that', async () => {
  const job = await openJob(person, models[K1]!, ['squeal']);
  const keys = await db('done_deed').count();
  await db('done_deed').insert({
    key: '00000000-0000-4000-8000-000000000001',
    person_id: person.id,
    deed: 'x',
    at: db.raw(`now() - interval '31 days'`),
  });
  const loose = {
    mime: 'image/jpeg',
    width: 1,
    height: 1,
    sha256: Buffer.alloc(32),
    bytes: Buffer.alloc(1),
    small: Buffer.alloc(1),
  };
  await db('photograph').insert([{ ...loose, at: db.raw(`now() - interval '3 days'`) }, loose]);
  const seen = (what: string, days: number) => ({ what, at: db.raw(`now() - interval '${days} days'`) });
  await db('door_event').delete();
  await db('door_event').insert([seen('long-ago', 401), seen('last-year', 399)]);
  await tidy();
  expect(await db('door_event').pluck('what')).toEqual(['last-year']);
  expect(await db('done_deed').count()).toEqual(keys);
  expect(await db('photograph')).toHaveLength(1);
  expect((await readJob(job)).id).toBe(job);
});
