import { randomUUID } from 'node:crypto';
import { connect, type Socket } from 'node:net';
import sharp from 'sharp';
import { addressOf, operationsOf, type Document, type NamedOperation } from './document';
import { largestBody, type Known } from './largest';
import { expect, Hand, sleep, type Stand } from './stand';
import { kindById, knowledge } from '../src/knowledge';
import { arrivalSigns } from '../src/knowledge/counter';
import { shippedParts } from '../src/knowledge/parts';

const PORT = 4395;
/** Somebody else’s page is there within a second; on a machine that is slow by itself within so many quiet pages. */
const LONGEST_MS = 1000;
const QUIET_PAGES = 12;

interface Heavy {
  what: string;
  method: string;
  path: string;
  body?: string | Uint8Array;
}
interface Open {
  job: string;
  tag: string;
  kind: string;
  version: number;
}

/** A pack’s discharge, as long as a body may be. */
const log = Array.from({ length: 380_000 }, (_, i) => `${i},${(25 - i / 1e5).toFixed(4)},2.000`).join('\n');
const inputs = {
  asks: 'log',
  cutOff: '18 V',
  rated: '2.5 Ah',
  ratedHours: '1 h',
  peukert: '1.03',
  file: log.slice(0, 11_900_000),
};

/** Bodies that are heavier than the longest text in every field: they give the server the most to do. */
async function heaviest(): Promise<Record<string, string | Uint8Array>> {
  const rows = Array.from({ length: 99_000 }, (_, i) => `Customer ${i} ${'n'.repeat(120)},555 ${i}`).join('\n');
  const machines = Array.from({ length: 99_000 }, (_, i) => `Name ${i},Maker,Model ${i},S${i}`);
  const cards = Array.from(
    { length: 60_000 },
    (_, i) => `BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Card ${i}\r\nTEL:555 ${i}\r\nNOTE:${'n'.repeat(200)}\r\nEND:VCARD`,
  ).join('\r\n');
  const raw = { width: 7700, height: 7700, channels: 3 as const };
  const photograph = await sharp(Buffer.alloc(raw.width * raw.height * 3, 137), { raw })
    .png({ compressionLevel: 1 })
    .toBuffer();
  const kinds = knowledge.kinds.map((kind) => ({
    kind: kind.id,
    jobs: 1,
    faults: knowledge.faults.filter((f) => kind.id in f.kinds).map((f) => ({ fault: f.id, confirmed: 1 })),
  }));
  return {
    '/import/customers.csv': `name,phone\n${rows}`.slice(0, 20_000_000),
    '/import/machines.csv': `owner,maker,model,serial\n${machines.join('\n')}`,
    '/import/customers.vcf': cards,
    '/gauges/pack': JSON.stringify(inputs),
    '/photographs': new Uint8Array(photograph.subarray(0, 15_000_000)),
    '/learning': JSON.stringify({
      key: randomUUID(),
      weight: 1,
      book: { form: 'grit-keeper/finder-learning/1', exportedAt: '', shop: 'x', kinds },
    }),
    '/drafts/{form}': JSON.stringify({ content: { words: 'w'.repeat(99_000) } }),
  };
}

/** Bodies that are refused, but only after they were read to the end of what is allowed. */
const refused: Heavy[] = [
  {
    what: 'finding, nonsense to the limit',
    method: 'POST',
    path: '/api/v1/finding',
    body: JSON.stringify({
      kind: 'x',
      mainsV: 120,
      complaints: [],
      findings: Array.from({ length: 3900 }, () => ({})),
    }),
  },
  {
    what: 'unknown names to the limit',
    method: 'POST',
    path: '/api/v1/jobs',
    body: JSON.stringify(Object.fromEntries(Array.from({ length: 3900 }, (_, i) => [`k${i}`, 1]))),
  },
];

/** What the shop knows of a machine’s kind, under the names that the bodies use. */
function knownOf(open: Open, asked: string): Known {
  const kind = kindById(open.kind);
  const has = ({ kinds }: { kinds: string[] }) => kinds.includes(kind.id);
  const faults = knowledge.faults.filter(({ kinds }) => kind.id in kinds).map(({ id }) => id);
  const here = ({ kinds }: { kinds?: string[] }) => kinds?.includes(kind.id) ?? true;
  const checks = knowledge.checks.filter((c) => has(c) && here(c.aspects[0]!) && c.aspects[0]!.outcomes.some(here));
  const part = shippedParts.find(({ stations }) => stations[kind.id])!;
  return {
    kind: [kind.id],
    gauge: ['pack'],
    inputs: [asked === '/gauges/usual' ? { cutOff: inputs.cutOff } : inputs],
    complaints: knowledge.complaints.filter(has).map(({ id }) => id),
    customerDiagnosis: faults,
    faults,
    fault: faults,
    check: checks.map(({ id }) => id),
    outcome: checks.map(({ aspects }) => aspects[0]!.outcomes.find(here)!.id),
    station: part.stations[kind.id]!,
    value: [],
    unit: [],
    condition: [],
    cleared: knowledge.cautions.map(({ id }) => id),
    id: Array.from({ length: 60 }, (_, i) => `station-${i}`),
    after: [kind.lines[0]!.stations[0]!.id],
    droppedStations: [],
    code: [part.code],
    sizes: [{ name: 'length', mm: 300, sigmaMm: 1 }],
    benchNo: [1],
    personId: [1],
    zone: ['UTC'],
    other: [asked.startsWith('/machines') ? 'GK-0002' : 2],
    siteId: [],
    use: [],
    arrivalSigns: arrivalSigns.map(({ id }) => id),
    version: [open.version],
    mainsV: [120],
    photographs: [],
  };
}

