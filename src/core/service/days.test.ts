import fc from 'fast-check';
import { DateTime } from 'luxon';
import { addDays, dateOfDay, dayNumber, daysBetween } from './days';

// Reference: calendar arithmetic of the luxon package.
test('dates against a reference library, over leap days', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20000 }), fc.integer({ min: -4000, max: 4000 }), (start, days) => {
      const from = DateTime.fromISO('1990-01-01', { zone: 'utc' }).plus({ days: start });
      const to = addDays(from.toISODate()!, days);
      expect(to).toBe(from.plus({ days }).toISODate());
      expect(daysBetween(from.toISODate()!, to)).toBe(days);
      expect(dateOfDay(dayNumber(to) + 0.9)).toBe(to);
    }),
  );
  expect(() => addDays('soon', 1)).toThrow(RangeError);
});
