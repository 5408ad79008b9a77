import fc from 'fast-check';
import { seededRandom } from '../diagnosis/seededRandom';
import { dayAfterHours, runningHours, totalOn, type MeterReading } from './runningHours';
import { sinceRenewed, wearDue } from './wearDue';

const weekly = (hours: number[], from = 0): MeterReading[] => hours.map((h, i) => ({ day: from + 7 * i, hours: h }));

describe('a meter', () => {
  test('that is read every week', () => {
    const r = runningHours(weekly([100, 110, 120, 130]), 99);
    expect(r).toMatchObject({ events: [], from: 'meter' });
    expect([r.perDay * 7, r.low * 7, r.high * 7].map((x) => Math.round(1e6 * x) / 1e6)).toEqual([10, 10, 10]);
    expect([totalOn(r, 0), totalOn(r, 10), totalOn(r, 28)].map((t) => Math.round(t!))).toEqual([0, 14, 40]);
  });

  test('that was swapped: it went on at its pace, and the new one counts from where it is', () => {
    const r = runningHours(weekly([100, 110, 120, 3, 13, 23]), 99);
    expect(r.events).toEqual([{ day: 21, sort: 'turned-back', from: 120, to: 3 }]);
    // At most what the new meter shows was run on it: three hours of the week’s ten.
    expect(r.points.map((p) => Math.round(p.total))).toEqual([0, 10, 20, 23, 33, 43]);
  });

  test('that shows more than the days can hold was swapped for a used one', () => {
    const r = runningHours(weekly([100, 110, 120, 5000, 5010]), 99);
    expect(r.events).toEqual([{ day: 21, sort: 'ran-ahead', from: 120, to: 5000 }]);
    expect(r.points.at(-1)!.total).toBeCloseTo(40, 9);
  });

  test('that was misread once, between two that fit each other', () => {
    const r = runningHours(weekly([100, 110, 1200, 130, 140]), 99);
    expect(r.events).toEqual([{ day: 14, sort: 'misread', from: 110, to: 1200 }]);
    expect(r.perDay * 7).toBeCloseTo(10, 9);
    const low = runningHours(weekly([100, 110, 12, 130, 140]), 99);
    expect(low.events.map((e) => e.sort)).toEqual(['misread']);
  });

  test('that nobody read: what the owner says, to a factor of two', () => {
    const r = runningHours([], 7);
    expect(r).toMatchObject({ points: [], events: [], perDay: 1, low: 0.5, high: 2, from: 'card' });
    expect(dayAfterHours(r, 100, 50)).toEqual({ day: 150, early: 125, late: 200 });
    expect(totalOn(r, 5)).toBeNull();
    expect(runningHours([{ day: 3, hours: 53.6 }], 7)).toMatchObject({ perDay: 1, from: 'card' });
  });

  test('refuses what no meter shows', () => expect(() => runningHours([{ day: 1, hours: -1 }], 1)).toThrow(RangeError));
});

describe('so many hours on', () => {
  const r = runningHours(weekly([100, 110, 120, 130]), 99);
  test('from the last reading, what was run since it was done counted', () =>
    expect(dayAfterHours(r, 7, 50).day).toBeCloseTo(42, 9));
  test('done after the last reading', () => expect(dayAfterHours(r, 30, 10).day).toBeCloseTo(37, 9));
  test('run already: between the two readings in which it happened', () =>
    expect(dayAfterHours(r, 0, 15)).toEqual({ day: 10.5, early: 7, late: 14 }));
  test('a machine that does not run', () =>
    expect(dayAfterHours(runningHours([], 0), 10, 50)).toEqual({ day: Infinity, early: Infinity, late: Infinity }));

  // A machine of another hand: weeks of gamma-like use, run on until the hours are run. The interval is to hold 95 of 100 times.
  test.each([
    [5, 100],
    [12, 100],
    [25, 200],
    [25, 20],
  ])(
    'of a pace that scatters, read %i times, the day lies in the interval about as often as it says',
    (times, ahead) => {
      const random = seededRandom(31);
      const week = () => -4 * (Math.log(1 - random()) + Math.log(1 - random()) + Math.log(1 - random()));
      let inside = 0;
      const RUNS = 400;
      for (let n = 0; n < RUNS; n++) {
        const at: MeterReading[] = [];
        let hours = 0;
        for (let i = 0; i < times; i++) {
          at.push({ day: 7 * i, hours });
          if (i < times - 1) hours += week();
        }
        const { early, late } = dayAfterHours(runningHours(at, 1), at.at(-1)!.day, ahead);
        let [run, day] = [0, at.at(-1)!.day];
        while (run < ahead) {
          const more = week();
          day += 7 * Math.min(1, (ahead - run) / more);
          run += more;
        }
        if (early <= day && day <= late) inside++;
      }
      expect(inside / RUNS).toBeGreaterThan(0.9);
      expect(inside / RUNS).toBeLessThan(0.995);
    },
  );
});

