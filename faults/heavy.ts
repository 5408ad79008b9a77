import { randomUUID } from 'node:crypto';
import { connect, type Socket } from 'node:net';
import sharp from 'sharp';
import { expect, Hand, sleep, type Stand } from './stand';

const PORT = 4395;
/** Somebody else’s page is there within a second; on a machine that is slow by itself within so many quiet pages. */
const LONGEST_MS = 1000;
const QUIET_PAGES = 12;

interface Heavy {
  what: string;
  method?: string;
  path: string;
  body?: string | Uint8Array;
}

/** The most that each sort of route may be asked for, as the door and the published document allow it. */
async function heaviest(stand: Stand): Promise<Heavy[]> {
  const [{ tag }] = (await stand.sql<{ tag: string }>(
    `select tag from machine join job on job.machine_id = machine.id where closed_at is null order by machine.id limit 1`,
  )) as [{ tag: string }];
  const [{ job }] = (await stand.sql<{ job: string }>(
    `select job.id as job from job join machine on machine.id = job.machine_id where tag = $1 and closed_at is null`,
    [tag],
  )) as [{ job: string }];
  // As many letters as a form takes, without a space: the hardest for the paper.
  await stand.sql('update job set words = $1 where id = $2', ['x'.repeat(20_000), job]);
  const rows = Array.from({ length: 99_000 }, (_, i) => `Customer ${i} ${'n'.repeat(120)},555 ${i}`).join('\n');
  const cards = Array.from(
    { length: 60_000 },
    (_, i) => `BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Card ${i}\r\nTEL:555 ${i}\r\nNOTE:${'n'.repeat(200)}\r\nEND:VCARD`,
  ).join('\r\n');
  const log = Array.from({ length: 380_000 }, (_, i) => `${i},${(25 - i / 1e5).toFixed(4)},2.000`).join('\n');
  const raw = { width: 7700, height: 7700, channels: 3 as const };
  const photograph = await sharp(Buffer.alloc(raw.width * raw.height * 3, 137), { raw })
    .png({ compressionLevel: 1 })
    .toBuffer();
  const complaints = ['roll-not-turning', 'roll-slow', 'weak-suction', 'squeal', 'rattle', 'burning-smell'];
  const kinds = Array.from({ length: 17 }, (_, k) => ({
    kind: `k${k}`,
    jobs: 1,
    faults: Array.from({ length: 75 }, (_, f) => ({ fault: `f${f}`, confirmed: 1 })),
  }));
  const json = (body: unknown) => JSON.stringify(body);
  return [
    {
      what: 'sign-in',
      path: '/api/sign-in',
      body: json({ signIn: 'demo', passphrase: 'x'.repeat(200), code: '1'.repeat(40) }),
    },
    {
      what: 'finding',
      path: '/api/v1/finding',
      body: json({ kind: 'upright-shaft-belt', mainsV: 120, complaints, findings: [], openedBefore: true }),
    },
    {
      what: 'finding, nonsense to the limit',
      path: '/api/v1/finding',
      body: json({ kind: 'x', mainsV: 120, complaints: [], findings: Array.from({ length: 3900 }, () => ({})) }),
    },
    {
      what: 'unknown names to the limit',
      path: '/api/v1/jobs',
      body: json(Object.fromEntries(Array.from({ length: 3900 }, (_, i) => [`k${i}`, 1]))),
    },
    { what: 'customers, CSV', path: '/api/v1/import/customers.csv', body: `name,phone\n${rows}`.slice(0, 20_000_000) },
    { what: 'customers, vCard', path: '/api/v1/import/customers.vcf', body: cards },
    {
      what: 'a discharge log',
      path: '/api/v1/gauges/pack',
      body: json({
        asks: 'log',
        cutOff: '18 V',
        rated: '2.5 Ah',
        ratedHours: '1 h',
        peukert: '1.03',
        file: log.slice(0, 11_900_000),
      }),
    },
    { what: 'a photograph', path: '/api/v1/photographs', body: new Uint8Array(photograph.subarray(0, 15_000_000)) },
    {
      what: 'another shop’s learning',
      path: '/api/v1/learning',
      body: json({
        key: randomUUID(),
        weight: 1,
        book: { form: 'grit-keeper/finder-learning/1', exportedAt: '', shop: 'x', kinds },
      }),
    },
    {
      what: 'a draft',
      method: 'PUT',
      path: '/api/v1/drafts/take-in',
      body: json({ content: { words: 'w'.repeat(99_000) } }),
    },
    { what: 'the book on paper', method: 'GET', path: `/api/v1/machines/${tag}/book.pdf` },
    { what: 'everything out', method: 'GET', path: '/api/v1/export/customers.vcf' },
    { what: 'search', method: 'GET', path: `/api/v1/search?q=${encodeURIComponent('zq '.repeat(66))}` },
    { what: 'odds', method: 'GET', path: `/api/v1/jobs/${job}/odds` },
  ];
}

/** How long a page of somebody else takes, again and again, until told to stop. @returns the longest, ms */
async function others(hand: Hand, isOver: () => boolean): Promise<number> {
  let longest = 0;
  while (!isOver()) {
    const started = performance.now();
    const page = await hand.ask('GET', '/machines');
    expect(page.status === 200, `somebody else’s page answered ${page.status}`);
    await page.text();
    longest = Math.max(longest, performance.now() - started);
    await sleep(20);
  }
  return longest;
}

