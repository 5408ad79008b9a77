import type { Knex } from 'knex';
import { forecastsSince, guesses, keepForecasts } from './forecasts';
import {
  gaugeInputsOf,
  gaugeUsual,
  insertGaugeResult,
  insertPartSizes,
  partsNear,
  putGaugeUsual,
  takeBackGaugeResult,
} from './gauges';
import { insertInstrument, instruments, isInstrumentName, lockInstrument, updateInstrument } from './instruments';
import { dropOwnLife, middlePrices, ownLives, putOwnLife } from './lives';
import { countReading, deletePractice, insertPractice, practiceOf } from './practice';
import { insertLent, lentTallies, lockLent, ownTallies, tallyJob, talliesFor, weighLent } from './tallies';
import { openTestDatabase } from './testDatabase.fixture';

const KIND = 'upright-shaft-belt';
const OTHER = 'canister-power-nozzle';

let db: Knex;
let close: () => Promise<void>;
const at = { person: 0, customer: 0, model: 0, second: 0 };

beforeAll(async () => {
  ({ db, close } = await openTestDatabase());
  const id = async (table: string, row: object) => (await db(table).insert(row).returning('id'))[0].id as number;
  at.person = await id('person', { sign_in: 'ada', name: 'Ada', passphrase_hash: 'x', role: 'owner' });
  at.customer = await id('customer', { name: 'Nell Thrale' });
  const model = (name: string) => id('model', { maker: 'Ardlow', name, kind: KIND, mains_v: 120 });
  [at.model, at.second] = [await model('Stave'), await model('Quern')];
});
afterAll(() => close());

let machines = 0;
async function job(more: object = {}): Promise<number> {
  const [machine] = await db('machine')
    .insert({ tag: `GK-${String(++machines).padStart(4, '0')}`, model_id: at.model, customer_id: at.customer })
    .returning('id');
  const [row] = await db('job')
    .insert({ machine_id: machine.id, customer_id: at.customer, promised_on: '2030-01-01', ...more })
    .returning('id');
  return row.id;
}

describe('what was confirmed is counted', () => {
  test('by kind and model, many at once, and of another kind nothing', async () => {
    await Promise.all(
      Array.from({ length: 10 }, (_, i) =>
        db.transaction((t) =>
          tallyJob(t, KIND, i < 7 ? at.model : at.second, i % 2 ? ['belt-broken'] : ['belt-broken', 'bearing-rough']),
        ),
      ),
    );
    expect(await talliesFor(db, KIND, at.model)).toEqual({
      kindJobs: 10,
      modelJobs: 7,
      lentJobs: 0,
      lentFaults: {},
      faults: { 'belt-broken': { kind: 10, model: 7 }, 'bearing-rough': { kind: 5, model: 4 } },
    });
    expect(await talliesFor(db, KIND, null)).toMatchObject({ kindJobs: 10, modelJobs: 0 });
    expect(await talliesFor(db, OTHER, at.model)).toMatchObject({ kindJobs: 0, faults: {} });
    expect(await ownTallies(db)).toEqual({
      kinds: [
        {
          kind: KIND,
          jobs: 10,
          faults: [
            { fault: 'bearing-rough', confirmed: 5 },
            { fault: 'belt-broken', confirmed: 10 },
          ],
        },
      ],
    });
  });

  test('another shop’s count for as much as the owner says, and for nothing at no weight', async () => {
    const book = (jobs: number) => ({
      kinds: [{ kind: OTHER, jobs, faults: [{ fault: 'hose-split', confirmed: jobs / 2 }] }],
    });
    await insertLent(db, { shop_name: 'One', weight: 0.5, book: book(20), person_id: at.person });
    await insertLent(db, { shop_name: 'Two', weight: 0.25, book: book(8), person_id: at.person });
    expect(await talliesFor(db, OTHER, null)).toMatchObject({
      kindJobs: 0,
      lentJobs: 12,
      lentFaults: { 'hose-split': 6 },
    });
    const [one, two] = await lentTallies(db);
    await weighLent(db, one!.id, 0);
    expect(await talliesFor(db, OTHER, null)).toMatchObject({ lentJobs: 2, lentFaults: { 'hose-split': 1 } });
    await weighLent(db, two!.id, 0);
    expect(await talliesFor(db, OTHER, null)).toMatchObject({ lentJobs: 0, lentFaults: {} });
    expect((await db.transaction((t) => lockLent(t, one!.id)))!.version).toBe(2);
  });
});

