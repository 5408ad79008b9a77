import { addDays } from '@/core/service/days';
import { putOwnInterval } from '@/data/plans';
import { readProposal } from './agree/readProposal';
import { amendMachine, mergeMachines } from './amendMachine/amendMachine';
import { fitPart } from './fitPart/fitPart';
import { handBack } from './handBack/handBack';
import { machineCard } from './machines/machines';
import { markRepaired } from './markRepaired/markRepaired';
import { amendModel, modelList } from './models/models';
import { noteCare } from './noteCare/noteCare';
import { readJob } from './odds/readJob';
import { operatorSheet } from './operatorSheet/operatorSheet';
import { refreshPlans, refreshStale } from './plans/refreshPlans';
import { recordMeter } from './recordMeter/recordMeter';
import { rounds } from './rounds/rounds';
import { base, newJobDto, openJob, refusal, testShop, photographed, toHandBack } from './scene.fixture';
import { serveItem } from './serveItem/serveItem';
import type { ServeItemDto } from './serveItem/dto';
import { serviceReport, serviceReportPdf } from './serviceReport/serviceReport';
import { dayInZone } from './settings/day';
import { shopOf, amendShop } from './shopBook/shopBook';
import { stripStep } from './stripStep/stripStep';
import { takeIn } from './takeIn/takeIn';
import { endWait } from './endWait/endWait';
import { moveStage } from './moveStage/moveStage';
import { recordFindings } from './recordFindings/recordFindings';
import { tickRebuild } from './tickRebuild/tickRebuild';

const shop = testShop();
const today = dayInZone(new Date(), 'UTC');
const models: Record<string, number> = {};
beforeAll(async () => {
  for (const kind of ['scrubber-walk-behind', 'scrubber-ride-on', 'upright-self-propelled']) {
    const volts = kind.startsWith('scrubber') ? 24 : 120;
    const row = { maker: 'Hollin', name: kind, kind, mains_v: volts, dropped_stations: [] };
    models[kind] = (await shop.db('model').insert(row).returning('id'))[0].id;
  }
});

const visit = async (kind: string, more: Parameters<typeof newJobDto>[2] = {}) =>
  (await takeIn(shop.person, newJobDto(models[kind] ?? shop.models[kind]!, [], { visit: 'service', ...more }))).job;
const again = async (job: number, complaints: string[] = []) => {
  const { machine, customer } = await readJob(job);
  const visit = complaints.length === 0 ? { visit: 'service' as const } : {};
  const { newMachine: _m, newCustomer: _c, ...dto } = newJobDto(0, complaints, visit);
  return (await takeIn(shop.person, { ...dto, machineId: machine.id, customerId: customer.id })).job;
};
const serve = async (job: number, item: string, more: Partial<ServeItemDto> = {}) =>
  serveItem(shop.person, job, { ...(await base(job)), item, state: 'done', ...more });
const end = async (job: number, faults: string[] = []) => {
  await toHandBack(shop.person, job);
  await handBack(shop.person, job, { ...(await base(job)), faults, advice: '', ownersWord: 'Leave it for now.' });
};
const cardOf = async (job: number) => machineCard((await readJob(job)).machine.tag);
const planOf = async (job: number, item: string) => (await cardOf(job)).plans.find((p) => p.item === item);
const readMeter = async (job: number, hours: number, daysAgo: number) => {
  await recordMeter(shop.person, job, { ...(await base(job)), hours });
  await shop
    .db('meter_reading')
    .where({ job_id: job, hours })
    .update({ at: new Date(Date.now() - daysAgo * 86_400_000) });
  await refreshPlans(shop.db, [(await readJob(job)).machine.id]);
};

test('a service that renews a part makes it new on job and card, whether the part was written down or not; taken back, it does not', async () => {
  const job = await visit('upright-shaft-belt');
  const { machine } = await readJob(job);
  await shop.db('fitted_part').insert({
    job_id: job,
    machine_id: machine.id,
    person_id: shop.person.id,
    station: 'flat-belt',
    label: 'flat belt',
    quantity: 1,
    why: '',
    at: new Date(Date.now() - 400 * 86_400_000),
  });
  const ages = async () => [
    (await readJob(job)).partAgeDays['flat-belt'],
    (await cardOf(job)).partAgeDays['flat-belt'],
  ];
  expect(await ages()).toEqual([400, 400]);
  await serve(job, 'flat-belt');
  expect((await readJob(job)).partAgeDays['flat-belt']).toBe(0);
  await serve(job, 'flat-belt', { state: '' });
  expect((await readJob(job)).partAgeDays['flat-belt']).toBe(400);
  await serve(job, 'flat-belt');
  await end(job);
  expect(await ages()).toEqual([0, 0]);
});

