import fc from 'fast-check';
import { calibration, logScore, wilson } from './calibration';
import { seededRandom } from './seededRandom';

// Wilson interval, worked by hand from the published formula: 8 of 10 at 95 %.
test('8 of 10 lies between 0.490 and 0.943', () => {
  const [low, high] = wilson(8, 10);
  expect(low).toBeCloseTo(0.4902, 3);
  expect(high).toBeCloseTo(0.9433, 3);
});

test('the interval holds the share and stays within 0 and 1', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), fc.double({ min: 0, max: 1, noNaN: true }), (n, u) => {
      const hits = Math.round(u * n);
      const [low, high] = wilson(hits, n);
      expect(low).toBeLessThanOrEqual(hits / n + 1e-12);
      expect(high).toBeGreaterThanOrEqual(hits / n - 1e-12);
      expect(low).toBeGreaterThanOrEqual(0);
      expect(high).toBeLessThanOrEqual(1);
    }),
    { seed: 2 },
  );
  expect(() => wilson(1, 0)).toThrow(RangeError);
});

test('a coin that says a half scores one bit, foresight next to none', () => {
  expect(logScore([0.5, 0.5].map((said, i) => ({ said, was: i === 0 })))).toBeCloseTo(1, 12);
  expect(logScore([{ said: 1, was: true }])).toBeLessThan(0.002);
  expect(logScore([{ said: 0, was: true }])).toBeCloseTo(Math.log2(1000), 6);
});

test('honest forecasts lie on the diagonal, and telling the truth scores best', () => {
  const random = seededRandom(3);
  const honest = Array.from({ length: 20_000 }, () => {
    const said = random();
    return { said, was: random() < said };
  });
  for (const bin of calibration(honest)) expect(Math.abs(bin.was - bin.said)).toBeLessThan(0.05);
  const bold = honest.map((f) => ({ ...f, said: f.said > 0.5 ? 0.99 : 0.01 }));
  const timid = honest.map((f) => ({ ...f, said: 0.5 }));
  expect(logScore(honest)).toBeLessThan(logScore(bold));
  expect(logScore(honest)).toBeLessThan(logScore(timid));
});

test('every forecast is in one bin, the certain one in the last', () => {
  const bins = calibration([0, 0.05, 0.1, 0.999, 1].map((said) => ({ said, was: true })));
  expect(bins.map((b) => b.forecasts)).toEqual([2, 1, 2]);
});
