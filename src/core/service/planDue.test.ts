import fc from 'fast-check';
import { addDays, dayNumber } from './days';
import { dueOf, intervalDays, isPlanned, type MachineUse, type PlanKnown, type PlanRule } from './planDue';
import { runningHours, type RunningHours } from './runningHours';

// Rules: common practice, no source (pre-motor filter: 3 months by the plate, monthly under pets or heavy use; a scrubber’s float
// monthly or each 50 h).
const filter: PlanRule = { maker: { days: 90 }, bench: { days: 90 }, heavyDays: 30 };
const float: PlanRule = { maker: { days: 30 }, bench: { days: 30, hours: 50 } };
const usedSo = (more: Partial<MachineUse> = {}): MachineUse => ({
  pets: false,
  trade: false,
  hoursPerWeek: 1.5,
  ordinaryHoursPerWeek: 1.5,
  hoursPerUse: 0.5,
  sealedBattery: null,
  ...more,
});
const known = (more: Partial<PlanKnown> = {}): PlanKnown => ({
  doneOn: null,
  times: 0,
  timesOn: null,
  lookAgainOn: null,
  wear: null,
  ...more,
});
const still: RunningHours = runningHours([], 0);
const TODAY = '2027-03-01';
const here = (frostMonth: number | null = null) => ({ today: TODAY, frostMonth });
/** Ten hours a week without a break, read every week up to today. */
const steady = runningHours(
  Array.from({ length: 20 }, (_, i) => ({ day: dayNumber(TODAY) - 7 * (19 - i), hours: 300 + 10 * i })),
  1,
);

describe('interval', () => {
  test('ordinary use keeps the maker’s plate', () => expect(intervalDays(filter, usedSo())).toBe(90));
  test('pets make it monthly', () => expect(intervalDays(filter, usedSo({ pets: true, hoursPerWeek: 1 }))).toBe(30));
  test('half as much use again shortens in proportion', () =>
    expect(intervalDays({ bench: { days: 270 } }, usedSo({ hoursPerWeek: 2.25 }))).toBe(180));
  test('what counts hours itself is not shortened twice; what is much at home is little in the trade', () => {
    expect(intervalDays(float, usedSo({ hoursPerWeek: 30 }))).toBe(30);
    const hoses: PlanRule = { bench: { days: 90 } };
    expect(intervalDays(hoses, usedSo({ hoursPerWeek: 10, ordinaryHoursPerWeek: 10 }))).toBe(90);
    expect(intervalDays(hoses, usedSo({ hoursPerWeek: 20, ordinaryHoursPerWeek: 10 }))).toBe(45);
  });
  test('a safety test is for trade use only, cells are watered only where they can be', () => {
    const test: PlanRule = { bench: { days: 365 }, tradeOnly: true };
    expect([intervalDays(test, usedSo()), intervalDays(test, usedSo({ trade: true, hoursPerWeek: 1 }))]).toEqual([
      null,
      365,
    ]);
    const water: PlanRule = { bench: { days: 30 }, flooded: true };
    const planned = [true, false, null].map((sealedBattery) => isPlanned(water, usedSo({ sealedBattery }), null));
    expect(planned).toEqual([false, true, true]);
  });
  test('never beyond the maker’s, never longer with more use', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 80, noNaN: true }), fc.double({ min: 0, max: 80, noNaN: true }), (a, b) => {
        const [little, much] = a < b ? [a, b] : [b, a];
        const days = (h: number) => intervalDays(filter, usedSo({ hoursPerWeek: h }))!;
        expect(days(much)).toBeLessThanOrEqual(days(little));
        expect(days(little)).toBeLessThanOrEqual(90);
      }),
    );
  });
});