test('what this shop made new lately is no likelier on the next job than in a young machine, whatever the machine’s own age', async () => {
  const priors = async (job: number) => {
    const { assessment } = (await readJob(job)).odds;
    const of = (fault: string) => assessment!.faults.find((f) => f.id === fault)!.prior;
    return {
      slipping: of('belt-slipping'),
      brittle: of('belt-brittle'),
      broken: of('belt-broken'),
      motor: of('suction-motor-worn'),
      clogged: of('filter-clogged'),
    };
  };
  const job = await visit('upright-shaft-belt');
  await serve(job, 'flat-belt');
  await serve(job, 'pre-filter-new');
  await end(job);
  const { machine } = await readJob(job);
  const doneOn = (day: string) =>
    shop
      .db('plan')
      .where({ machine_id: machine.id })
      .whereIn('item', ['flat-belt', 'pre-filter-new'])
      .update({ last_done_on: day });
  await doneOn(addDays(today, -20));
  const next = await again(job, ['roll-slow']);
  const other = (await takeIn(shop.person, newJobDto(shop.models['upright-shaft-belt']!, ['roll-slow']))).job;
  for (const year of [null, 2010]) {
    const machines = [machine.id, (await readJob(other)).machine.id];
    await shop.db('machine').whereIn('id', machines).update({ made_year: year });
    const [own, usual] = [await priors(next), await priors(other)];
    expect(own.slipping).toBeLessThan(0.5 * usual.slipping);
    expect(own.brittle).toBeLessThan(0.5 * usual.brittle);
    expect(own.broken).toBeLessThan(0.5 * usual.broken);
    expect([own.motor, own.clogged]).toEqual([usual.motor, usual.clogged]);
  }

  // A belt that goes in now says nothing of why the machine came.
  const before = await priors(other);
  const belt = (await readJob(other)).parts.find((p) => p.station === 'flat-belt' && p.group === 'belt')!;
  await fitPart(shop.person, other, { ...(await base(other)), code: belt.code, station: 'flat-belt', quantity: 1 });
  expect(await priors(other)).toEqual(before);

  // After two years it may slip again, though it is not brittle yet.
  await doneOn(addDays(today, -730));
  expect(await priors(next)).toMatchObject({ slipping: before.slipping, broken: before.broken });
  expect((await priors(next)).brittle).toBeLessThan(0.5 * before.brittle);
});

test('the part that an item took is fitted and charged with it, and goes back to stock with it; what was fitted otherwise stays', async () => {
  const job = await visit('upright-shaft-belt');
  const part = (await readJob(job)).parts.find((p) => p.station === 'flat-belt' && p.group === 'belt')!;
  const stock = async () => (await shop.db('part').where({ code: part.code }).first()).stock as number;
  const fitted = async () => (await readJob(job)).fitted.map((f) => [f.code, f.station]);
  const before = await stock();
  await serve(job, 'flat-belt', { part: part.code });
  expect(await fitted()).toEqual([[part.code, 'flat-belt']]);
  expect(await stock()).toBe(before - 1);
  expect((await cardOf(job)).timeline[0]!.text).toContain(`New flat belt; ${part.label}`);
  await serve(job, 'flat-belt', { state: '' });
  expect([await fitted(), await stock()]).toEqual([[], before]);

  // Left at first, then done with its part after all: it still belongs to it.
  await serve(job, 'flat-belt', { state: 'left', words: 'None here.' });
  await serve(job, 'flat-belt', { part: part.code });
  await serve(job, 'flat-belt', { state: '' });
  expect([await fitted(), await stock()]).toEqual([[], before]);

  // Said anew: another part in its place, then none, for it was left after all.
  const other = (await readJob(job)).parts.find((p) => p.station === 'flat-belt' && p.code !== part.code)!;
  await serve(job, 'flat-belt', { part: part.code });
  await serve(job, 'flat-belt', { part: other.code });
  expect([await fitted(), await stock()]).toEqual([[[other.code, 'flat-belt']], before]);
  await serve(job, 'flat-belt', { words: 'Ran true.' });
  expect(await fitted()).toEqual([[other.code, 'flat-belt']]);
  await serve(job, 'flat-belt', { state: 'left', words: 'The old one was good.' });
  expect(await fitted()).toEqual([]);
  await serve(job, 'flat-belt', { state: '' });

  await fitPart(shop.person, job, { ...(await base(job)), code: part.code, station: 'flat-belt', quantity: 1 });
  await serve(job, 'flat-belt');
  await serve(job, 'flat-belt', { state: '' });
  expect([await fitted(), await stock()]).toEqual([[[part.code, 'flat-belt']], before - 1]);
});

