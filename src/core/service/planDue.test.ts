import fc from 'fast-check';
import { DateTime } from 'luxon';
import { addDays, daysBetween, intervalDays } from './planDue';

// Rules: common practice, no source (pre-motor filter: 3 months by the plate, monthly under pets or heavy use).
const filter = { makerDays: 90, benchDays: 90, heavyDays: 30 };

describe('interval', () => {
  test('ordinary use keeps the maker’s plate', () =>
    expect(intervalDays(filter, { pets: false, trade: false, hoursPerWeek: 1.5 })).toBe(90));
  test('pets make it monthly', () =>
    expect(intervalDays(filter, { pets: true, trade: false, hoursPerWeek: 1 })).toBe(30));
  test('half as much use again shortens in proportion', () =>
    expect(intervalDays({ makerDays: null, benchDays: 270 }, { pets: false, trade: false, hoursPerWeek: 2.25 })).toBe(
      180,
    ));
  test('a safety test is for trade use only', () => {
    const rule = { makerDays: null, benchDays: 365, tradeOnly: true as const };
    expect(intervalDays(rule, { pets: false, trade: false, hoursPerWeek: 1 })).toBeNull();
    expect(intervalDays(rule, { pets: false, trade: true, hoursPerWeek: 1 })).toBe(365);
  });
  test('never beyond the maker’s, never longer with more use', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 80, noNaN: true }), fc.double({ min: 0, max: 80, noNaN: true }), (a, b) => {
        const [little, much] = a < b ? [a, b] : [b, a];
        const days = (h: number) => intervalDays(filter, { pets: false, trade: false, hoursPerWeek: h })!;
        expect(days(much)).toBeLessThanOrEqual(days(little));
        expect(days(little)).toBeLessThanOrEqual(90);
      }),
    );
  });
});

// Reference: calendar arithmetic of the luxon package.
test('dates against a reference library, over leap days', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20000 }), fc.integer({ min: -4000, max: 4000 }), (start, days) => {
      const from = DateTime.fromISO('1990-01-01', { zone: 'utc' }).plus({ days: start });
      const to = addDays(from.toISODate()!, days);
      expect(to).toBe(from.plus({ days }).toISODate());
      expect(daysBetween(from.toISODate()!, to)).toBe(days);
    }),
  );
  expect(() => addDays('soon', 1)).toThrow(RangeError);
});
