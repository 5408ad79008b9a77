import fc from 'fast-check';
import { dryingTime } from './dryingTime';

const curve = (dry: number, water: number, tau: number, hours: number[]) =>
  hours.map((h) => ({ hours: h, grams: dry + water * Math.exp(-h / tau) }));

test('finds the exponential again from exact weighings', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 500, noNaN: true }),
      fc.double({ min: 10, max: 300, noNaN: true }),
      fc.double({ min: 1, max: 12, noNaN: true }),
      (dry, water, tau) => {
        const found = dryingTime(curve(dry, water, tau, [0, 1, 2, 3, 5]), 1)!;
        expect(found.tauHours / tau).toBeCloseTo(1, 3);
        expect(found.dryG / dry).toBeCloseTo(1, 2);
        expect(found.untilHours / (tau * Math.log(water))).toBeCloseTo(1, 2);
      },
    ),
    { seed: 6, numRuns: 50 },
  );
});

test('with the dry weight known two weighings do', () => {
  const found = dryingTime(curve(120, 60, 3, [0, 1.5]), 1.2, 120)!;
  expect(found.tauHours).toBeCloseTo(3, 4);
  expect(found.untilHours).toBeCloseTo(3 * Math.log(50), 3);
});

test('what does not get lighter is not dried', () => {
  expect(
    dryingTime(
      [
        { hours: 0, grams: 100 },
        { hours: 1, grams: 104 },
        { hours: 2, grams: 108 },
      ],
      1,
    ),
  ).toBeNull();
});