test.each([
  ['a part of another item', { part: 'other' }, 'is no part for this.'],
  ['one that is on no list', { part: 'no-such-part' }, 'no-such-part is no part for this.'],
  ['with an item that is left', { part: 'own', state: 'left' as const, words: 'No time.' }, 'where the item is done'],
])('%s is refused at its field, and nothing is written', async (_, more, message) => {
  const job = await visit('upright-shaft-belt');
  const { parts, version } = await readJob(job);
  const code = parts.find((p) => (more.part === 'other') === (p.group !== 'belt'))!.code;
  const part = more.part === 'no-such-part' ? more.part : code;
  expect(await refusal(serve(job, 'flat-belt', { ...more, part }))).toMatchObject({
    status: 400,
    fields: [{ field: 'part', message: expect.stringContaining(message) }],
  });
  const after = await readJob(job);
  expect([after.version, after.fitted, after.service.filter((l) => l.said !== null)]).toEqual([version, [], []]);
});

describe('the list of a walk-behind scrubber’s planned service', () => {
  // Walk 11, common practice, no source: lid (float housing, ball, solution screen, vacuum screen dry), on its side (brush, four
  // blades, inlets), tanks and screws, plug and two hoses, belt.
  const WALK = [
    'float-clean',
    'intake-screen',
    'solution-screen',
    'squeegee-turn',
    'inlets-clear',
    'hose-wash',
    'deck-belts-look',
  ];

  test('is one list in an order of least turning: what opens each item comes before it, the motor stays dry', async () => {
    const job = await visit('scrubber-walk-behind');
    const { visitOrder, service } = await readJob(job);
    const at = (id: string) => visitOrder!.lines.findIndex((l) => (l.sort === 'item' ? l.item : l.step.id) === id);
    for (const item of WALK) expect([item, at(item) >= 0]).toEqual([item, true]);
    expect(at('float-housing')).toBeLessThan(at('float-clean'));
    expect(at('vacuum-screen')).toBeLessThan(at('intake-screen'));
    expect(at('blades-off')).toBeLessThan(at('squeegee-turn'));
    expect(at('deck-belt-cover')).toBeLessThan(at('deck-belts-look'));
    // Standing, then on its side: turned once, never to and fro.
    expect([visitOrder!.turnings, visitOrder!.exact]).toEqual([1, true]);
    const lid = visitOrder!.lines.flatMap((l) => (l.sort === 'step' && l.step.id === 'vacuum-screen' ? [l.step] : []));
    expect(lid[0]!.cautions).toContain('motor-stays-dry');
    expect(service.every((l) => l.state === 'unknown' || l.state === 'later')).toBe(true);
  });

  test('shrinks line by line, is read at its places, and says when it is due again', async () => {
    const job = await visit('scrubber-walk-behind');
    const ahead = async () => (await readJob(job)).visitOrder!.lines.length;
    const before = await ahead();
    const press = async (step: string) => stripStep(shop.person, job, { ...(await base(job)), step, state: 'done' });
    // Dead before it is wet.
    expect((await refusal(press('drain'))).status).toBe(400);
    await press('key-out');
    await press('drain');
    expect(await ahead()).toBe(before - 2);
    await serve(job, 'squeegee-turn', {
      readings: [
        { place: 'front', value: 2 },
        { place: 'rear', value: 3 },
      ],
    });
    for (const item of WALK.filter((i) => i !== 'squeegee-turn')) await serve(job, item);
    await end(job);
    expect(await planOf(job, 'float-clean')).toMatchObject({
      lastDoneOn: today,
      dueOn: addDays(today, 30),
      by: 'plate',
      maker: { days: 30 },
    });
    const card = await cardOf(job);
    expect(card.nextDueOn).toBe(addDays(today, 30));
    expect(card.serviceReadings.map((r) => [r.place, r.value])).toEqual([
      ['front', 2],
      ['rear', 3],
    ]);
    expect(card.timeline.map((t) => t.text)).toContain(
      'Turn or renew the squeegee blades; edge in use, of four front 2, rear 3',
    );
  });

  test('what is typed wrong is refused at its field, and nothing is written', async () => {
    const job = await visit('scrubber-walk-behind');
    const fields = async (item: string, more: Partial<ServeItemDto>) =>
      (await refusal(serve(job, item, more))).fields.map((f) => f.field);
    expect(await fields('squeegee-turn', { readings: [{ place: 'front', value: 5 }] })).toEqual(['readings[0].value']);
    expect(await fields('squeegee-turn', { readings: [{ place: 'front', value: 1.5 }] })).toEqual([
      'readings[0].value',
    ]);
    expect(await fields('squeegee-turn', { readings: [{ place: 'left', value: 1 }] })).toEqual(['readings[0].place']);
    expect(await fields('float-clean', { readings: [{ place: '', value: 1 }] })).toEqual(['readings[0]']);
    expect(await fields('float-clean', { state: 'left' })).toEqual(['words']);
    expect(await fields('float-clean', { state: 'worn' })).toEqual(['words']);
    expect(await fields('float-clean', { state: 'left', words: 'No time', lookAgainOn: today })).toEqual([
      'lookAgainOn',
    ]);
    expect(await fields('float-clean', { state: 'worn', found: 'nonsense' })).not.toEqual([]);
    expect(await fields('flat-belt', {})).toEqual(['item']);
    const twice = [1, 2].map((value) => ({ place: 'front', value }));
    expect(await fields('squeegee-turn', { readings: twice })).toEqual(['readings']);
    expect((await readJob(job)).service.every((l) => l.said === null)).toBe(true);
  });
});

