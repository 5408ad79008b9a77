import { fitWeibull } from '@/core/service/weibullFit';
import { seenParts } from '@/data/lives';
import { refreshStale } from '../plans/refreshPlans';
import { refusal, testShop } from '../scene.fixture';
import { weekMinorOf, waitingOf } from '../plans/waiting';
import { lifeOfFault, lives, takeInterval, takeLife } from './lives';

const shop = testShop();
const KIND = 'upright-shaft-belt';
const BELT = 'belt-broken';
const BELT_HERE = { fault: BELT, station: 'flat-belt', groups: ['belt'] };
const owner = () => ({ ...shop.person, role: 'owner' as const });
const DAY = 86_400_000;
const START = Date.UTC(2020, 0, 1, 9);
let customer = 0;
let next = 0;

/** A machine that came on these days with these faults; a service visit for none, a look for what nobody complained of. */
async function history(
  visits: { day: number; faults?: string[]; complaint?: string; comebackOf?: number }[],
  bought: number | null = 0,
): Promise<number[]> {
  customer ||= (
    await shop.db('customer').insert({ kind: 'household', name: 'Lodd Arrin', phone: '', address: '' }).returning('id')
  )[0].id;
  const [machine] = await shop
    .db('machine')
    .insert({
      tag: `LV-${String(++next).padStart(4, '0')}`,
      model_id: shop.models[KIND],
      customer_id: customer,
      serial: '',
      made_year: 2010,
      pets: false,
      hours_per_week: 1.5,
      purchased_on: bought === null ? null : new Date(START + bought * DAY).toISOString().slice(0, 10),
    })
    .returning('id');
  const ids: number[] = [];
  for (const v of visits) {
    const at = new Date(START + v.day * DAY);
    const [job] = await shop
      .db('job')
      .insert({
        machine_id: machine.id,
        customer_id: customer,
        stage: 'closed',
        place: 'door-shelf',
        words: '',
        visit: v.complaint ? '' : 'service',
        ending: 'repaired',
        promised_on: '2020-01-01',
        taken_in_at: at,
        closed_at: at,
        comeback_of: v.comebackOf === undefined ? null : ids[v.comebackOf],
      })
      .returning('id');
    ids.push(job.id);
    if (v.complaint) await shop.db('job_complaint').insert({ job_id: job.id, complaint: v.complaint });
    for (const fault of v.faults ?? []) await shop.db('confirmed_fault').insert({ job_id: job.id, fault });
  }
  return ids;
}
const broke = (day: number, more = {}) => ({ day, faults: [BELT], complaint: 'roll-not-turning', ...more });

test('lives are from purchase or repair to failure or to the last visit; what a look finds lies between two visits', async () => {
  await history([broke(400), { day: 500 }, { day: 700, faults: [BELT] }, { day: 800 }]);
  // Bought at a day that nobody knows: its first belt tells nothing, its second does.
  await history([broke(100), broke(350)], null);
  const seen = await seenParts(shop.db, KIND, BELT_HERE, 100);
  const days = seen.map((s) => [Math.round(s.from_days), s.to_days === null ? null : Math.round(s.to_days)]);
  expect(days.sort()).toEqual([
    [100, null],
    [100, 300],
    [250, 250],
    [400, 400],
  ]);
  expect(seen.every((s) => s.model === `Hollin ${KIND}` && !s.trade)).toBe(true);
});

test('with too few nothing is taken over, and the usual life holds', async () => {
  const life = await lifeOfFault(KIND, BELT);
  expect([life.few, life.fit?.failures]).toEqual([true, 3]);
  const refused = await refusal(takeLife(owner(), { key: crypto.randomUUID(), kind: KIND, fault: BELT, take: true }));
  expect(refused.fields[0]).toEqual({
    field: 'fault',
    message: 'Fewer than 5 failures were seen: they tell too little.',
  });
  await expect(lifeOfFault(KIND, 'pump-failed')).rejects.toMatchObject({ status: 404 });
  await expect(lives('nonsense')).rejects.toMatchObject({ status: 404 });
});

// NIST/SEMATECH e-Handbook of Statistical Methods, 8.4.1.3: ten failures and ten units whole at 500 h: 1.7208 and 606.5280. As
// the history of twenty machines, an hour for a day, it must come out of the database as it went in.
test('the published lives come out of the history as they went in', async () => {
  const FAULT = 'filter-clogged';
  for (const day of [54, 187, 216, 240, 244, 335, 361, 373, 375, 386])
    await history([{ day, faults: [FAULT], complaint: 'weak-suction' }]);
  for (let i = 0; i < 10; i++) await history([{ day: 500 }]);
  const life = await lifeOfFault(KIND, FAULT);
  // Those of the belts above were watched too, and never clogged a filter: by their own days.
  const published = await seenParts(shop.db, KIND, { fault: FAULT, station: 'pre-filter', groups: ['filter'] }, 1000);
  const own = published.filter((p) => p.to_days !== null || Math.round(p.from_days) === 500);
  const fit = fitWeibull(
    own.map((p) => ({ from: Math.round(p.from_days), to: p.to_days === null ? Infinity : Math.round(p.to_days) })),
  )!;
  expect(own).toHaveLength(20);
  expect(fit.shape).toBeCloseTo(1.7208, 3);
  expect(fit.scale).toBeCloseTo(606.528, 1);
  expect(life.fit!.failures).toBe(10);
  expect(life.band.length).toBeGreaterThan(20);
  expect(life.steps.at(-1)!.whole).toBeLessThan(life.steps[0]!.whole);
  expect(life.groups.find((g) => g.name === 'in households')).toMatchObject({ failures: 10 });
  expect(life.failureMinor).toBeGreaterThanOrEqual(life.plannedMinor);
});

