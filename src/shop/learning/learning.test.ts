import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { openTestShop } from '../testShop.fixture';
import { kindById } from '@/knowledge';
import type { Person } from '../access/person';
import { handBack } from '../handBack/handBack';
import { ProblemError } from '../problem';
import { readDto } from '../readDto';
import { recordFindings } from '../recordFindings/recordFindings';
import { base, furnishShop, openJob, toHandBack } from '../scene.fixture';
import { LEARNING_FORM, LendInDto } from './dto';
import { knowledge } from '@/knowledge';
import { forecastsOf } from '@/core/diagnosis/forecastsOf';
import { learningSchema } from './learningSchema';
import { exportLearning, learning, lendIn, weighLent } from './learning';

const K1 = 'upright-shaft-belt';
let db: Knex;
let close: () => Promise<void>;
let technician: Person;
let owner: Person;
let models: Record<string, number>;

beforeAll(async () => {
  ({ db, close } = await openTestShop());
  ({ person: technician, models } = await furnishShop(db));
  owner = { ...technician, role: 'owner' };
});
afterAll(() => close());

/** A job with a dead roll, found, repaired and handed back. */
async function finishJob(): Promise<void> {
  const job = await openJob(technician, models[K1]!, ['roll-not-turning'], {
    customerDiagnosis: 'belt-broken',
  });
  await recordFindings(technician, job, {
    ...(await base(job)),
    findings: [{ check: 'finger-turn', outcome: 'free-no-drag' }],
  });
  await recordFindings(technician, job, {
    ...(await base(job)),
    findings: [{ check: 'sole-plate-look', outcome: 'belt-missing' }],
  });
  await toHandBack(technician, job);
  await handBack(technician, job, { ...(await base(job)), faults: ['belt-broken'], advice: '' });
}

const book = (confirmed: number, jobs = 100, fault = 'belt-broken') => ({
  form: LEARNING_FORM,
  exportedAt: '2026-01-01T00:00:00Z',
  shop: 'The other bench',
  kinds: [{ kind: K1, jobs, faults: [{ fault, confirmed }] }],
});
const prior = async () =>
  (await learning(owner)).kinds.find((k) => k.kind === K1)!.faults.find((f) => f.fault === 'belt-broken')!;

test('the largest book there can be, every kind with every fault of it, is no more than a body may have', async () => {
  const kinds = knowledge.kinds.map((k) => ({
    kind: k.id,
    jobs: 10,
    faults: knowledge.faults.filter((f) => k.id in f.kinds).map((f) => ({ fault: f.id, confirmed: 1 })),
  }));
  expect(kinds.flatMap((k) => k.faults).length).toBeGreaterThan(500);
  const dto = await readDto(LendInDto, { key: randomUUID(), weight: 0, book: { ...book(1), kinds } });
  expect(dto.book.kinds).toHaveLength(knowledge.kinds.length);
});

test('handing back keeps what was said before the look that proved it', async () => {
  await finishJob();
  const said = await db('forecast').where({ fault: 'belt-broken' }).first();
  expect(said).toMatchObject({ was: true });
  // No drag says much, a missing belt would have said all.
  expect(said.said).toBeGreaterThan(0.4);
  expect(said.said).toBeLessThan(0.97);
  const seen = await learning(owner);
  expect(seen.forecasts).toBe(Number((await db('forecast').count())[0]!.count));
  expect(seen.guesses).toEqual({ made: 1, right: 1 });
  expect(seen.kinds.find((k) => k.kind === K1)!.jobs).toBe(1);
});

test('what proves is left out of the forecast, whatever else is known stays in', () => {
  const input = { kind: kindById(K1), mainsV: 120, complaints: ['roll-not-turning'] };
  const turned = { check: 'finger-turn', outcome: 'free-no-drag' };
  const plain = forecastsOf(knowledge, { ...input, answers: [turned] }, ['belt-broken']);
  const proved = forecastsOf(
    knowledge,
    { ...input, answers: [turned, { check: 'sole-plate-look', outcome: 'belt-missing' }] },
    ['belt-broken'],
  );
  expect(proved).toEqual(plain);
  expect(plain.filter((f) => f.was).map((f) => f.fault)).toEqual(['belt-broken']);
});

test('another shop’s jobs move the priors by their weight, and no more when they weigh nothing', async () => {
  const before = (await prior()).learned;
  await lendIn(owner, await readDto(LendInDto, { key: randomUUID(), weight: 1, book: book(90) }));
  const full = (await prior()).learned;
  expect(full).toBeGreaterThan(before + 0.2);
  const [lent] = (await learning(owner)).lent;
  expect(lent).toMatchObject({ shop: 'The other bench', jobs: 100, weight: 1 });
  const dto = { key: randomUUID(), version: lent!.version, weight: 0.25 };
  await weighLent(owner, lent!.id, dto);
  const quarter = (await prior()).learned;
  expect(quarter).toBeGreaterThan(before);
  expect(quarter).toBeLessThan(full);
  await weighLent(owner, lent!.id, { key: randomUUID(), version: lent!.version + 1, weight: 0 });
  expect((await prior()).learned).toBeCloseTo(before, 12);
  // Somebody who saw the first version is told.
  await expect(weighLent(owner, lent!.id, { ...dto, key: randomUUID() })).rejects.toMatchObject({ status: 409 });
});

test('what is exported can be taken in by another shop', async () => {
  const out = await exportLearning(owner);
  const ajv = new Ajv2020({ strict: true });
  addFormats(ajv);
  expect(ajv.validate(learningSchema, JSON.parse(JSON.stringify(out)))).toBe(true);
  expect(ajv.validate(learningSchema, { ...out, customers: [] })).toBe(false);
  expect(out).toMatchObject({ form: LEARNING_FORM, shop: 'Test bench', kinds: [{ kind: K1, jobs: 1 }] });
  const dto = await readDto(LendInDto, { key: randomUUID(), weight: 0.5, book: JSON.parse(JSON.stringify(out)) });
  expect(await lendIn(owner, dto)).toEqual({ shop: 'Test bench' });
});

test('a wrong file is refused field by field, and nothing of it is kept', async () => {
  const count = async () => Number((await db('lent_tally').count())[0]!.count);
  const before = await count();
  const fields = async (given: object) => {
    try {
      await lendIn(owner, await readDto(LendInDto, { key: randomUUID(), weight: 0.5, ...given }));
      return [];
    } catch (error) {
      return (error as ProblemError).fields.map((f) => f.field);
    }
  };
  expect(await fields({ book: book(5, 100, 'teapot-cracked') })).toEqual(['book.kinds[0].faults[0].fault']);
  expect(await fields({ book: book(101) })).toEqual(['book.kinds[0].faults[0].confirmed']);
  expect(await fields({ book: { ...book(1), form: 'something-else' }, weight: 2 })).toEqual(
    expect.arrayContaining(['weight', 'book.form']),
  );
  expect(await count()).toBe(before);
});

test('it is the owner’s', async () => {
  await expect(learning(technician)).rejects.toMatchObject({ status: 403 });
  await expect(exportLearning(technician)).rejects.toMatchObject({ status: 403 });
});