test('what was read last stands beside what is read now; the last edge asks for new blades', async () => {
  const job = await visit('scrubber-walk-behind');
  await serve(job, 'squeegee-turn', { readings: [{ place: 'front', value: 4 }] });
  // Its own visit is not before itself.
  expect((await readJob(job)).service.find((l) => l.item === 'squeegee-turn')!.before).toEqual([]);
  await end(job);
  const next = await again(job);
  expect((await readJob(next)).service.find((l) => l.item === 'squeegee-turn')!.before).toEqual([
    { place: 'front', value: 4, on: today },
  ]);
  await serve(next, 'squeegee-turn', { readings: [{ place: 'front', value: 1 }] });
  await end(next);
  const third = await again(next);
  expect((await readJob(third)).service.find((l) => l.item === 'squeegee-turn')!.before).toMatchObject([{ value: 1 }]);
  expect((await readJob(third)).past[0]).toMatchObject({ visit: 'service', faults: [] });
});

describe('a look that finds something', () => {
  test('is an answer to the finder’s check, and what it proves is repaired like any other', async () => {
    const job = await visit('scrubber-walk-behind');
    await serve(job, 'squeegee-turn', { state: 'worn', found: 'edges-worn' });
    const { findings, proved, service } = await readJob(job);
    expect(findings.map((f) => [f.check, f.outcome])).toEqual([['squeegee-edges', 'edges-worn']]);
    expect(proved).toEqual(['squeegee-worn']);
    expect(service.find((l) => l.item === 'squeegee-turn')).toMatchObject({ said: 'worn' });
    await markRepaired(shop.person, job, { ...(await base(job)), fault: 'squeegee-worn', done: true });
    await end(job);
    expect((await planOf(job, 'squeegee-turn'))!.lastDoneOn).toBe(today);
  });

  test('left for a reason it is looked at again by a day; taken back it never was', async () => {
    const job = await visit('scrubber-walk-behind');
    const day = addDays(today, 12);
    await serve(job, 'hose-wash', { state: 'left', words: 'No water at the site', lookAgainOn: day });
    await serve(job, 'skirts-look', { state: 'worn', words: 'Thin', lookAgainOn: day });
    await serve(job, 'skirts-look', { state: '' });
    await end(job);
    expect(await planOf(job, 'hose-wash')).toMatchObject({ lastDoneOn: null, dueOn: day, by: 'finding' });
    expect(await planOf(job, 'skirts-look')).toMatchObject({ lastDoneOn: null, dueOn: null });
    const next = await again(job);
    expect((await readJob(next)).service.find((l) => l.item === 'hose-wash')).toMatchObject({
      state: 'soon',
      by: 'finding',
    });
    // Done, it goes by its own interval again.
    await serve(next, 'hose-wash');
    await end(next);
    expect(await planOf(next, 'hose-wash')).toMatchObject({ dueOn: addDays(today, 90), by: 'days', lookAgainOn: null });
  });
});

