import { bench } from '../access/roles';
import { endWait } from '../endWait/endWait';
import { markRepaired } from '../markRepaired/markRepaired';
import { moveStage } from '../moveStage/moveStage';
import { noteLoss, settleLoss } from '../losses/losses';
import { readJob } from '../odds/readJob';
import { recordFindings } from '../recordFindings/recordFindings';
import { base, openJob, proveAll, refusal, testShop } from '../scene.fixture';
import { tickRebuild } from '../tickRebuild/tickRebuild';
import { stripStep } from './stripStep';

const shop = testShop();
const K1 = 'upright-shaft-belt';
const K2 = 'upright-brush-motor';

const answer = async (job: number, check: string, outcome: string) =>
  recordFindings(shop.person, job, { ...(await base(job)), findings: [{ check, outcome }] });
const press = async (job: number, step: string, state: 'done' | 'not-here' | 'undone' = 'done') =>
  stripStep(shop.person, job, { ...(await base(job)), step, state });
const tick = async (job: number, step: string, done = true) =>
  tickRebuild(shop.person, job, { ...(await base(job)), step, done });
const ahead = async (job: number) => (await readJob(job)).strip.ahead.map((s) => s.id);
const lines = async (job: number) => (await readJob(job)).rebuild;

/** An upright whose belt is gone: the plate is off, the roll is not out yet. */
async function beltGone(): Promise<number> {
  const job = await openJob(shop.person, shop.models[K1]!, ['roll-not-turning']);
  await answer(job, 'sole-plate-look', 'belt-missing');
  return job;
}

describe('the way in', () => {
  test('leads from what Find has opened to what the repair takes, and no further', async () => {
    const job = await beltGone();
    const { strip } = await readJob(job);
    expect(strip.done.map((s) => s.id)).toEqual(['knob-off', 'plate-screws', 'plate-lift']);
    expect(strip.done.every((s) => !s.pressed)).toBe(true);
    expect(strip.ahead.map((s) => s.id)).toEqual(['roll-lift', 'belt-off-shaft', 'caps-off']);
    expect(strip.cups.map((c) => [c.step, c.full])).toEqual([
      ['knob-off', true],
      ['plate-screws', true],
    ]);
    await markRepaired(shop.person, job, { ...(await base(job)), fault: 'belt-broken', done: true });
    expect(await ahead(job)).toEqual([]);
  });

  test('a step is done after those that it needs, and taken back before them', async () => {
    const job = await beltGone();
    expect((await refusal(press(job, 'caps-off'))).fields).toEqual([
      { field: 'step', message: 'First: Old belt off the shaft.' },
    ]);
    expect((await refusal(press(job, 'floor-mat'))).fields[0]!.message).toMatch(/has no step floor-mat/);
    await press(job, 'roll-lift');
    await press(job, 'belt-off-shaft');
    expect(await ahead(job)).toEqual(['caps-off']);
    expect((await refusal(press(job, 'roll-lift', 'undone'))).fields[0]!.message).toBe(
      'First take back: Old belt off the shaft.',
    );
    // What a check opened is that finding’s fact, and is not taken back here.
    expect((await refusal(press(job, 'plate-lift', 'undone'))).fields[0]!.message).toBe('This step was not pressed.');
    await press(job, 'belt-off-shaft', 'undone');
    expect(await ahead(job)).toEqual(['belt-off-shaft', 'caps-off']);
  });

  test('what this machine does not have is asked for once', async () => {
    const job = await openJob(shop.person, shop.models[K2]!, ['roll-not-turning']);
    await answer(job, 'sole-plate-look', 'belt-missing');
    await press(job, 'neck-hose-look', 'not-here');
    const { strip, rebuild } = await readJob(job);
    expect(strip.absent.map((s) => s.id)).toEqual(['neck-hose-look']);
    expect(strip.done.map((s) => s.id)).not.toContain('neck-hose-look');
    expect(rebuild.some((l) => l.step === 'neck-hose-look')).toBe(false);
    await press(job, 'neck-hose-look', 'undone');
    expect((await readJob(job)).strip.absent).toEqual([]);
  });

  test('the finder knows what the hands have opened, and what they have closed again', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['weak-suction']);
    const opening = async () => {
      const { odds, open } = await readJob(job);
      return [open, odds.assessment!.next.find((n) => n.check === 'filter-look')!.openingMinutes] as const;
    };
    const [, shut] = await opening();
    expect(shut).toBeGreaterThan(0);
    for (const step of ['filter-lid', 'filter-out']) await press(job, step);
    expect(await opening()).toEqual([['filter-bay'], 0]);
    for (const step of ['close.filter-out', 'close.filter-lid']) await tick(job, step);
    expect(await opening()).toEqual([[], shut]);
  });

  test('only who works at the bench presses it', () => {
    expect([stripStep, noteLoss, settleLoss].map((d) => d.spec.roles)).toEqual([bench, bench, bench]);
  });
});

