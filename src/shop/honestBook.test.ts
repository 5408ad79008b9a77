import { steps } from '@/data/migrations';
import { amendJob } from './amendJob/amendJob';
import { careSheet } from './careSheet/careSheet';
import { fitOther } from './fitPart/fitOther';
import { fitPart } from './fitPart/fitPart';
import { handBack } from './handBack/handBack';
import type { HandBackDto } from './handBack/dto';
import { machineCard } from './machines/machines';
import { markRepaired } from './markRepaired/markRepaired';
import { readJob } from './odds/readJob';
import { recordFindings } from './recordFindings/recordFindings';
import { base, newJobDto, openJob, proveAll, refusal, testShop, toHandBack } from './scene.fixture';
import { search } from './search/search';
import { serveItem } from './serveItem/serveItem';
import { startWait } from './startWait/startWait';
import { addComplaints } from './addComplaints/addComplaints';
import { endWait } from './endWait/endWait';
import { strikeComplaint } from './strikeComplaint/strikeComplaint';
import { readDto } from './readDto';
import { TakeInDto } from './takeIn/dto';
import { takeIn } from './takeIn/takeIn';
import { stripStep } from './stripStep/stripStep';
import { tickRebuild } from './tickRebuild/tickRebuild';

const shop = testShop();
const K1 = 'upright-shaft-belt';

const answer = async (job: number, check: string, outcome: string) =>
  recordFindings(shop.person, job, { ...(await base(job)), findings: [{ check, outcome }] });
const end = async (job: number, more: Partial<HandBackDto> = {}) =>
  handBack(shop.person, job, { ...(await base(job)), faults: [], advice: '', ...more });
const again = async (job: number, complaints: string[], more = {}) => {
  const { machine, customer } = await readJob(job);
  const { newMachine: _m, newCustomer: _c, ...dto } = newJobDto(shop.models[K1]!, complaints);
  return (await takeIn(shop.person, { ...dto, machineId: machine.id, customerId: customer.id, ...more })).job;
};
const plan = async (job: number, item: string) =>
  (await machineCard((await readJob(job)).machine.tag)).plans.find((p) => p.item === item);
const tagsFound = async (words: string) => (await search(words)).flatMap((r) => (r.sort === 'machine' ? [r.tag] : []));
const lastLine = async (job: number) => (await machineCard((await readJob(job)).machine.tag)).timeline[0]!.text;