describe('by hours', () => {
  // Walk 15: a ride-on scrubber with 53.6 h on its meter; sealed batteries: no water; the next visit by hours.
  test('a ride-on falls due by its meter within an interval, and closed batteries are not watered', async () => {
    const model = (await modelList()).find((m) => m.id === models['scrubber-ride-on'])!;
    const { machines: _n, id, ...rest } = model;
    await amendModel(shop.person, id, { ...rest, key: crypto.randomUUID(), sealedBattery: true });
    const job = await visit('scrubber-ride-on');
    const { service } = await readJob(job);
    expect(service.map((l) => l.item)).not.toContain('battery-water');
    expect(service.map((l) => l.item)).toContain('battery-look');
    for (const [hours, daysAgo] of [
      [2, 56],
      [14, 42],
      [28, 28],
      [40, 14],
    ] as const)
      await readMeter(job, hours, daysAgo);
    await recordMeter(shop.person, job, { ...(await base(job)), hours: 53.6 });
    for (const item of ['skirts-look', 'deck-belts-hours', 'battery-look']) await serve(job, item);
    await end(job);
    const due = (await planOf(job, 'deck-belts-hours'))!;
    // About six and a half hours a week: a hundred hours are fifteen weeks and a half.
    expect(due.by).toBe('hours');
    expect(due.dueOn! > addDays(today, 100) && due.dueOn! < addDays(today, 116)).toBe(true);
    expect(due.early! < due.dueOn! && due.dueOn! < due.late!).toBe(true);
    expect((await cardOf(job)).running).toMatchObject({ from: 'meter', events: [] });
  });

  test('a meter that was changed is an event, and the plan goes on', async () => {
    const job = await visit('scrubber-walk-behind', {
      newMachine: { modelId: models['scrubber-walk-behind']!, serial: '', pets: false, hoursPerWeek: 10 },
    });
    // Fifty hours of it are five weeks, and a month comes first.
    for (const [hours, daysAgo] of [
      [100, 60],
      [115, 50],
      [130, 40],
      [4, 30],
      [19, 20],
    ] as const)
      await readMeter(job, hours, daysAgo);
    await serve(job, 'float-clean');
    await end(job);
    const { running } = await cardOf(job);
    expect(running.events.map((e) => [e.sort, e.from, e.to])).toEqual([['turned-back', 130, 4]]);
    expect(running.hoursPerWeek).toBeGreaterThan(8);
    expect(await planOf(job, 'float-clean')).toMatchObject({ by: 'plate' });
  });
});

describe('what is washed lies to dry', () => {
  const clocks = async (job: number) =>
    (await readJob(job)).waits.map(({ kind, what, endedAt }) => [kind, what, !endedAt]);

  test('at a service as after a repair, once; a new one needs none', async () => {
    const job = await visit('upright-shaft-belt');
    await serve(job, 'pre-filter-wash', { state: 'left', words: 'Clean enough.' });
    expect(await clocks(job)).toEqual([]);
    await serve(job, 'pre-filter-wash');
    expect(await clocks(job)).toEqual([['drying', 'washed filter', true]]);
    // Nothing is put back wet.
    await moveStage(shop.person, job, { ...(await base(job)), to: 'fit' });
    const dry = (await readJob(job)).rebuild.find((l) => /dry right through/.test(l.label))!;
    const tick = async () => tickRebuild(shop.person, job, { ...(await base(job)), step: dry.id, done: true });
    expect((await refusal(tick())).fields[0]!.field).toBe('step');
    await endWait(shop.person, job, await base(job));
    await tick();
    // Said again with a word, and one more washed thing: no second clock for the same.
    await serve(job, 'pre-filter-wash', { words: 'Grey still.' });
    expect(await clocks(job)).toEqual([['drying', 'washed filter', false]]);

    const other = await visit('upright-shaft-belt');
    await serve(other, 'pre-filter-new', { part: 'PF-FOAM' });
    await serve(other, 'pre-filter-wash');
    expect(await clocks(other)).toEqual([]);
  });

  test('by the repair itself, whether its steps were ticked or it was said at once', async () => {
    const job = await openJob(shop.person, shop.models['upright-shaft-belt']!, ['weak-suction']);
    const findings = [{ check: 'filter-look', outcome: 'filter-caked' }];
    await recordFindings(shop.person, job, { ...(await base(job)), findings });
    await moveStage(shop.person, job, { ...(await base(job)), to: 'fit' });
    const mark = async (done: boolean) =>
      markRepaired(shop.person, job, { ...(await base(job)), fault: 'filter-clogged', done });
    await mark(true);
    expect(await clocks(job)).toEqual([['drying', 'washed filter', true]]);
    await endWait(shop.person, job, await base(job));
    // Its steps are ticked after it was said: it is dry by then.
    for (const { id: step, fault } of (await readJob(job)).rebuild)
      if (fault === 'filter-clogged') await tickRebuild(shop.person, job, { ...(await base(job)), step, done: true });
    expect(await clocks(job)).toHaveLength(1);
    await mark(false);
    expect(await clocks(job)).toHaveLength(1);
  });
});