/** While the worst that may be asked for is worked on, somebody else’s page comes within a second. */
export async function worstLegal(stand: Stand): Promise<string> {
  await stand.server(PORT);
  try {
    const [hand, other] = [await Hand.at(PORT), await Hand.at(PORT)];
    const all = await heaviest(stand);
    let quiet = 0;
    // Once for the caches, then what a page takes when nobody else asks for anything.
    for (let round = 0; round < 2; round++) {
      const end = Date.now() + 1500;
      quiet = await others(other, () => Date.now() > end);
    }
    const most = Math.max(LONGEST_MS, quiet * QUIET_PAGES);
    const slow: string[] = [];
    let worst = { what: 'nothing', ms: 0 };
    for (const heavy of all) {
      let isOver = false;
      const asked = Promise.all(
        [0, 1].map(async () => {
          const answer = await hand.send(heavy.method ?? 'POST', heavy.path, heavy.body);
          await answer.text();
          return answer.status;
        }),
      ).finally(() => (isOver = true));
      const [statuses, ms] = await Promise.all([asked, others(other, () => isOver)]);
      const wrong = statuses.filter((s) => s >= 500 && s !== 503);
      if (wrong.length > 0) slow.push(`${heavy.what} answered ${wrong.join()}`);
      if (ms > most) slow.push(`${heavy.what}: ${Math.round(ms)} ms`);
      if (ms > worst.ms) worst = { what: heavy.what, ms };
    }
    expect(slow.length === 0, `somebody else waited, at most ${Math.round(most)} ms are right: ${slow.join('; ')}`);
    return `${all.length} sorts, two at once each; the longest anybody waited for a page was ${Math.round(worst.ms)} ms (${worst.what}), ${Math.round(quiet)} ms when it was quiet`;
  } finally {
    await stand.killServer(PORT);
  }
}

const CONNECTIONS = 64;
const SECONDS = 4;
const BACK_MS = 5000;
/** How slow is not what is asked while all of them ask. */
const PATIENCE_MS = 240_000;

/** More hands than the shop has: answers are slow, or an honest "later", never wrong, and right after it all is as before. */
export async function tooManyHands(stand: Stand): Promise<string> {
  await stand.server(PORT);
  try {
    const hand = await Hand.at(PORT);
    const { strips } = await hand.get<{ strips: { job: number }[] }>('/api/v1/bench');
    const paths = [
      '/',
      '/api/v1/bench',
      ...strips.slice(0, 6).flatMap(({ job }) => [`/jobs/${job}/find`, `/api/v1/jobs/${job}/odds`]),
    ];
    const end = Date.now() + SECONDS * 1000;
    const tally = new Map<number, number>();
    const wrong: string[] = [];
    await Promise.all(
      Array.from({ length: CONNECTIONS }, async (_, i) => {
        for (let n = i; Date.now() < end; n++) {
          const path = paths[n % paths.length]!;
          const answer = await hand.ask('GET', path, undefined, {}, PATIENCE_MS);
          const words = await answer.text();
          tally.set(answer.status, (tally.get(answer.status) ?? 0) + 1);
          if (![200, 503, 307].includes(answer.status))
            wrong.push(`${path} answered ${answer.status}: ${words.slice(0, 400)}`);
        }
      }),
    );
    expect(wrong.length === 0, `answers: ${JSON.stringify([...tally])}; ${wrong.slice(0, 3).join('; ')}`);
    const started = Date.now();
    const page = await hand.ask('GET', '/');
    await page.text();
    const backMs = Date.now() - started;
    expect(page.status === 200 && backMs < BACK_MS, `afterwards the Bench answered ${page.status} after ${backMs} ms`);
    return `${CONNECTIONS} at once for ${SECONDS} s: ${[...tally].map(([s, n]) => `${n} × ${s}`).join(', ')}; the Bench was back after ${backMs} ms`;
  } finally {
    await stand.killServer(PORT);
  }
}

const STALLED = 60;

/** Bodies that are announced and never come, from strangers and under a made-up key: a page is there all the same. */
export async function stalledBodies(stand: Stand): Promise<string> {
  await stand.server(PORT);
  const lines: Socket[] = [];
  try {
    const hand = await Hand.at(PORT);
    const head = (path: string, length: number, cookie: string) =>
      `POST ${path} HTTP/1.1\r\nhost: 127.0.0.1:${PORT}\r\norigin: http://127.0.0.1:${PORT}\r\n${cookie}content-type: application/json\r\ncontent-length: ${length}\r\n\r\n{`;
    const made = 'cookie: gk_session=made-up\r\n';
    for (let i = 0; i < STALLED; i++)
      for (const text of [
        head('/api/sign-in', 4000, ''),
        head('/api/v1/jobs', 15_000, made),
        head('/api/v1/import/customers.csv', 9_000_000, made),
      ]) {
        const line = connect(PORT, '127.0.0.1');
        // A line that the door closes on us is what is asked for.
        line.on('error', () => line.destroy());
        line.write(text);
        lines.push(line);
      }
    await sleep(300);
    const started = performance.now();
    const page = await hand.ask('GET', '/machines');
    await page.text();
    const ms = performance.now() - started;
    expect(page.status === 200 && ms < BACK_MS, `a page answered ${page.status} after ${Math.round(ms)} ms`);
    // A file of somebody at another address has a turn, although nobody else's upload ends.
    const rows = `name,phone\n${'Nobody,1\n'.repeat(2500)}`;
    const upload = await hand.fromElsewhere('/api/v1/import/customers.csv', rows, 60_000);
    expect(upload === 200, `a file from another address was answered ${upload}`);
    const again = await Hand.at(PORT);
    expect((await again.ask('GET', '/api/v1/bench')).ok, 'nobody can sign in');
    return `${lines.length} bodies that never come: a page after ${Math.round(ms)} ms, another’s file taken, and signing in as ever`;
  } finally {
    for (const line of lines) line.destroy();
    await stand.killServer(PORT);
  }
}