describe('the way back', () => {
  test('is the reverse of what was opened; the repair comes while it lies open; its last step mends the fault', async () => {
    const job = await beltGone();
    for (const step of await ahead(job)) await press(job, step);
    const order = (await lines(job)).map((l) => l.id);
    expect(order.slice(0, 8)).toEqual([
      'work.belt-broken.1',
      'work.belt-broken.2',
      'work.belt-broken.3',
      'roll-clean',
      'close.caps-off',
      'shaft-wiped',
      'close.belt-off-shaft',
      'close.roll-lift',
    ]);
    expect(order.indexOf('close.plate-lift')).toBeLessThan(order.indexOf('close.plate-screws'));
    expect(order.at(-1)).toBe('nothing-left');
    await tick(job, 'work.belt-broken.1');
    await tick(job, 'work.belt-broken.2');
    expect((await readJob(job)).repaired).toEqual([]);
    await tick(job, 'work.belt-broken.3');
    expect((await readJob(job)).repaired).toEqual(['belt-broken']);
    await tick(job, 'work.belt-broken.3', false);
    expect((await readJob(job)).repaired).toEqual([]);
  });

  test('a cup is empty once its step is closed, and what is opened again must be closed again', async () => {
    const job = await beltGone();
    for (const step of await ahead(job)) await press(job, step);
    await tick(job, 'close.caps-off');
    await tick(job, 'roll-clean');
    const cup = async () => (await readJob(job)).strip.cups.find((c) => c.step === 'caps-off')!.full;
    expect(await cup()).toBe(false);
    await press(job, 'caps-off');
    expect(await cup()).toBe(true);
    const again = (await lines(job)).filter((l) => l.step === 'caps-off');
    expect(again.map((l) => [l.id, l.done])).toEqual([
      ['roll-clean', false],
      ['close.caps-off', false],
    ]);
  });

  test('behind what is closed again nothing is opened before that is', async () => {
    const job = await beltGone();
    for (const step of await ahead(job)) await press(job, step);
    for (const line of await lines(job)) if (line.sort !== 'repair') await tick(job, line.id);
    expect((await readJob(job)).open).toEqual([]);
    // The belt is still to be fitted: the whole way is ahead once more.
    expect((await ahead(job)).slice(0, 2)).toEqual(['knob-off', 'plate-screws']);
    expect((await refusal(press(job, 'roll-lift'))).fields[0]!.message).toMatch(/^First: /);
    await press(job, 'knob-off');
    await press(job, 'plate-screws');
    expect((await readJob(job)).strip.cups.find((c) => c.step === 'plate-screws')!.full).toBe(true);
  });

  test('the wait that a repair owes starts with its last step', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['weak-suction']);
    await answer(job, 'filter-look', 'filter-grey');
    const { proved } = await readJob(job);
    expect(proved).toEqual(['filter-dirty']);
    for (const line of (await lines(job)).filter((l) => l.fault !== null)) await tick(job, line.id);
    const { waits, place } = await readJob(job);
    expect(waits).toMatchObject([{ kind: 'drying', what: 'washed filter', endedAt: null }]);
    expect(place).toBe('rack');
  });

  test('nothing is tried while a caution holds power back', async () => {
    const job = await openJob(shop.person, shop.models[K2]!, ['burning-smell'], { arrivalSigns: ['burnt'] });
    for (const step of ['bin-off', 'bay-screws']) await press(job, step);
    const held = await refusal(tick(job, 'trial.bay-screws'));
    expect([held.status, held.message]).toEqual([409, expect.stringMatching(/power is held back/)]);
    const trial = (await lines(job)).find((l) => l.id === 'trial.bay-screws')!;
    expect(trial.cautions).toEqual(expect.arrayContaining(['roll-free-before-power', 'earth-first']));
  });

  test('nothing is tried while something dries or cures', async () => {
    const job = await openJob(shop.person, shop.models[K2]!, ['weak-suction']);
    for (const step of ['bin-off', 'bay-screws']) await press(job, step);
    await answer(job, 'filter-look', 'filter-grey');
    for (const line of (await lines(job)).filter((l) => l.fault !== null)) await tick(job, line.id);
    const wet = await refusal(tick(job, 'trial.bay-screws'));
    expect(wet.fields).toEqual([{ field: 'step', message: 'Not run yet: washed filter is still waiting.' }]);
    const look = await refusal(tick(job, 'filters-clean'));
    expect(look.fields).toEqual([{ field: 'step', message: 'Not yet: washed filter is still waiting.' }]);
    await endWait(shop.person, job, await base(job));
    await tick(job, 'trial.bay-screws');
    await tick(job, 'filters-clean');
  });

  test('a fault that is left as it is does not keep the machine here, a screw that nobody speaks of does', async () => {
    const job = await beltGone();
    await noteLoss(shop.person, job, { ...(await base(job)), step: 'plate-screws', what: 'missing', count: 1 });
    for (const line of await lines(job)) if (line.sort !== 'repair') await tick(job, line.id);
    const refused = await refusal(moveStage(shop.person, job, { ...(await base(job)), to: 'prove' }));
    expect(refused.fields.map((f) => f.message)).toEqual(['Not settled: 1 missing (plate screws).']);
    const [loss] = (await readJob(job)).strip.losses;
    await settleLoss(shop.person, job, { ...(await base(job)), loss: loss!.id, how: 'replaced' });
    await moveStage(shop.person, job, { ...(await base(job)), to: 'prove' });
    await proveAll(shop.person, job);
    expect((await readJob(job)).leftOpen).toEqual(['belt-broken']);
  });
});