describe('plans', () => {
  test('a first visit leaves unknown what nobody did or looked at', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['squeal']);
    // What falls due by measuring alone is asked for, and due on no day.
    const states = new Set((await readJob(job)).service.map((s) => s.state));
    expect([...states].sort()).toEqual(['later', 'unknown']);
    await toHandBack(shop.person, job);
    await end(job);
    const { plans, nextDueOn } = await machineCard((await readJob(job)).machine.tag);
    expect(plans.filter((p) => p.lastDoneOn !== null)).toEqual([]);
    expect(plans.map((p) => p.item)).toEqual(expect.arrayContaining(['flat-belt', 'pre-filter-wash', 'roll-hair']));
    expect(nextDueOn).toBeNull();
  });

  test('a tick of the rebuild is no service, a repair is, and washed is not new', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['weak-suction']);
    for (const step of ['filter-lid', 'filter-out'])
      await stripStep(shop.person, job, { ...(await base(job)), step, state: 'done' });
    await tickRebuild(shop.person, job, { ...(await base(job)), step: 'filters-clean', done: true });
    const doneHere = async () => (await readJob(job)).service.filter((l) => l.done).map((l) => l.item);
    expect(await doneHere()).toEqual([]);
    await markRepaired(shop.person, job, { ...(await base(job)), fault: 'filter-clogged', done: true });
    // Said where it is done, not only when the machine has gone.
    expect(await doneHere()).toEqual(['pre-filter-wash']);
    const told = await shop.db('timeline').where({ job_id: job, what: 'repaired' }).pluck('text');
    expect(told).toEqual(['Pre-motor filter clogged: Pre-motor filter washed']);
    expect((await careSheet(job)).mended).toEqual(['Pre-motor filter washed']);
    await toHandBack(shop.person, job);
    await end(job, { faults: ['filter-clogged'] });
    expect((await plan(job, 'pre-filter-wash'))!.lastDoneOn).not.toBeNull();
    expect((await plan(job, 'pre-filter-new'))!.lastDoneOn).toBeNull();
    expect((await plan(job, 'flat-belt'))!.lastDoneOn).toBeNull();
  });

  test('an item that was ticked at a visit is done, one whose tick was taken back is not', async () => {
    const job = (await takeIn(shop.person, newJobDto(shop.models[K1]!, [], { visit: 'service' }))).job;
    for (const [item, done] of [
      ['flat-belt', true],
      ['roll-hair', true],
      ['roll-hair', false],
    ] as const)
      await serveItem(shop.person, job, { ...(await base(job)), item, state: done ? 'done' : '' });
    expect(
      (await refusal(serveItem(shop.person, job, { ...(await base(job)), item: 'squeegee-turn', state: 'done' })))
        .fields,
    ).toEqual([{ field: 'item', message: 'There is no service squeegee-turn for this kind of machine.' }]);
    await toHandBack(shop.person, job);
    await end(job);
    expect((await plan(job, 'flat-belt'))!.lastDoneOn).not.toBeNull();
    expect((await plan(job, 'roll-hair'))!.lastDoneOn).toBeNull();
    // Nobody looked for a cause where nothing was complained of.
    const [handed] = await shop.db('timeline').where({ job_id: job, what: 'handed-back' }).pluck('text');
    expect(handed).toContain('Nothing was complained of.');
    expect(handed).not.toContain('cause');
    // The next visit finds the belt known and not due.
    const next = await again(job, ['squeal']);
    const stateOf = async (item: string) => (await readJob(next)).service.find((s) => s.item === item)?.state;
    expect([await stateOf('flat-belt'), await stateOf('roll-hair')]).toEqual(['later', 'unknown']);
  });

  test('the migration takes out what nobody did, keeps what a deed did, and says what it undid', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['roll-not-turning']);
    await answer(job, 'sole-plate-look', 'belt-missing');
    await toHandBack(shop.person, job);
    await end(job, { faults: ['belt-broken'] });
    const { machine } = await readJob(job);
    const today = (await plan(job, 'flat-belt'))!.lastDoneOn!;
    await shop
      .db('plan')
      .insert(
        ['pre-filter-wash', 'exhaust-filter'].map((item) => ({
          machine_id: machine.id,
          item,
          last_done_on: today,
          due_on: today,
        })),
      )
      .onConflict(['machine_id', 'item'])
      .merge();
    // Before that step nothing was counted that was never done.
    await shop.db('plan').whereNull('last_done_on').delete();
    const correction = steps['008_book']!.slice(steps['008_book']!.indexOf('-- What counts as done of each item'));
    await shop.db.transaction((trx) => trx.raw(correction));
    expect((await plan(job, 'flat-belt'))!.lastDoneOn).toBe(today);
    expect((await plan(job, 'pre-filter-wash'))!.lastDoneOn).toBeNull();
    expect(await shop.db('timeline').where({ machine_id: machine.id, what: 'corrected' }).pluck('text')).toEqual([
      `Corrected: these were entered as done and nobody did them, so they are not known now: exhaust filter (${today}), pre filter wash (${today}).`,
    ]);
  });
});

test('sealant that closes a housing starts its clock, once', async () => {
  const [model] = await shop
    .db('model')
    .insert({ maker: 'Hollin', name: 'a', kind: 'upright-self-propelled', mains_v: 120, dropped_stations: [] })
    .returning('id');
  const job = await openJob(shop.person, model.id, ['weak-suction']);
  await answer(job, 'fan-look', 'fan-broken');
  const tick = async (step: string, done = true) => tickRebuild(shop.person, job, { ...(await base(job)), step, done });
  const waits = async () => (await readJob(job)).waits.map((w) => [w.kind, w.what, w.endedAt]);
  for (const step of ['close.fan-nut', 'close.housing-off']) await tick(step);
  expect(await waits()).toEqual([]);
  await tick('close.housing-screws');
  await tick('close.housing-screws', false);
  await tick('close.housing-screws');
  expect(await waits()).toEqual([['glue', 'sealed joint of the fan housing', null]]);
  // What has not cured is not said to be.
  expect((await refusal(tick('joint-cured'))).fields).toEqual([
    { field: 'step', message: 'Not yet: sealed joint of the fan housing is still waiting.' },
  ]);
  await endWait(shop.person, job, await base(job));
  await tick('joint-cured');
});