test('only the owner takes an interval or a life over; then plans and prices go by it, and back', async () => {
  const FAULT = 'filter-clogged';
  const take = { key: crypto.randomUUID(), kind: KIND, fault: FAULT, take: true };
  await expect(takeLife(shop.person, take)).rejects.toMatchObject({ status: 403 });
  const kept = async () => (await lives(KIND)).faults.find((f) => f.fault === FAULT)!.own;
  const week = async () =>
    weekMinorOf(
      { item: 'pre-filter-wash', kind: KIND, lastDoneOn: '2020-01-01', hoursPerWeek: 1.5 },
      '2021-01-01',
      await waitingOf(shop.db, [KIND], { labour_minor: 6000 }),
    );
  const usual = await week();
  await takeLife(owner(), take);
  expect(await kept()).toMatchObject({ failures: 10 });
  expect(await week()).not.toBe(usual);
  await takeLife(owner(), { ...take, key: crypto.randomUUID(), take: false });
  expect([await kept(), await week()]).toEqual([null, usual]);

  const interval = { key: crypto.randomUUID(), kind: KIND, item: 'flat-belt', days: 140, why: '31 belts' };
  await expect(takeInterval(shop.person, interval)).rejects.toMatchObject({ status: 403 });
  await takeInterval(owner(), interval);
  expect((await lives(KIND)).intervals).toMatchObject([
    { item: 'flat-belt', days: 140, why: '31 belts', by: 'Tess Fennock' },
  ]);
  while ((await refreshStale()) > 0);
  expect((await lifeOfFault(KIND, BELT)).items).toContainEqual({
    item: 'flat-belt',
    label: 'New flat belt',
    days: 140,
  });
  await takeInterval(owner(), { ...interval, key: crypto.randomUUID(), days: null, hours: null });
  expect((await lives(KIND)).intervals).toEqual([]);
  const wrong = takeInterval(owner(), { ...interval, key: crypto.randomUUID(), item: 'battery-water' });
  expect((await refusal(wrong)).fields[0]!.field).toBe('item');
});

test('failures of a machine, what brings it again, and how often it comes back for the same', async () => {
  const before = await lives(KIND);
  await history([broke(0), broke(30, { comebackOf: 0 }), { day: 400 }]);
  const after = await lives(KIND);
  const roll = (v: typeof before) => v.comebacks.find((c) => c.complaint === 'roll-not-turning')!;
  expect([roll(after).often - roll(before).often, roll(after).of - roll(before).of]).toEqual([1, 2]);
  expect(roll(after).low).toBeLessThan(roll(after).often / roll(after).of);
  expect(after.machines).toBe(before.machines + 1);
  expect(after.failures.at(-1)!.failures).toBeGreaterThan(0);
  expect(after.causes.map((c) => c.fault)).toContain(BELT);
  expect(after.causes.reduce((sum, c) => sum + c.share, 0)).toBeLessThanOrEqual(1);
});

test('a belt that was renewed before it broke had lasted so long, and the next begins with it', async () => {
  const before = (await seenParts(shop.db, KIND, BELT_HERE, 100)).length;
  const [, renewed] = await history([broke(400), { day: 600 }, broke(1000), { day: 1100 }]);
  const [taken] = await history([{ day: 200 }]);
  const at = { code: 'FB-10-340', quantity: 1, why: '' };
  const fit = (job_id: number, station: string, more: object = {}) =>
    shop.db('fitted_part').insert({
      ...at,
      job_id,
      station,
      machine_id: shop.db('job').where({ id: job_id }).select('machine_id'),
      ...more,
    });
  await fit(renewed!, 'flat-belt');
  // Taken back, or somewhere else: nothing was renewed.
  await fit(taken!, 'flat-belt', { taken_back_at: new Date() });
  await fit(taken!, 'roll');
  const seen = (await seenParts(shop.db, KIND, BELT_HERE, 100)).slice(0, -before);
  const days = seen.map((s) => [Math.round(s.from_days), s.to_days === null ? null : Math.round(s.to_days)]);
  expect(days).toHaveLength(5);
  expect(days).toEqual(
    expect.arrayContaining([
      [400, 400],
      [200, null],
      [400, 400],
      [100, null],
      [200, null],
    ]),
  );
});
