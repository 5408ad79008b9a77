import fc from 'fast-check';
import { meanRemainingYears } from '../stats/weibull';
import { perYearClosed, turnsAt, withinHalf, worthOf, type WayOn, type WearPart } from './worth';

const part = (id: string, more: Partial<WearPart> = {}): WearPart => ({
  id,
  label: id,
  life: { shape: 1, scaleYears: 5 },
  ageYears: 0,
  priceMinor: 4_000,
  ends: false,
  ...more,
});
const way = (priceMinor: number, parts: WearPart[], id = 'mend'): WayOn => ({ id, label: id, priceMinor, parts });

test('where nothing ages the drawn lives agree with the closed form, within four of their errors', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 30_000 }),
      fc.array(fc.tuple(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 100, max: 9_000 })), { maxLength: 4 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 1, max: 1000 }),
      (price, wear, endYears, seed) => {
        const mend = way(price, [
          part('motor', { ends: true, life: { shape: 1, scaleYears: endYears } }),
          ...wear.map(([scaleYears, priceMinor], i) => part(`p${i}`, { priceMinor, life: { shape: 1, scaleYears } })),
        ]);
        const [worth] = worthOf([mend], { lives: 4000, seed });
        expect(Math.abs(worth!.perYearMinor - perYearClosed(mend)!)).toBeLessThanOrEqual(4 * worth!.errorMinor + 1);
      },
    ),
    { numRuns: 25 },
  );
});

test('where one part ages and nothing else fails, a year costs the price over its mean remaining life', () => {
  const motor = part('motor', { ends: true, life: { shape: 2.5, scaleYears: 6 }, ageYears: 5 });
  const [worth] = worthOf([way(9_000, [motor])]);
  const exact = 9_000 / meanRemainingYears(motor.life, 5);
  expect(Math.abs(worth!.perYearMinor - exact)).toBeLessThan(4 * worth!.errorMinor);
  expect(worth!.years.mean).toBeCloseTo(meanRemainingYears(motor.life, 5), 1);
  expect(perYearClosed(way(9_000, [motor]))).toBeNull();
});

test('the stated error is the scatter between rows of lives: 95 % of 60 seeds lie within two of it', () => {
  const mend = way(9_000, [
    part('motor', { ends: true, life: { shape: 1, scaleYears: 3 } }),
    part('belt', { priceMinor: 1_500, life: { shape: 1, scaleYears: 2 } }),
  ]);
  const truth = perYearClosed(mend)!;
  const near = Array.from({ length: 60 }, (_, seed) => worthOf([mend], { lives: 1500, seed: seed + 1 })[0]!).filter(
    (w) => Math.abs(w.perYearMinor - truth) <= 2 * w.errorMinor,
  );
  // Of 60 at 95 %, fewer than 51 come out once in a thousand rows.
  expect(near.length).toBeGreaterThanOrEqual(51);
});

test('the same seed gives the same lives, and one part has the same luck on every way', () => {
  const motor = part('motor', { ends: true });
  const [a, b] = worthOf([way(5_000, [motor]), way(5_000, [part('belt', { priceMinor: 0 }), motor], 'other')], {
    lives: 500,
  });
  expect(b!.years).toEqual(a!.years);
  expect(worthOf([way(5_000, [motor])], { lives: 500 })[0]).toEqual(a);
});

test('the course of the years comes down from the price, and its band holds it', () => {
  const [worth] = worthOf([way(12_000, [part('motor', { ends: true, life: { shape: 3, scaleYears: 8 } })])], {
    lives: 2000,
  });
  const first = worth!.course[0]!;
  expect(first.perYearMinor).toBeCloseTo(24_000, -3);
  for (const at of worth!.course) {
    expect(at.lowMinor).toBeLessThanOrEqual(at.perYearMinor + 1);
    expect(at.highMinor).toBeGreaterThanOrEqual(at.lowMinor);
  }
  expect(worth!.course.at(-1)!.perYearMinor).toBeLessThan(first.perYearMinor / 4);
});

describe('what it turns on', () => {
  const used = way(15_000, [part('whole', { ends: true, life: { shape: 1, scaleYears: 3 } })], 'used');
  test('a weak motor: at its break-even both cost the same a year', () => {
    const mend = way(8_000, [part('motor', { ends: true, life: { shape: 1, scaleYears: 4 } })]);
    // 15,000 / 3 a year against 8,000 over the years: the same at 1.6.
    expect(turnsAt(mend, [used], 'motor')!).toBeCloseTo(1.6, 0);
    expect(Math.abs(turnsAt(mend, [used], 'motor')! - 1.6)).toBeLessThan(0.12);
  });
  test('no answer where it does not turn on it, or nothing stands beside it', () => {
    const free = way(0, [part('motor', { ends: true })]);
    expect(turnsAt(free, [used], 'motor')).toBeNull();
    expect(turnsAt(free, [], 'motor')).toBeNull();
    expect(turnsAt(free, [used], 'belt')).toBeNull();
  });
});

test('the half-price rule', () => {
  expect(withinHalf(5_000, 10_000)).toBe(true);
  expect(withinHalf(5_001, 10_000)).toBe(false);
});
