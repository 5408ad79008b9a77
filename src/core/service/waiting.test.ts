import { waitingCost } from './waiting';

test('what does not age costs the same whenever it is left; what wears costs more every week', () => {
  const steady = { shape: 1, scaleYears: 4 };
  expect(waitingCost(steady, 0, 10_000)).toBeCloseTo(waitingCost(steady, 9, 10_000), 6);
  // A week of four years, to first order.
  expect(waitingCost(steady, 0, 10_000)).toBeCloseTo((10_000 * 7) / 365.25 / 4, 0);
  const wearing = { shape: 3, scaleYears: 4 };
  expect(waitingCost(wearing, 4, 10_000)).toBeGreaterThan(4 * waitingCost(wearing, 1.5, 10_000));
});