describe('what was said before it was known', () => {
  test('is kept once for each fault of a job, the last word of it, and read from the oldest of the newest', async () => {
    const [first, second] = [await job(), await job()];
    await keepForecasts(db, first, [{ fault: 'belt-broken', said: 0.4, was: false }]);
    await keepForecasts(db, first, [{ fault: 'belt-broken', said: 0.7, was: true }]);
    await db('forecast')
      .where({ job_id: first })
      .update({ at: db.raw("now() - interval '1 day'") });
    await keepForecasts(db, second, [{ fault: 'bearing-rough', said: 0.1, was: false }]);
    await keepForecasts(db, second, []);
    expect((await forecastsSince(db, 9)).map((f) => [f.job_id, f.said, f.was])).toEqual([
      [first, 0.7, true],
      [second, 0.1, false],
    ]);
    expect((await forecastsSince(db, 1)).map((f) => f.job_id)).toEqual([second]);
  });

  test('an owner’s own idea was right when it is among what was confirmed; a job that is open says nothing', async () => {
    const done = { stage: 'closed', closed_at: new Date(), customer_diagnosis: 'belt-broken' };
    const [right, wrong] = [await job(done), await job(done)];
    await job({ customer_diagnosis: 'belt-broken' });
    await job({ stage: 'closed', closed_at: new Date() });
    await db('confirmed_fault').insert([
      { job_id: right, fault: 'bearing-rough' },
      { job_id: right, fault: 'belt-broken' },
      { job_id: wrong, fault: 'bearing-rough' },
    ]);
    expect(await guesses(db)).toEqual({ made: 2, right: 1 });
  });
});

describe('gauges', () => {
  test('a kept result gives back what it was reckoned from, its files with it, until it is taken back, once', async () => {
    const [mine, other] = [await job(), await job()];
    await insertGaugeResult(
      db,
      {
        job_id: mine,
        gauge: 'battery',
        method_version: 1,
        inputs: { cells: 6 },
        answer: { wh: 40 },
        person_id: at.person,
      },
      { log: '0,25.2,2\n' },
    );
    const [{ id }] = await db('gauge_result').where({ job_id: mine }).select('id');
    expect(await gaugeInputsOf(db, mine, id)).toEqual({ gauge: 'battery', inputs: { cells: 6, log: '0,25.2,2\n' } });
    expect(await gaugeInputsOf(db, other, id)).toBeUndefined();
    expect(await takeBackGaugeResult(db, other, id)).toBe(false);
    expect([await takeBackGaugeResult(db, mine, id), await takeBackGaugeResult(db, mine, id)]).toEqual([true, false]);
    expect(await gaugeInputsOf(db, mine, id)).toBeUndefined();
  });

  test('what the shop usually types is one for each gauge', async () => {
    await putGaugeUsual(db, 'supply', { mains: '120' });
    await putGaugeUsual(db, 'supply', { mains: '230' });
    await putGaugeUsual(db, 'belt', { brand: '' });
    expect(await gaugeUsual(db)).toEqual({ supply: { mains: '230' }, belt: { brand: '' } });
  });

  test('parts near a size come nearest first, within the bound and of their group alone', async () => {
    const part = (code: string, group: string) => ({
      code,
      label: code,
      part_group: group,
      price_minor: 500,
      stock: 1,
    });
    await db('part').insert([part('B1', 'belt'), part('B2', 'belt'), part('B3', 'belt'), part('R1', 'roll')]);
    await insertPartSizes(db, [
      { code: 'B1', name: 'length', mm: 320 },
      { code: 'B1', name: 'width', mm: 12 },
      { code: 'B2', name: 'length', mm: 323 },
      { code: 'B3', name: 'length', mm: 340 },
      { code: 'R1', name: 'length', mm: 322 },
    ]);
    await insertPartSizes(db, []);
    const near = await partsNear(db, 'belt', { name: 'length', mm: 322, withinMm: 4 }, 9);
    expect(near.map((p) => [p.code, p.sizes])).toEqual([
      ['B2', { length: 323 }],
      ['B1', { length: 320, width: 12 }],
    ]);
    expect(await partsNear(db, 'belt', { name: 'length', mm: 322, withinMm: 4 }, 1)).toHaveLength(1);
    expect(await partsNear(db, 'belt', { name: 'width', mm: 322, withinMm: 4 }, 9)).toEqual([]);
  });
});