describe('what stays open', () => {
  test('a fault proved and not repaired is kept on the machine until somebody mends it; it goes home with the owner’s word', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['roll-not-turning']);
    await answer(job, 'sole-plate-look', 'belt-missing');
    await answer(job, 'frame-look', 'wheels-bound');
    expect((await readJob(job)).leftOpen.sort()).toEqual(['belt-broken', 'wheels-bound']);
    await markRepaired(shop.person, job, { ...(await base(job)), fault: 'belt-broken', done: true });
    const { leftOpen, repaired } = await readJob(job);
    expect([leftOpen, repaired]).toEqual([['wheels-bound'], ['belt-broken']]);
    for (const { id: step } of (await readJob(job)).rebuild.filter((l) => l.sort !== 'repair'))
      await tickRebuild(shop.person, job, { ...(await base(job)), step, done: true });
    await proveAll(shop.person, job);
    const silent = await refusal(end(job, { faults: ['belt-broken'] }));
    expect(silent.fields).toEqual([
      { field: 'ownersWord', message: 'What the owner says of what stays open: Wheels bound.' },
    ]);
    await end(job, { faults: ['belt-broken'], ownersWord: 'Knows, brings it in spring.' });
    expect(await lastLine(job)).toBe(
      'Handed back. Found: Belt broken. Left open: Wheels bound. The owner: “Knows, brings it in spring.”',
    );
    expect((await careSheet(job)).leftOpen).toEqual(['Wheels bound']);
    const card = await machineCard((await readJob(job)).machine.tag);
    expect(card.openFaults).toMatchObject([{ fault: 'wheels-bound', job }]);

    const next = await again(job, ['rattle']);
    expect((await readJob(next)).openFaults).toMatchObject([{ fault: 'wheels-bound', job }]);
    await markRepaired(shop.person, next, { ...(await base(next)), fault: 'wheels-bound', done: true });
    expect((await readJob(next)).openFaults).toEqual([]);
    await toHandBack(shop.person, next);
    await end(next, { faults: [] });
    expect((await machineCard(card.tag)).openFaults).toEqual([]);
  });

  test('a repair on suspicion and a part that belongs to it count as repaired; finding alone does not', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['roll-slow']);
    await answer(job, 'finger-turn', 'normal-drag');
    await answer(job, 'repair:belt-slipping', 'gone');
    expect((await readJob(job)).repaired).toEqual(['belt-slipping']);
    expect(
      (await refusal(markRepaired(shop.person, job, { ...(await base(job)), fault: 'pump-failed', done: true })))
        .status,
    ).toBe(400);
  });

  test('a new belt mends what the old one was found to have, and no other of its faults', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['roll-slow']);
    await answer(job, 'sole-plate-look', 'belt-glazed');
    await fitPart(shop.person, job, { ...(await base(job)), code: 'FB-10-300', station: 'flat-belt', quantity: 1 });
    expect(await readJob(job)).toMatchObject({ repaired: ['belt-slipping'], leftOpen: [] });
    // One that is named only in the end counts with the part that was fitted for it.
    const named = await openJob(shop.person, shop.models[K1]!, ['roll-not-turning']);
    await fitPart(shop.person, named, { ...(await base(named)), code: 'FB-10-300', station: 'flat-belt', quantity: 1 });
    await toHandBack(shop.person, named);
    await end(named, { faults: ['belt-broken'] });
    expect((await plan(named, 'flat-belt'))!.lastDoneOn).not.toBeNull();
  });

  test('what came missing on arrival is told again when it goes home', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['rattle'], { arrivalSigns: ['screws', 'handle'] });
    const sheet = await careSheet(job);
    expect(sheet.onArrival.join(' ')).toMatch(/Handle loose.*Screws missing.*owed to the owner/i);
  });
});

