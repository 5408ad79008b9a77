import { betaUpdate, learnPrior } from './learnPriors';

describe('learning', () => {
  // By hand: Beta with mean 0.1 and weight 40 is Beta(4, 36); after 6 of 20 it is Beta(10, 50), mean 1/6.
  test('moves the kind by hand calculation', () => {
    expect(betaUpdate(0.1, 40, { confirmed: 6, jobs: 20 })).toBeCloseTo(1 / 6, 12);
  });
  // By hand: then the model, weight 15 at 1/6 is Beta(2.5, 12.5); after 3 of 5 it is Beta(5.5, 14.5), mean 0.275.
  test('then the model, by hand calculation', () => {
    expect(learnPrior(0.1, { confirmed: 6, jobs: 20 }, { confirmed: 3, jobs: 5 })).toBeCloseTo(0.275, 12);
  });
  test('a model without jobs has its kind’s figure, a kind without jobs the shipped one', () => {
    expect(learnPrior(0.07, { confirmed: 0, jobs: 0 })).toBeCloseTo(0.07, 12);
    expect(learnPrior(0.1, { confirmed: 6, jobs: 20 })).toBeCloseTo(1 / 6, 12);
  });
  test('with very many jobs the shipped figure no longer matters', () => {
    expect(learnPrior(0.01, { confirmed: 50_000, jobs: 100_000 })).toBeCloseTo(0.5, 2);
  });
  test('more confirmed than jobs is refused', () => {
    expect(() => betaUpdate(0.1, 40, { confirmed: 2, jobs: 1 })).toThrow(RangeError);
  });
});