test('what must soak begins with its first step and not when it is out', async () => {
  const job = await openJob(shop.person, models['scrubber-ride-on']!, ['squeal']);
  const findings = [{ check: 'deck-debris', outcome: 'brush-stuck-in' }];
  await recordFindings(shop.person, job, { ...(await base(job)), findings });
  await moveStage(shop.person, job, { ...(await base(job)), to: 'fit' });
  const lines = (await readJob(job)).rebuild.filter((l) => l.fault === 'brush-left-in');
  const tick = async (n: number) =>
    tickRebuild(shop.person, job, { ...(await base(job)), step: lines[n]!.id, done: true });
  const clocks = async () => (await readJob(job)).waits.map(({ kind, endedAt }) => [kind, endedAt === null]);
  expect(lines[0]!.label).toMatch(/hours of soak/);
  await tick(0);
  expect(await clocks()).toEqual([['soaking', true]]);
  await endWait(shop.person, job, await base(job));
  for (let n = 1; n < lines.length; n++) await tick(n);
  const { repaired } = await readJob(job);
  expect([repaired, await clocks()]).toEqual([['brush-left-in'], [['soaking', false]]]);
});

describe('by count and by wear', () => {
  test('a filter that was washed six times is a new one’s turn', async () => {
    let job = await visit('upright-shaft-belt');
    await serve(job, 'pre-filter-new');
    await end(job);
    expect(await planOf(job, 'pre-filter-new')).toMatchObject({ by: 'days' });
    for (let n = 0; n < 6; n++) {
      job = await again(job);
      await serve(job, 'pre-filter-wash');
      await end(job);
    }
    expect(await planOf(job, 'pre-filter-new')).toMatchObject({ dueOn: today, by: 'times' });
    expect((await planOf(job, 'pre-filter-wash'))!.byItsPeople).toBe(true);
    job = await again(job);
    await serve(job, 'pre-filter-new');
    await end(job);
    expect(await planOf(job, 'pre-filter-new')).toMatchObject({ dueOn: addDays(today, 365), by: 'days' });
  });

  test('bristles by their measured line, the shorter brush first; a new one begins its own line', async () => {
    const job = await visit('scrubber-ride-on');
    const { machine } = await readJob(job);
    const put = (place: string, value: number, daysAgo: number, of: number) =>
      shop.db('service_reading').insert({
        machine_id: machine.id,
        job_id: of,
        item: 'bristles',
        reading: 'bristle-length',
        place,
        value,
        at: new Date(Date.now() - daysAgo * 86_400_000),
      });
    const others: number[] = [];
    for (let i = 0; i < 2; i++) others.push(await visit('upright-shaft-belt'));
    await put('front', 30, 60, others[0]!);
    await put('front', 26, 30, others[1]!);
    await put('rear', 30, 60, others[0]!);
    await put('rear', 20, 30, others[1]!);
    const readings = [
      { place: 'front', value: 22 },
      { place: 'rear', value: 14 },
    ];
    // Measured and done: that makes it no newer.
    await serve(job, 'bristles', { readings });
    await end(job);
    const due = (await planOf(job, 'bristles'))!;
    // The rear one loses eight millimetres a month and is replaced at ten: about half a month is left.
    expect(due.by).toBe('wear');
    expect(due.dueOn! > addDays(today, 8) && due.dueOn! < addDays(today, 22)).toBe(true);
    const next = await again(job);
    await serve(next, 'bristles', { readings: [{ place: 'rear', value: 45 }] });
    await end(next);
    // The new rear one says nothing yet; the front one loses four millimetres a month and has three months left.
    const front = (await planOf(next, 'bristles'))!;
    expect(front.dueOn! > addDays(today, 75) && front.dueOn! < addDays(today, 105)).toBe(true);
  });

  // Walk 16: worn bristles: one number on; the position is in the history.
  test('the number of the height cam is read and kept', async () => {
    const job = await visit('upright-self-propelled', { visit: 'height' });
    const { service, visitOrder } = await readJob(job);
    expect(service.slice(0, 2).map((l) => [l.item, l.state])).toEqual([
      ['bristles', 'asked'],
      ['cam-number', 'asked'],
    ]);
    // Lifter to off, nozzle unlatched, levers, roll: then the number can be read.
    const order = visitOrder!.lines.map((l) => (l.sort === 'step' ? l.step.id : l.item));
    const ways = ['lifter-off', 'nozzle-unlatch', 'plate-levers', 'roll-lift', 'cam-number'];
    expect(ways.map((w) => order.indexOf(w))).toEqual(ways.map((w) => order.indexOf(w)).sort((a, b) => a - b));
    expect(order.indexOf('lifter-off')).toBeGreaterThanOrEqual(0);
    await serve(job, 'cam-number', { readings: [{ place: '', value: 3 }] });
    const card = await cardOf(job);
    expect(card.serviceReadings).toMatchObject([{ item: 'cam-number', reading: 'cam', value: 3 }]);
    expect(card.timeline[0]!.text).toBe('Height cam: number up; cam at number 3');
  });
});