describe('what is not as it should be', () => {
  test('no more can be missing than belong there, and a step without screws has none', async () => {
    const job = await beltGone();
    const note = async (step: string, count: number) =>
      (await refusal(noteLoss(shop.person, job, { ...(await base(job)), step, what: 'broken', count }))).fields;
    expect(await note('plate-screws', 5)).toEqual([{ field: 'count', message: 'Only 4 belong to this step.' }]);
    expect(await note('plate-lift', 1)).toEqual([{ field: 'count', message: 'Nothing loose belongs to this step.' }]);
  });

  test('what is left over at the end keeps the machine here until it has its place or its owner knows', async () => {
    const job = await beltGone();
    await noteLoss(shop.person, job, { ...(await base(job)), step: 'plate-screws', what: 'over', count: 1 });
    for (const line of await lines(job)) if (line.sort !== 'repair') await tick(job, line.id);
    const toProve = async () => moveStage(shop.person, job, { ...(await base(job)), to: 'prove' });
    expect((await refusal(toProve())).fields.map((f) => f.message)).toEqual(['Not settled: 1 left over.']);
    const { id: loss } = (await readJob(job)).strip.losses[0]!;
    const settle = async (how: 'replaced' | 'placed') =>
      settleLoss(shop.person, job, { ...(await base(job)), loss, how });
    expect((await refusal(settle('replaced'))).fields[0]!.message).toBe('What is over ends otherwise: placed, told.');
    await settle('placed');
    await toProve();
  });

  test('a rusted one is given hours, not force, and only that can come free', async () => {
    const job = await beltGone();
    await noteLoss(shop.person, job, {
      ...(await base(job)),
      step: 'plate-screws',
      what: 'rusted',
      count: 2,
      soakHours: 4,
    });
    const { waits, strip } = await readJob(job);
    expect(waits).toMatchObject([{ kind: 'soaking', endedAt: null }]);
    await settleLoss(shop.person, job, { ...(await base(job)), loss: strip.losses[0]!.id, how: 'freed' });
    await noteLoss(shop.person, job, { ...(await base(job)), step: 'plate-screws', what: 'lost', count: 1 });
    const lost = (await readJob(job)).strip.losses.find((l) => l.what === 'lost')!;
    const wrong = await refusal(settleLoss(shop.person, job, { ...(await base(job)), loss: lost.id, how: 'freed' }));
    expect(wrong.fields).toEqual([{ field: 'how', message: 'What is lost ends otherwise: replaced, told.' }]);
    // Nothing of a refused deed stays.
    expect((await readJob(job)).strip.losses.find((l) => l.id === lost.id)!.settled).toBe('');
    expect(
      (await refusal(settleLoss(shop.person, job, { ...(await base(job)), loss: 999_999, how: 'told' }))).status,
    ).toBe(404);
  });
});
