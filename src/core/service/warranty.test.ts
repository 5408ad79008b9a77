import fc from 'fast-check';
import { DateTime } from 'luxon';
import { warrantyUntil } from './warranty';

test('whole months, and the end of a shorter month', () => {
  expect(warrantyUntil('2025-03-15', 24)).toBe('2027-03-15');
  expect(warrantyUntil('2024-08-31', 6)).toBe('2025-02-28');
  expect(warrantyUntil('2023-08-31', 6)).toBe('2024-02-29');
  expect(warrantyUntil('2024-02-29', 12)).toBe('2025-02-28');
  expect(warrantyUntil('2024-02-29', 0)).toBeNull();
  expect(() => warrantyUntil('yesterday', 12)).toThrow(RangeError);
  expect(() => warrantyUntil('2024-13-01', 12)).toThrow(RangeError);
});

test('as the reference library for calendars has it (luxon, plus months)', () => {
  const days = fc.integer({ min: 0, max: 40_000 }).map((d) => new Date(d * 86_400_000).toISOString().slice(0, 10));
  fc.assert(
    fc.property(days, fc.integer({ min: 1, max: 240 }), (day, months) => {
      expect(warrantyUntil(day, months)).toBe(DateTime.fromISO(day, { zone: 'UTC' }).plus({ months }).toISODate());
    }),
  );
});
