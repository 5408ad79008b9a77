import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { openTestShop } from '../testShop.fixture';
import { parseMeterLine } from '@/core/instruments/lineProtocol';
import { knowledge } from '@/knowledge';
import type { Person } from '../access/person';
import { handBack } from '../handBack/handBack';
import { recordFindings } from '../recordFindings/recordFindings';
import { base, furnishShop, openJob, toHandBack } from '../scene.fixture';
import { endPractice, look, makePractice, measure } from './practice';

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

test('nothing waits for an answer that the bench cannot give: every check that is put forward can be looked at or read', async () => {
  const job = await openJob(person, models[K2]!, ['roll-not-turning']);
  await expect(look(person, job, { check: 'finger-turn' })).rejects.toMatchObject({ status: 404 });
  await makePractice(person, job, await base(job));
  await db('practice')
    .where({ job_id: job })
    .update({ faults: ['belt-broken'], seed: 3 });
  for (const check of knowledge.checks.filter((c) => c.kinds.includes(K2))) {
    const { seen } = await look(person, job, { check: check.id });
    const looked = check.aspects.filter((a) => !a.reading && (a.kinds?.includes(K2) ?? true)).map((a) => a.id);
    expect(seen.map((s) => s.aspect)).toEqual(looked);
  }
  // Each machine shows what its faults show as surely as they do: nearly all of twenty with a broken belt.
  let shown = 0;
  for (let seed = 1; seed <= 20; seed++) {
    await db('practice').where({ job_id: job }).update({ seed });
    const belt = (await look(person, job, { check: 'sole-plate-look' })).seen.find((s) => s.aspect === 'belt');
    if (belt?.outcome === 'belt-missing') shown++;
    // It is the machine's own: looked at again it is the same.
    expect((await look(person, job, { check: 'sole-plate-look' })).seen).toContainEqual(belt);
  }
  expect(shown).toBeGreaterThanOrEqual(17);
  expect((await look(person, job, { check: 'repair:belt-broken' })).seen).toEqual([{ aspect: 'run', outcome: 'gone' }]);
  expect((await look(person, job, { check: 'repair:tilt-switch-failed' })).seen).toEqual([
    { aspect: 'run', outcome: 'remains' },
  ]);
  for (const check of ['nonsense', 'repair:nonsense'])
    await expect(look(person, job, { check })).rejects.toMatchObject({ status: 400, fields: [{ field: 'check' }] });
});

test('practice is ended: the job is real again, and what was found in practice is taken back', async () => {
  const job = await openJob(person, models[K2]!, ['roll-not-turning']);
  await expect(endPractice(person, job, await base(job))).rejects.toMatchObject({ status: 400 });
  await makePractice(person, job, await base(job));
  await recordFindings(person, job, {
    ...(await base(job)),
    findings: [{ check: 'sole-plate-look', outcome: 'belt-missing' }],
  });
  const real = await endPractice(person, job, await base(job));
  expect(real.practice).toBe(false);
  expect(real.findings!.every((f) => f.revoked)).toBe(true);
  expect(real.proved).toEqual([]);
  await makePractice(person, job, await base(job));
  await toHandBack(person, job);
  await expect(endPractice(person, job, await base(job))).rejects.toMatchObject({
    status: 400,
    fields: [{ field: 'job', message: expect.stringContaining('in practice') as string }],
  });
});