test('a practice counts its readings, many at once, and is gone when it is ended', async () => {
  const id = await job();
  expect(await countReading(db, id)).toBeUndefined();
  await insertPractice(db, { job_id: id, faults: ['belt-broken'], seed: 7 });
  const before = await Promise.all(Array.from({ length: 8 }, () => countReading(db, id)));
  expect([...before].sort((a, b) => a! - b!)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
  expect(await practiceOf(db, id)).toMatchObject({ faults: ['belt-broken'], seed: 7, readings: 8 });
  await deletePractice(db, id);
  expect(await practiceOf(db, id)).toBeUndefined();
});

test('instruments: those in use first, names are one however they are written, numbers come as numbers', async () => {
  const row = {
    measures: 'insulation',
    good_to_percent: 2.5,
    calibrated_on: '2029-03-04',
    every_months: 12,
    certificate: '',
    note: '',
    out_of_use: false,
  };
  const tester = await insertInstrument(db, { ...row, name: 'Tester' });
  await insertInstrument(db, { ...row, name: 'Anemometer', good_to_percent: null, out_of_use: true });
  await insertInstrument(db, { ...row, name: 'Bench meter' });
  expect((await instruments(db)).map((i) => [i.name, i.good_to_percent])).toEqual([
    ['Bench meter', 2.5],
    ['Tester', 2.5],
    ['Anemometer', null],
  ]);
  expect([await isInstrumentName(db, 'TESTER', null), await isInstrumentName(db, 'tester', tester)]).toEqual([
    true,
    false,
  ]);
  await updateInstrument(db, tester, { ...row, name: 'Tester', calibrated_on: null });
  expect(await db.transaction((t) => lockInstrument(t, tester))).toMatchObject({ version: 2, calibrated_on: null });
  expect(await db.transaction((t) => lockInstrument(t, tester + 99))).toBeUndefined();
});

test('a life of the shop’s own takes the place of the one before it, for its kind and fault', async () => {
  const life = {
    kind: KIND,
    fault: 'belt-broken',
    shape: 2,
    scale_years: 3,
    failures: 9,
    still_whole: 4,
    person_id: at.person,
  };
  await putOwnLife(db, life);
  await putOwnLife(db, { ...life, scale_years: 4 });
  await putOwnLife(db, { ...life, kind: OTHER });
  expect((await ownLives(db, KIND)).map((l) => l.scale_years)).toEqual([4]);
  expect(await ownLives(db)).toHaveLength(2);
  await dropOwnLife(db, KIND, 'belt-broken');
  expect((await ownLives(db)).map((l) => l.kind)).toEqual([OTHER]);
});

test('the price in the middle is one that is asked, the dearer of two, by kind and group', async () => {
  const prices: [string, number][] = [
    ['M1', 300],
    ['M2', 900],
    ['M3', 500],
    ['N1', 100],
    ['N2', 200],
  ];
  await db('part').insert(
    prices.map(([code, price_minor]) => ({
      code,
      label: code,
      part_group: code.startsWith('M') ? 'filter' : 'cord',
      price_minor,
      stock: 0,
    })),
  );
  await db('part_station').insert(prices.map(([code]) => ({ code, kind: KIND, station: 'x' })));
  const told = Object.fromEntries((await middlePrices(db, [KIND])).map((p) => [p.part_group, p.price_minor]));
  expect(told).toMatchObject({ filter: 500, cord: 200 });
  expect(await middlePrices(db, [OTHER])).toEqual([]);
});