describe('due', () => {
  const due = (rule: PlanRule, k: Partial<PlanKnown>, running = still, frost: number | null = null, used = usedSo()) =>
    dueOf(rule, used, known(k), running, here(frost));

  test('what nobody knows to have been done has no day', () => {
    expect(due(filter, {})).toBeNull();
    expect(due(float, {}, steady)).toBeNull();
  });

  test('by the calendar it is certain, by the plate where that is what holds', () => {
    expect(due(filter, { doneOn: '2027-02-01' })).toEqual({
      on: '2027-05-02',
      early: '2027-05-02',
      late: '2027-05-02',
      by: 'plate',
    });
    expect(due(filter, { doneOn: '2027-02-01' }, still, null, usedSo({ pets: true }))).toMatchObject({
      on: '2027-03-03',
      by: 'days',
    });
  });

  test('fifty hours at ten a week come before two months, with what the meter leaves in doubt', () => {
    const rule: PlanRule = { bench: { days: 60, hours: 50 } };
    // Done on a day when it was read: five weeks on, to the day, because it never changed its pace.
    const done = addDays(TODAY, -7);
    expect(due(rule, { doneOn: done }, steady)).toEqual({
      on: addDays(done, 35),
      early: addDays(done, 35),
      late: addDays(done, 35),
      by: 'hours',
    });
    // Two readings tell nothing of their scatter: the likely day, and from two thirds to half as long again.
    const two = runningHours(
      [
        { day: dayNumber(TODAY) - 14, hours: 0 },
        { day: dayNumber(TODAY), hours: 20 },
      ],
      99,
    );
    const found = due(rule, { doneOn: TODAY }, two)!;
    expect(found).toMatchObject({ on: addDays(TODAY, 35), by: 'hours' });
    expect([found.early, found.late]).toEqual([addDays(TODAY, 23), addDays(TODAY, 52)]);
  });

  test('a machine that stands falls due by the calendar alone; one that nobody plans by it never', () => {
    expect(due(float, { doneOn: TODAY })).toMatchObject({ on: addDays(TODAY, 30), by: 'plate' });
    expect(due({ bench: { hours: 50 } }, { doneOn: TODAY })).toBeNull();
  });

  test('by uses: nobody counts them, so many hours each; a pace that is doubted leaves the day in doubt', () => {
    // Ten hours a week, two hours at a time: forty uses are eight weeks.
    const rule: PlanRule = { bench: { uses: 40 } };
    const found = dueOf(rule, usedSo({ hoursPerUse: 2 }), known({ doneOn: TODAY }), steady, here())!;
    expect(found).toMatchObject({ on: addDays(TODAY, 56), by: 'uses' });
    // By the owner’s word alone it is good to a factor of two.
    const said = dueOf(rule, usedSo({ hoursPerUse: 2 }), known({ doneOn: TODAY }), runningHours([], 10), here())!;
    expect([said.early, said.on, said.late]).toEqual([28, 56, 112].map((d) => addDays(TODAY, d)));
    // Whichever comes first; what counts uses is not shortened by use besides.
    expect(due({ bench: { days: 30, uses: 4000 } }, { doneOn: TODAY }, steady)).toMatchObject({ by: 'days' });
    expect(intervalDays({ bench: { days: 90, uses: 40 } }, usedSo({ hoursPerWeek: 30 }))).toBe(90);
  });

  test('after so many washes, from the day of the last', () => {
    const rule: PlanRule = { bench: { days: 365, times: 6 } };
    const k = { doneOn: '2026-09-01', timesOn: '2027-02-20' };
    expect(due(rule, { ...k, times: 5 })).toMatchObject({ on: '2027-09-01', by: 'days' });
    expect(due(rule, { ...k, times: 6 })).toMatchObject({ on: '2027-02-20', by: 'times' });
  });

  test('an earlier look asks for it sooner, and never later', () => {
    expect(due(filter, { doneOn: TODAY, lookAgainOn: '2027-03-15' })).toMatchObject({
      on: '2027-03-15',
      by: 'finding',
    });
    expect(due(filter, { doneOn: TODAY, lookAgainOn: '2029-03-15' })).toMatchObject({ by: 'plate' });
    expect(due(filter, { lookAgainOn: '2027-03-15' })).toMatchObject({ on: '2027-03-15', by: 'finding' });
  });

  test('by the measured line alone, within what it leaves open', () => {
    const day = dayNumber('2027-06-01');
    expect(due({}, { wear: { day, early: day - 20, late: Infinity } })).toEqual({
      on: '2027-06-01',
      early: '2027-05-12',
      late: null,
      by: 'wear',
    });
  });

  test('before the frost, every year; what was done shortly before one counts for it', () => {
    const rule: PlanRule = { frost: true };
    expect(due(rule, {})).toBeNull();
    expect(due(rule, {}, still, 11)).toMatchObject({ on: '2027-11-01', by: 'frost' });
    expect(due(rule, { doneOn: '2026-10-15' }, still, 11)).toMatchObject({ on: '2027-11-01' });
    expect(due(rule, { doneOn: '2027-01-15' }, still, 2)).toMatchObject({ on: '2028-02-01' });
    expect([isPlanned(rule, usedSo(), null), isPlanned(rule, usedSo(), 11)]).toEqual([false, true]);
  });

  test('whichever comes first: more that is known never puts it off', () => {
    const dates = fc.integer({ min: -400, max: 400 }).map((d) => addDays(TODAY, d));
    fc.assert(
      fc.property(
        fc.option(dates),
        fc.option(dates),
        fc.option(dates),
        fc.nat(12),
        (doneOn, lookAgainOn, wearOn, times) => {
          const rule: PlanRule = { maker: { days: 200 }, bench: { days: 150, hours: 300, times: 6 } };
          const wear =
            wearOn === null ? null : { day: dayNumber(wearOn), early: dayNumber(wearOn), late: dayNumber(wearOn) };
          const full = due(rule, { doneOn, lookAgainOn, wear, times, timesOn: doneOn }, steady);
          for (const less of [{ doneOn }, { doneOn, lookAgainOn }, { lookAgainOn }, { wear }]) {
            const some = due(rule, less, steady);
            if (some) expect(full!.on <= some.on).toBe(true);
          }
          if (full) {
            expect(full.early <= full.on).toBe(true);
            expect(full.late === null || full.early <= full.late).toBe(true);
          }
        },
      ),
    );
  });
});
