import type { Knex } from 'knex';
import { openTestShop } from '../shop/testShop.fixture';
import { kindById, knowledge } from '@/knowledge';
import { bench } from '@/shop/bench/bench';
import { careSheet } from '@/shop/careSheet/careSheet';
import { seededRandom } from '@/core/diagnosis/seededRandom';
import { simulateJob } from './simulateJob';
import { writeDemoShop } from './writeDemoShop';

let db: Knex;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  await writeDemoShop(db);
});
afterAll(() => close());

const count = async (table: string) => Number((await db(table).count())[0]!.count);

test('the shop is as large as it should be, and made once', async () => {
  expect(await count('customer')).toBeGreaterThanOrEqual(40);
  expect(await count('machine')).toBeGreaterThanOrEqual(90);
  expect(Number((await db('job').whereNotNull('closed_at').count())[0]!.count)).toBeGreaterThanOrEqual(300);
  expect(await writeDemoShop(db)).toBeNull();
});

test('some nineteen machines are here, in different stages, one of them drying', async () => {
  const { strips } = await bench();
  expect(strips).toHaveLength(19);
  expect(new Set(strips.map((s) => s.stage))).toEqual(new Set(['find', 'agree', 'strip', 'fit', 'prove', 'hand-back']));
  expect(strips.filter((s) => s.wait?.kind === 'drying')).toHaveLength(1);
  for (const s of strips) expect(s.next).not.toBeNull();
});

test('history spans two years, before today, and every confirmed fault belongs to its machine’s kind', async () => {
  const { first, last } = (await db('job')
    .whereNotNull('closed_at')
    .min({ first: 'taken_in_at' })
    .max({ last: 'closed_at' })
    .first())!;
  expect(Date.now() - Date.parse(first)).toBeGreaterThan(600 * 86_400_000);
  expect(Date.parse(last)).toBeLessThan(Date.now());
  const rows = await db('confirmed_fault')
    .join('job', 'job.id', 'job_id')
    .join('machine', 'machine.id', 'machine_id')
    .join('model', 'model.id', 'model_id')
    .distinct('fault', 'model.kind');
  for (const { fault, kind } of rows)
    expect(Object.keys(knowledge.faults.find((f) => f.id === fault)!.kinds)).toContain(kind);
});

test('a past repair was made safe before it was proved: no sheet says that it is not to be used, or not mended', async () => {
  const jobs = await db('job').where({ ending: 'repaired', visit: '' }).orderBy('id').pluck('id');
  expect(jobs.length).toBeGreaterThan(300);
  for (const id of jobs.filter((_, i) => i % 6 === 0)) {
    const sheet = await careSheet(Number(id));
    expect({ id, held: sheet.notToBeUsed, open: sheet.leftOpen }).toEqual({ id, held: [], open: [] });
  }
});

// A visit without a cause teaches nothing about causes.
test('the tallies are the sum of the jobs that had a cause', async () => {
  const [jobs] = await db('job_tally').sum('jobs');
  expect(Number(jobs!.sum)).toBe(
    Number((await db('job').whereNotNull('closed_at').where({ visit: '' }).count())[0]!.count),
  );
});

test('the same is drawn from a seed, in whatever order the knowledge is written down', () => {
  const kind = kindById('upright-brush-motor');
  const drawn = () => {
    const random = seededRandom(7);
    return Array.from({ length: 20 }, () => simulateJob(random, kind, 120, 4, []));
  };
  const told = (jobs: ReturnType<typeof drawn>) =>
    jobs.map((j) => [j.faults.map((f) => f.id), [...j.complaints].sort(), j.findings, j.parts]);
  const first = told(drawn());
  const turned = (list: unknown[]) => list.reverse();
  for (const f of knowledge.faults) [f.shows, f.complaints].forEach(turned);
  const second = told(drawn());
  for (const f of knowledge.faults) [f.shows, f.complaints].forEach(turned);
  expect(second).toEqual(first);
});

test('worn-out faults come with age', () => {
  const kind = kindById('upright-brush-motor');
  const worn = (age: number) => {
    const random = seededRandom(4);
    return Array.from({ length: 400 }, () => simulateJob(random, kind, 120, age, [])).filter((j) =>
      j.faults.some((f) => (f.kinds[kind.id]!.fromAgeYears ?? 0) > 1),
    ).length;
  };
  expect(worn(9)).toBeGreaterThan(1.8 * worn(0.5));
});

test('the same seed simulates the same jobs', () => {
  const row = (seed: number) => {
    const random = seededRandom(seed);
    return Array.from({ length: 20 }, () =>
      simulateJob(random, kindById('upright-shaft-belt'), 120, 4, []).faults.map((f) => f.id),
    );
  };
  expect(row(8)).toEqual(row(8));
  expect(row(8)).not.toEqual(row(9));
});
