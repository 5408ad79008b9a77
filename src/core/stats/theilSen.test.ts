import { seededRandom } from '../diagnosis/seededRandom';
import fc from 'fast-check';
import { linearRegression, medianAbsoluteDeviation } from 'simple-statistics';
import { median, theilSen } from './theilSen';

// simple-statistics, an independent library: on an exact line least squares and the robust line agree.
test('an exact line, as least squares has it', () => {
  const points: [number, number][] = [0, 1, 2, 5, 9].map((x) => [x, 3 - 0.5 * x]);
  const { m, b } = linearRegression(points);
  const line = theilSen(points);
  expect(line.slope).toBeCloseTo(m, 12);
  expect(line.intercept).toBeCloseTo(b, 12);
});

test('one wild reading in nine does not move it', () => {
  const points = Array.from({ length: 9 }, (_, x): [number, number] => [x, x === 4 ? 90 : 2 * x]);
  expect(theilSen(points).slope).toBeCloseTo(2, 9);
});

test('the slope lies in its interval, and turns with the data', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 3, maxLength: 12 }), (ys) => {
      const up = theilSen(ys.map((y, x) => [x, y]));
      const down = theilSen(ys.map((y, x) => [x, -y]));
      expect(up.low).toBeLessThanOrEqual(up.slope);
      expect(up.high).toBeGreaterThanOrEqual(up.slope);
      expect(down.slope).toBeCloseTo(-up.slope, 9);
    }),
    { seed: 1 },
  );
  expect(() =>
    theilSen([
      [1, 2],
      [1, 3],
    ]),
  ).toThrow(RangeError);
});

test('the median is the one of the library', () => {
  expect(median([1, 2, 4, 9])).toBe(3);
  expect(medianAbsoluteDeviation([1, 2, 4, 9])).toBe(1.5);
});

test('the interval of the slope holds in about 95 of 100 samples of a noisy line', () => {
  const random = seededRandom(17);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  for (const n of [6, 10, 20]) {
    let inside = 0;
    for (let run = 0; run < 800; run++) {
      const { low, high } = theilSen(Array.from({ length: n }, (_, i) => [i, 5 - 0.3 * i + normal()] as const));
      if (low <= -0.3 && high >= -0.3) inside++;
    }
    expect(inside / 800).toBeGreaterThanOrEqual(0.935);
    expect(inside / 800).toBeLessThanOrEqual(0.995);
  }
});