describe('endings', () => {
  test.each([
    ['unrepaired', {}, /^Handed back unrepaired, as the owner wishes\./],
    [
      'unrepairable',
      { foundWords: 'The housing is cracked through.' },
      /^Handed back: cannot be repaired\. Found: .*cracked through/,
    ],
    ['authorised', {}, /^Sent to the authorised shop\./],
    ['scrapped', { foundWords: 'Burnt out, not worth it.' }, /^Scrapped\./],
    ['cancelled', { foundWords: 'Wrong machine.' }, /^Cancelled: taken in by mistake\./],
  ] as const)('%s asks for no proof of what was not repaired, and is found again', async (ending, said, line) => {
    const job = await openJob(shop.person, shop.models[K1]!, ['squeal'], { words: 'It squeals.' });
    await end(job, { ending, ...said });
    const view = await readJob(job);
    expect(view).toMatchObject({ stage: 'closed', ending });
    expect(await lastLine(job)).toMatch(line);
    expect(await tagsFound(ending)).toContain(view.machine.tag);
    const sheet = await careSheet(job);
    expect(sheet.ending.tested).toBe(false);
  });

  test('the reason is asked for where an ending needs one, and a wait is ended before it goes home', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['squeal']);
    for (const ending of ['unrepairable', 'scrapped', 'cancelled'] as const)
      expect((await refusal(end(job, { ending, foundWords: ' ' }))).fields).toEqual([
        { field: 'foundWords', message: 'Say why, in words.' },
      ]);
    await startWait(shop.person, job, { ...(await base(job)), kind: 'drying', what: 'filter', hours: 5 });
    expect((await refusal(end(job, { ending: 'unrepaired' }))).fields.map((f) => f.field)).toEqual(['waits']);
  });

  test('a complaint that was never seen is an ending, tested like any other and counted as nothing', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['rattle']);
    const untested = await refusal(end(job, { ending: 'not-seen' }));
    expect(untested.fields.map((f) => f.field)).toContain('proofs.run-3-min');
    await toHandBack(shop.person, job);
    const tallies = await shop.db('job_tally').sum('jobs');
    expect(
      (await refusal(end(job, { ending: 'not-seen', faults: ['belt-broken'] }))).fields.map((f) => f.field),
    ).toContain('faults');
    await end(job, { ending: 'not-seen' });
    expect(await lastLine(job)).toMatch(/^Handed back: the complaint was not seen here\./);
    expect(await shop.db('job_tally').sum('jobs')).toEqual(tallies);
  });

  test('a scrapped machine is due for nothing, until it comes again after all', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['squeal']);
    await serveItem(shop.person, job, { ...(await base(job)), item: 'flat-belt', state: 'done' });
    await end(job, { ending: 'scrapped', foundWords: 'Not worth it.' });
    const { tag } = (await readJob(job)).machine;
    expect(await machineCard(tag)).toMatchObject({ nextDueOn: null, scrappedOn: expect.any(String) });
    await again(job, ['squeal']);
    expect((await machineCard(tag)).scrappedOn).toBeNull();
  });

  test('under a hold an unrepaired machine goes home with the word not to use it', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['burning-smell']);
    await end(job, { ending: 'unrepaired' });
    expect((await careSheet(job)).notToBeUsed).toEqual(['Smells burnt']);
  });

  test('what it was can be any fault of the kind, or words', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['squeal']);
    await toHandBack(shop.person, job);
    expect((await refusal(end(job, { faults: ['pump-failed'] }))).fields[0]!.field).toBe('faults');
    await end(job, { faults: [], foundWords: 'A toy whistle in the duct.' });
    expect((await readJob(job)).foundWords).toBe('A toy whistle in the duct.');
    expect(await tagsFound('toy whistle')).toEqual([(await readJob(job)).machine.tag]);
  });
});