describe('rules of the model and of the shop', () => {
  test('the plate’s limit holds, the shop’s own interval goes before the bench’s, and all machines follow', async () => {
    const job = await visit('upright-shaft-belt');
    await serve(job, 'flat-belt');
    await end(job);
    expect(await planOf(job, 'flat-belt')).toMatchObject({ dueOn: addDays(today, 180), own: false });
    await putOwnInterval(shop.db, 'upright-shaft-belt', 'flat-belt', {
      days: 120,
      hours: null,
      uses: null,
      why: '31 belts',
      person_id: shop.person.id,
    });
    const model = (await modelList()).find((m) => m.id === shop.models['upright-shaft-belt'])!;
    const { machines: _n, id, ...rest } = model;
    await amendModel(shop.person, id, {
      ...rest,
      key: crypto.randomUUID(),
      plates: [{ item: 'flat-belt', days: 100 }],
    });
    while ((await refreshStale()) > 0);
    expect(await planOf(job, 'flat-belt')).toMatchObject({
      dueOn: addDays(today, 100),
      by: 'plate',
      own: true,
      maker: { days: 100 },
    });
    expect((await cardOf(job)).nextDueOn).toBe(addDays(today, 100));
    const bad = refusal(
      amendModel(shop.person, id, {
        ...rest,
        version: rest.version + 1,
        key: crypto.randomUUID(),
        plates: [{ item: 'battery-water', days: 3 }, { item: 'flat-belt' }],
      }),
    );
    expect((await bad).fields.map((f) => f.field)).toEqual(['plates[0].item', 'plates[1].days']);
    await putOwnInterval(shop.db, 'upright-shaft-belt', 'flat-belt', null);
  });

  test('tanks are drained before the frost where there is one', async () => {
    const job = await visit('scrubber-walk-behind');
    expect((await readJob(job)).service.map((l) => l.item)).not.toContain('frost-drain');
    const { currency: _c, ...view } = await shopOf();
    await amendShop({ ...shop.person, role: 'owner' }, { ...view, key: crypto.randomUUID(), frostMonth: 11 });
    while ((await refreshStale()) > 0);
    const line = (await readJob(job)).service.find((l) => l.item === 'frost-drain')!;
    expect([line.by, line.dueOn?.slice(4)]).toEqual(['frost', '-11-01']);
  });

  test('hours on the card and the owner change the plan at once; two books become one with what was done last', async () => {
    const job = await visit('upright-shaft-belt');
    await serve(job, 'exhaust-filter');
    await end(job);
    const card = await cardOf(job);
    await amendMachine(shop.person, card.tag, {
      key: crypto.randomUUID(),
      version: card.version,
      modelId: card.modelId,
      siteId: null,
      serial: card.serial,
      madeYear: card.madeYear,
      purchasedOn: null,
      warrantyUntil: null,
      pets: false,
      hoursPerWeek: 6,
      note: '',
    });
    expect(await planOf(job, 'exhaust-filter')).toMatchObject({ dueOn: addDays(today, 91) });
    const other = await visit('upright-shaft-belt');
    await serve(other, 'cyclone-clean');
    await end(other);
    const kept = await cardOf(job);
    await mergeMachines({ ...shop.person, role: 'owner' }, kept.tag, {
      key: crypto.randomUUID(),
      version: kept.version,
      other: (await cardOf(other)).tag,
    });
    const items = (await machineCard(kept.tag)).plans.filter((p) => p.lastDoneOn).map((p) => p.item);
    expect(items.sort()).toEqual(['cyclone-clean', 'exhaust-filter']);
    // What is part of another book is due nowhere.
    const gone = await shop.db('machine').whereNotNull('merged_into').pluck('next_due_on');
    expect(gone).toEqual(gone.map(() => null));
  });

  test('what its people do between visits brings no machine to the shop', async () => {
    const job = await visit('upright-shaft-belt');
    await serve(job, 'roll-hair');
    await end(job);
    expect(await planOf(job, 'roll-hair')).toMatchObject({ dueOn: addDays(today, 30), byItsPeople: true });
    expect((await cardOf(job)).nextDueOn).toBeNull();
    const { tag } = await cardOf(job);
    const due = (await rounds({ ahead: 365 })).groups.flatMap((g) => g.lines).filter((l) => l.tag === tag);
    expect(due).toEqual([]);
  });
});

