import fc from 'fast-check';
import { dayScale } from './dayScale';

const HOUR = 3_600_000;
const start = Date.UTC(2030, 2, 4);
const days = [0, 1, 2, 3, 4].map((d) => start + d * 24 * HOUR);

test.each([0, 5, 9, 15, 21, 23.9])('at %s o’clock the next hours take about half of the width or more', (hour) => {
  const now = start + hour * HOUR;
  const { x, hours } = dayScale(days, now);
  expect(x(now + 10 * HOUR) - x(now)).toBeGreaterThan(0.45);
  expect(x(days[4]!)).toBeCloseTo(1, 12);
  expect(x(days[0]!)).toBe(0);
  // The hours that are written lie in the wide part, three apart.
  for (const { at, hour: written } of hours) {
    expect(at).toBeGreaterThanOrEqual(now - 2 * HOUR);
    expect(((at - start) / HOUR) % 24).toBe(written);
  }
  expect(hours.length).toBeGreaterThanOrEqual(3);
});

test('later is never further to the left, and nothing leaves the strip', () => {
  const instant = fc.integer({ min: start - 100 * HOUR, max: start + 300 * HOUR });
  const now = fc.integer({ min: start, max: start + 24 * HOUR });
  fc.assert(
    fc.property(instant, instant, now, (a, b, n) => {
      const { x } = dayScale(days, n);
      const [before, after] = [Math.min(a, b), Math.max(a, b)];
      expect(x(before)).toBeLessThanOrEqual(x(after));
      expect(x(before)).toBeGreaterThanOrEqual(0);
      expect(x(after)).toBeLessThanOrEqual(1);
    }),
  );
});

test('the scale stands still within an hour', () => {
  const at = (minutes: number) => dayScale(days, start + 9 * HOUR + minutes * 60_000).x(start + 12 * HOUR);
  expect(at(1)).toBe(at(58));
});

test('the day on which the clocks go forward has 23 hours, and is still in order', () => {
  const short = [start, start + 23 * HOUR, start + 47 * HOUR];
  const { x } = dayScale(short, start + 20 * HOUR);
  expect(x(short[1]!)).toBeGreaterThan(x(start + 20 * HOUR));
  expect(x(short[2]!)).toBeCloseTo(1, 12);
});