describe('visits and complaints', () => {
  test('a visit needs no complaint, a job without either is refused', async () => {
    const neither = await refusal(readDto(TakeInDto, newJobDto(shop.models[K1]!, [])));
    await readDto(TakeInDto, newJobDto(shop.models[K1]!, [], { visit: 'service' }));
    expect(neither.fields.map((f) => f.field)).toEqual(['complaints']);
    for (const visit of ['service', 'height', 'new-part', 'before-sale'] as const) {
      const { job } = await takeIn(shop.person, newJobDto(shop.models[K1]!, [], { visit }));
      const view = await readJob(job);
      expect(view).toMatchObject({ visit, complaints: [], stage: 'find' });
      expect(view.proofs.some((p) => p.item.startsWith('complaint:'))).toBe(false);
      await toHandBack(shop.person, job);
      await end(job);
    }
  });

  test('a complaint found untrue is struck with its reason; the first words stay', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['dead', 'weak-suction'], { words: 'It is dead.' });
    const strike = async (complaint: string, why: string) =>
      strikeComplaint(shop.person, job, { ...(await base(job)), complaint, why });
    await strike('dead', 'It runs here; the head cuts out.');
    const view = await readJob(job);
    expect(view).toMatchObject({
      words: 'It is dead.',
      complaints: ['weak-suction'],
      struck: [{ complaint: 'dead', why: 'It runs here; the head cuts out.', by: 'Tess Fennock' }],
    });
    expect(view.proofs.map((p) => p.item)).not.toContain('complaint:dead');
    expect((await refusal(strike('dead', 'Again.'))).fields[0]!.field).toBe('complaint');
    // Said once more after all: it stands again.
    await amendJob(shop.person, job, { ...(await base(job)), complaints: ['dead', 'weak-suction'] });
    expect((await readJob(job)).complaints).toEqual(['dead', 'weak-suction']);
  });

  test('a visit whose complaint was struck is not told as one without a complaint', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['dead'], { words: 'It is dead.' });
    await strikeComplaint(shop.person, job, { ...(await base(job)), complaint: 'dead', why: 'It runs here.' });
    await toHandBack(shop.person, job);
    await end(job);
    expect(await lastLine(job)).toContain('No cause named.');
  });

  test('what the bench sees instead, or besides, is looked for and shown to be gone like what was said', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['dead'], { words: 'It is dead.' });
    await strikeComplaint(shop.person, job, {
      ...(await base(job)),
      complaint: 'dead',
      why: 'It runs; weak, and it smells.',
      instead: ['weak-suction', 'weak-suction'],
    });
    const seen = await readJob(job);
    expect(seen.complaints).toEqual(['weak-suction']);
    expect(seen.proofs.map((p) => p.item)).toContain('complaint:weak-suction');
    const besides = async (complaints: string[], why?: string) =>
      addComplaints(shop.person, job, { ...(await base(job)), complaints, ...(why ? { why } : {}) });
    await besides(['burning-smell'], 'At the motor.');
    const more = await readJob(job);
    expect(more.complaints).toEqual(['burning-smell', 'weak-suction']);
    // What the complaint holds back when the counter writes it down, it holds back here.
    expect(more.cautions).toContain('burnt-smell');
    // One that was struck and is seen after all stands again.
    await besides(['dead']);
    expect((await readJob(job)).struck).toEqual([]);
    expect((await refusal(besides(['dead']))).fields[0]!.field).toBe('complaints');
    expect((await refusal(besides(['no-solution']))).fields[0]!.field).toBe('complaints[0]');
    const told = await refusal(
      strikeComplaint(shop.person, job, { ...(await base(job)), complaint: 'dead', why: 'It runs.', instead: ['x'] }),
    );
    expect(told.fields[0]!.field).toBe('instead[0]');
  });

  test('a part that is on no list is fitted with its words and its risk', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['rattle']);
    const fit = async (station: string, why: string) =>
      fitOther(shop.person, job, {
        ...(await base(job)),
        label: 'Mount cut from an old one',
        why,
        station,
        quantity: 2,
      });
    expect((await refusal(fit('squeegee-blades', 'From the drawer.'))).fields[0]!.field).toBe('station');
    await fit('motor-seal', 'Cut from a worn mount; may shrink.');
    const [fitted] = (await readJob(job)).fitted;
    expect(fitted).toMatchObject({ code: null, label: 'Mount cut from an old one', quantity: 2 });
    expect((await readJob(job)).fitted[0]!.why).toMatch(/may shrink/);
  });
});