test('what is worn and was found by its check is offered once, by its repair, wherever the item has its place', async () => {
  const job = await visit('scrubber-walk-behind');
  // The item has its place at the front inlet; what is blocked is the rear one.
  await serve(job, 'inlets-clear', { state: 'worn', found: 'inlet-rear-blocked' });
  expect((await readJob(job)).proved).toEqual(['inlet-rear-blocked']);
  const { lines } = await readProposal(job);
  expect(lines.map((l) => l.id)).toContain('do-inlet-rear-blocked');
  expect(lines.filter((l) => l.id.startsWith('worn-'))).toEqual([]);
});

describe('the operator', () => {
  test('what they did is taken down, refused where it cannot be, and explains the wear on sheet and report', async () => {
    const job = await visit('scrubber-walk-behind');
    const care = async (list: [string, number, number][]) =>
      noteCare(shop.person, job, {
        ...(await base(job)),
        care: list.map(([item, doneDays, ofDays]) => ({ item, doneDays, ofDays })),
      });
    const refused = await refusal(
      care([
        ['deck-cleared', 21, 20],
        ['hair-cut-off', 1, 20],
      ]),
    );
    expect(refused.fields.map((f) => f.field)).toEqual(['care[0].doneDays', 'care[1].item']);
    expect(
      (
        await refusal(
          care([
            ['lids-open', 1, 2],
            ['lids-open', 1, 2],
          ]),
        )
      ).fields[0]!.field,
    ).toBe('care');
    await care([
      ['lids-open', 20, 20],
      ['deck-cleared', 3, 20],
    ]);
    await serve(job, 'inlets-clear', { state: 'worn', found: 'inlet-front-blocked' });
    await serve(job, 'hose-wash', { state: 'left', words: 'No water that day' });
    expect((await readJob(job)).care).toEqual([
      { item: 'deck-cleared', doneDays: 3, ofDays: 20 },
      { item: 'lids-open', doneDays: 20, ofDays: 20 },
    ]);
    const { machine } = await readJob(job);
    // Already at the visit, before it is handed back.
    expect((await operatorSheet(machine.tag)).items[0]).toMatchObject({ id: 'dust-mop-first' });
    // A photograph stands at its line, before what else was photographed.
    await photographed(shop.person, job, 'step:lid-open');
    await photographed(shop.person, job, 'item:inlets-clear');
    await end(job, ['inlet-blocked']);
    const sheet = await operatorSheet(machine.tag);
    // The inlet was repaired on the way through Fit: what keeps it clear stands first, then what was seldom done.
    expect(sheet.items[0]).toMatchObject({ id: 'dust-mop-first' });
    expect(sheet.items[1]).toMatchObject({ id: 'deck-cleared', kept: { doneDays: 3, ofDays: 20 } });
    const report = await serviceReport(job);
    const rows = (title: string) => report.sections.find((s) => s.title === title)?.rows;
    expect(rows('The list')).toEqual(
      expect.arrayContaining([
        ['Squeegee inlets cleared', 'worn, mended', 'photograph 1'],
        ['Suction hoses washed, looked at', 'left', 'No water that day'],
      ]),
    );
    expect(rows('Mended')).toHaveLength(1);
    expect(rows('What the operator did')).toContainEqual(['Clear the deck while it is wet', 'on 3 of 20 days']);
    expect(report.photographs.map((p) => p.caption)).toEqual(['1  Squeegee inlets cleared', '2']);
    const { name, bytes } = await serviceReportPdf(job);
    expect(name).toBe(`service-report-${machine.tag}-${job}`);
    expect(Buffer.from(bytes.subarray(0, 5)).toString()).toBe('%PDF-');
    expect(bytes.length).toBeGreaterThan(4000);
  });

  test('a sheet of a machine that is not here, and one of a kind with closed batteries', async () => {
    await expect(operatorSheet('GK-9999')).rejects.toMatchObject({ status: 404 });
    const job = await visit('scrubber-ride-on');
    const { machine } = await readJob(job);
    expect((await operatorSheet(machine.tag)).items.map((i) => i.id)).not.toContain('cells-watered');
  });
});
