import type { Knex } from 'knex';
import { jobState } from '@/data/jobState';
import type { Person } from '../access/person';
import { furnishShop, openJob } from '../scene.fixture';
import { openTestShop } from '../testShop.fixture';
import { closeFinderThreads, finderDoes, openFinderThreads } from './finderThreads';
import { foretold, oddsOf, oddsOfJob, oddsSoon } from './odds';

const K2 = 'upright-brush-motor';
let db: Knex;
let close: () => Promise<void>;
let person: Person;
let models: Record<string, number>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  ({ person, models } = await furnishShop(db));
});
afterEach(() => closeFinderThreads());
afterAll(() => close());

const asked = (more: object = {}) => ({
  kind: K2,
  mainsV: 120,
  complaints: ['roll-not-turning'],
  answers: [],
  openedBefore: false,
  droppedStations: [],
  raised: [],
  cleared: [],
  ...more,
});
const nobody = { kindJobs: 0, modelJobs: 0, lentJobs: 0, lentFaults: {}, faults: {} };

test('a thread answers what is answered here, and goes on after a question that cannot be', async () => {
  const here = await finderDoes('reckon', { asked: asked(), tallies: nobody });
  openFinderThreads(1, 'src/workers/finder.thread.fixture.mjs');
  await expect(finderDoes('reckon', { asked: asked({ complaints: ['sings'] }), tallies: nobody })).rejects.toThrow(
    'sings',
  );
  expect(await finderDoes('reckon', { asked: asked(), tallies: nobody })).toEqual(here);
  const told = await finderDoes('foretell', { asked: asked(), tallies: nobody, confirmed: ['tilt-switch-failed'] });
  expect(told.find((f) => f.fault === 'tilt-switch-failed')).toMatchObject({ was: true });
  const chance = here.assessment!.faults.find((f) => f.id === 'tilt-switch-failed')!.probability;
  expect(told.find((f) => f.fault === 'tilt-switch-failed')!.said).toBeCloseTo(chance, 12);
});

test('the event loop goes on while a thread reckons', async () => {
  openFinderThreads(1, 'src/workers/finder.thread.fixture.mjs');
  const questions = [1, 2, 3].map((age) => finderDoes('reckon', { asked: asked({ ageYears: age }), tallies: nobody }));
  let turns = 0;
  let isDone = false;
  void Promise.all(questions).then(() => (isDone = true));
  while (!isDone) {
    await new Promise((next) => setImmediate(next));
    turns++;
  }
  // Reckoned here, all three would have been one turn each at most.
  expect(turns).toBeGreaterThan(10);
});

test('what is scored in the end is what was said: the owner’s hint, the age and the state on arrival included', async () => {
  const dto = { customerDiagnosis: 'tilt-switch-failed', arrivalSigns: ['wet'] };
  const state = (await jobState(db, await openJob(person, models[K2]!, ['roll-not-turning'], dto)))!;
  const { assessment } = await oddsOfJob(state);
  const scored = await foretold(state, []);
  expect(scored.length).toBeGreaterThan(3);
  for (const { fault, said } of scored)
    expect(said).toBeCloseTo(assessment!.faults.find((f) => f.id === fault)!.probability, 12);
});

test('two benches that ask the same share one answer; what the shop learns asks anew', async () => {
  const state = (await jobState(db, await openJob(person, models[K2]!, ['squeal'])))!;
  const [one, two] = await Promise.all([oddsOfJob(state), oddsOfJob(state)]);
  expect(two).toBe(one);
  expect((await oddsSoon(state)).odds).toBe(one);
  await db('job_tally').insert({ kind: K2, model_id: models[K2], jobs: 9 });
  const learned = await oddsOfJob(state);
  expect(learned).not.toBe(one);
  expect(learned).toMatchObject({ key: one.key, assessment: { basis: { kindJobs: 9 } } });
});

test('a page gets a promise when the odds are not known yet', async () => {
  const state = (await jobState(db, await openJob(person, models[K2]!, ['rattle'], { openedBefore: true })))!;
  state.findings = [];
  state.job.customer_diagnosis = 'tilt-switch-failed';
  const { odds } = await oddsSoon(state);
  expect(odds).toBeInstanceOf(Promise);
  expect((await odds).assessment).not.toBeNull();
});

test('what fails is not kept', async () => {
  const wrong = asked({ complaints: ['sings'] });
  await expect(oddsOf(wrong, null)).rejects.toThrow('sings');
  await expect(oddsOf(wrong, null)).rejects.toThrow('sings');
});