test('totals never fall, whatever is written down', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 2000 }), fc.double({ min: 0, max: 9e6, noNaN: true })), {
        maxLength: 40,
      }),
      fc.double({ min: 0, max: 168, noNaN: true }),
      (list, perWeek) => {
        const r = runningHours(
          list.map(([day, hours]) => ({ day, hours })),
          perWeek,
        );
        r.points.forEach((p, i) => expect(p.total).toBeGreaterThanOrEqual(r.points[i - 1]?.total ?? 0));
        expect(r.low).toBeLessThanOrEqual(r.perDay);
        expect(r.high).toBeGreaterThanOrEqual(r.perDay);
        const { day, early, late } = dayAfterHours(r, 500, 50);
        expect(early).toBeLessThanOrEqual(day);
        expect(late).toBeGreaterThanOrEqual(day);
      },
    ),
  );
});

describe('wear', () => {
  const line = (values: number[]) => values.map((value, i) => ({ day: 30 * i, value }));
  test('a straight line reaches its limit when it does', () => {
    const due = wearDue(line([20, 18, 16, 14]), 10, 'down')!;
    expect(due.day).toBeCloseTo(150, 9);
    expect([due.early, due.late]).toEqual([due.day, due.day]);
  });
  test('one wrong reading carries nothing away', () =>
    expect(wearDue(line([20, 18, 90, 14, 12]), 10, 'down')!.day).toBeCloseTo(150, 0));
  test('upwards as downwards', () => expect(wearDue(line([1, 2, 3]), 5, 'up')!.day).toBeCloseTo(120, 9));
  test('past the limit it is due on the day it was read', () =>
    expect(wearDue(line([12, 9]), 10, 'down')).toEqual({ day: 30, early: 30, late: 30 }));
  test('what does not wear, or was read once, says nothing', () => {
    expect(wearDue(line([14, 15, 16]), 10, 'down')).toBeNull();
    expect(wearDue(line([14]), 10, 'down')).toBeNull();
    expect(wearDue([], 10, 'down')).toBeNull();
  });
  test('a new part begins its own line, whoever wrote it down; a reading that scatters does not', () => {
    const worn = line([30, 24, 18, 45, 41, 37]);
    expect(sinceRenewed(worn, 10, 'down').map((r) => r.value)).toEqual([45, 41, 37]);
    expect(sinceRenewed(line([20, 18, 18.6, 17]), 10, 'down')).toHaveLength(4);
    expect(sinceRenewed(line([11, 10.2, 11.4]), 10, 'down')).toHaveLength(3);
    expect(sinceRenewed(line([1, 3, 4.6, 0.5]), 5, 'up').map((r) => r.value)).toEqual([0.5]);
    expect(sinceRenewed([], 10, 'down')).toEqual([]);
  });
  test('two readings leave room on both sides', () => {
    const due = wearDue(line([20, 18]), 10, 'down')!;
    expect(due.early).toBeLessThan(due.day);
    expect(due.late).toBeGreaterThan(due.day);
  });
});