/** One request to an operation, as large as the published document lets it be. */
function largest(
  { path, method, operation }: NamedOperation,
  document: Document,
  known: Known,
  open: Open,
  special: Record<string, string | Uint8Array>,
): Heavy {
  // Not one’s own: a passphrase that is reset ends all sessions.
  const id = path.startsWith('/jobs') ? open.job : path.startsWith('/people') ? '2' : '1';
  const places: Record<string, string> = { tag: open.tag, kind: open.kind, key: randomUUID(), form: 'take-in', id };
  const filled = (name: string) => places[name]!;
  const queries = (operation.parameters ?? [])
    .filter((p) => p.in === 'query' && p.name === 'q')
    .map(() => `?q=${encodeURIComponent('zq '.repeat(66))}`);
  return {
    what: `${method} ${path}`,
    method,
    path: addressOf(path, filled) + queries.join(''),
    body: special[path] ?? largestBody(path, operation, document, known),
  };
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

/** Live news has no end to wait for; other faults hold hundreds of such streams open. */
const NEVER_ENDS = '/live';

/** While the worst that may be asked of any route is worked on, somebody else’s page comes within a second. */
export async function worstLegal(stand: Stand): Promise<string> {
  await stand.server(PORT);
  try {
    const other = await Hand.at(PORT);
    let hand = await Hand.at(PORT);
    const document = await hand.get<Document>('/api/v1/openapi.json');
    const opens = await stand.sql<Open>(
      `select job.id as job, tag, kind, job.version from job join machine on machine.id = machine_id
       join model on model.id = model_id where closed_at is null order by job.id`,
    );
    // As many letters as a form takes, without a space: the hardest for the paper.
    await stand.sql('update job set words = $1', ['x'.repeat(20_000)]);
    const special = await heaviest();
    const operations = operationsOf(document).filter(({ path }) => path !== NEVER_ENDS);
    const strange = Object.keys(special).filter((path) => !operations.some((o) => o.path === path));
    expect(strange.length === 0, `the document does not name ${strange.join()}`);
    let quiet = 0;
    // Once for the caches, then what a page takes when nobody else asks for anything.
    for (let round = 0; round < 2; round++) {
      const end = Date.now() + 1500;
      quiet = await others(other, () => Date.now() > end);
    }
    const most = Math.max(LONGEST_MS, quiet * QUIET_PAGES);
    const slow: string[] = [];
    const sorts = new Map<string, number>();
    let worst = { what: 'nothing', ms: 0 };
    for (const [n, asked] of [...operations, ...refused].entries()) {
      const two = await Promise.all(
        [0, 1].map(async (i) => {
          if (!('operation' in asked)) return asked;
          const open = opens[(2 * n + i) % opens.length]!;
          const [now] = await stand.sql<Open>('select version from job where id = $1', [open.job]);
          const version = asked.path.startsWith('/jobs') ? now!.version : 1;
          return largest(asked, document, knownOf({ ...open, version }, asked.path), open, special);
        }),
      );
      let isOver = false;
      const answers = Promise.all(
        two.map(async ({ method, path, body }) => {
          const answer = await hand.send(method, path, body);
          const text = await answer.text();
          return { status: answer.status, text };
        }),
      ).finally(() => (isOver = true));
      const [done, ms] = await Promise.all([answers, others(other, () => isOver)]);
      const { what } = two[0]!;
      for (const { status, text } of done) {
        const sort = status < 400 ? 'taken' : status === 503 ? 'told to come later' : 'refused';
        sorts.set(sort, (sorts.get(sort) ?? 0) + 1);
        if (status >= 500 && status !== 503) slow.push(`${what} answered ${status}`);
        if (status >= 400 && process.env.GRITKEEPER_TOLD) console.log(`    ${what}: ${status} ${text.slice(0, 300)}`);
        // A screen that was locked, a session that was ended, a passphrase that is new: such deeds are among them.
        if (status === 401 || status === 423) hand = await Hand.at(PORT);
      }
      if (ms > most) slow.push(`${what}: ${Math.round(ms)} ms`);
      if (ms > worst.ms) worst = { what, ms };
    }
    expect(slow.length === 0, `somebody else waited, at most ${Math.round(most)} ms are right: ${slow.join('; ')}`);
    expect(
      (sorts.get('taken') ?? 0) >= operations.length,
      `too few were taken to be the worst: ${JSON.stringify([...sorts])}`,
    );
    const said = [...sorts].map(([sort, count]) => `${count} ${sort}`).join(', ');
    return `${operations.length} operations, two at once of each (${said}); the longest anybody waited for a page was ${Math.round(worst.ms)} ms (${worst.what}), ${Math.round(quiet)} ms when it was quiet`;
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
