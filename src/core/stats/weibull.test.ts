import fc from 'fast-check';
import { chanceWithin, meanRemainingYears, remainingYears, survival, type Life } from './weibull';

const life: fc.Arbitrary<Life> = fc.record({
  shape: fc.double({ min: 0.6, max: 6, noNaN: true }),
  scaleYears: fc.double({ min: 0.2, max: 30, noNaN: true }),
});

test('one scale long 63.2 % have failed, whatever the shape', () => {
  for (const shape of [0.7, 1, 2, 3.5]) expect(survival({ shape, scaleYears: 4 }, 4)).toBeCloseTo(Math.exp(-1), 12);
});

// The mean is the scale times the gamma function of 1 + 1/shape; values of the gamma function: Abramowitz and Stegun,
// Handbook of Mathematical Functions, table 6.1 (Γ(1.25), Γ(1.4) from memory) and Γ(3/2) = √π / 2.
test.each([
  [1, 1],
  [2, Math.sqrt(Math.PI) / 2],
  [4, 0.9064024771],
  [2.5, 0.8872638175],
  [0.5, 2],
])('the mean of a shape of %d is %d scales', (shape, mean) =>
  expect(meanRemainingYears({ shape, scaleYears: 10 }) / 10).toBeCloseTo(mean, 5),
);

test('what does not age is as good as new at any age; what wears out has less before it', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 20, noNaN: true }), (age) => {
      expect(meanRemainingYears({ shape: 1, scaleYears: 3 }, age)).toBeCloseTo(3, 4);
      expect(meanRemainingYears({ shape: 2, scaleYears: 3 }, age + 1)).toBeLessThan(
        meanRemainingYears({ shape: 2, scaleYears: 3 }, age),
      );
    }),
    { numRuns: 50 },
  );
});

test('the draw is the inverse of the chance', () => {
  fc.assert(
    fc.property(
      life,
      fc.double({ min: 0, max: 10, noNaN: true }),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (l, age, u) => {
        fc.pre((age / l.scaleYears) ** l.shape < 20);
        expect(1 - chanceWithin(l, age, remainingYears(l, age, u))).toBeCloseTo(u, 6);
      },
    ),
  );
});
