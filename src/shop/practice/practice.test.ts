import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { openTestShop } from '../testShop.fixture';
import { parseMeterLine } from '@/core/instruments/lineProtocol';
import { knowledge } from '@/knowledge';
import type { Person } from '../access/person';
import { handBack } from '../handBack/handBack';
import { recordFindings } from '../recordFindings/recordFindings';
import { base, furnishShop, openJob, toHandBack } from '../scene.fixture';
import { makePractice, measure } from './practice';

const K2 = 'upright-brush-motor';
let db: Knex;
let close: () => Promise<void>;
let person: Person;
let models: Record<string, number>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  ({ person, models } = await furnishShop(db));
});
afterAll(() => close());

test('faults that explain the complaint are hidden, and nobody sees them', async () => {
  const job = await openJob(person, models[K2]!, ['roll-not-turning']);
  const view = await makePractice(person, job, await base(job));
  expect(view.practice).toBe(true);
  const { faults } = await db('practice').where({ job_id: job }).first();
  const explains = (id: string) =>
    knowledge.faults.find((f) => f.id === id)!.complaints.some((c) => c.complaint === 'roll-not-turning');
  expect(faults.some(explains)).toBe(true);
  expect(JSON.stringify(view)).not.toContain('"seed"');
  await expect(makePractice(person, job, await base(job))).rejects.toMatchObject({ status: 400 });
});

test('the instruments answer in their protocol, from the hidden state', async () => {
  const job = await openJob(person, models[K2]!, ['roll-not-turning']);
  await expect(measure(person, job, { check: 'head-socket-volts' })).rejects.toMatchObject({ status: 404 });
  await makePractice(person, job, await base(job));
  await db('practice')
    .where({ job_id: job })
    .update({ faults: ['tilt-switch-failed'], seed: 5 });
  const shown = await measure(person, job, { check: 'head-socket-volts', condition: 'roll-on' });
  expect(shown.instrument).toContain('multimeter');
  const reading = parseMeterLine(shown.line.trimEnd());
  expect(reading).toMatchObject({ quantity: 'voltage' });
  expect(reading.value).toBeGreaterThan(100);
  await expect(measure(person, job, { check: 'finger-turn' })).rejects.toMatchObject({
    status: 400,
    fields: [{ field: 'condition' }],
  });
  await expect(measure(person, job, { check: 'deck-belts' })).rejects.toMatchObject({ fields: [{ field: 'check' }] });
});

test('what was found on the real machine is not mixed with practice', async () => {
  const job = await openJob(person, models[K2]!, ['rattle']);
  await recordFindings(person, job, {
    ...(await base(job)),
    findings: [{ check: 'finger-turn', outcome: 'normal-drag' }],
  });
  await expect(makePractice(person, job, await base(job))).rejects.toMatchObject({ status: 400 });
});

test('a practice job is not counted when it is handed back; what was hidden is told then', async () => {
  const job = await openJob(person, models[K2]!, ['roll-not-turning']);
  await makePractice(person, job, await base(job));
  await toHandBack(person, job);
  await handBack(person, job, { key: randomUUID(), version: (await base(job)).version, faults: [], advice: '' });
  expect(await db('job_tally').where({ kind: K2 })).toEqual([]);
  expect(await db('forecast').where({ job_id: job })).toEqual([]);
  const told = await db('timeline').where({ job_id: job, what: 'note' }).pluck('text');
  expect(told.some((t: string) => t.startsWith('Practice: hidden were'))).toBe(true);
});
