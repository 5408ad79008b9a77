import { seededRandom } from '../diagnosis/seededRandom';
import { chiSquaredZ } from './chiSquared';
import { learnInLine } from './linearEvidence';

describe('learning in a line', () => {
  test('one unknown, one reading: the weighted middle and the density of any handbook', () => {
    // Before: 0 ± 1. Reading 3 ± 0.5 of it: middle 3 · 1/(1 + 0.25), variance 0.25/1.25; the reading itself is 0 ± √1.25.
    const { mean, covariance, logEvidence, misfit } = learnInLine([3], [[1]], [0.5]);
    expect(mean[0]).toBeCloseTo(2.4, 12);
    expect(covariance[0]![0]).toBeCloseTo(0.2, 12);
    expect(misfit).toBeCloseTo(9 / 1.25, 12);
    expect(logEvidence).toBeCloseTo(-0.5 * (9 / 1.25 + Math.log(2 * Math.PI * 1.25)), 12);
  });

  test('the order of the readings does not matter, and unknowns that nothing tells of stay as they were', () => {
    const random = seededRandom(3);
    const slopes = Array.from({ length: 6 }, () => [random() - 0.5, 2 * random(), 0]);
    const residuals = slopes.map(() => 4 * random() - 2);
    const sigmas = slopes.map(() => 0.2 + random());
    const there = learnInLine(residuals, slopes, sigmas);
    const back = learnInLine([...residuals].reverse(), [...slopes].reverse(), [...sigmas].reverse());
    expect(back.logEvidence).toBeCloseTo(there.logEvidence, 9);
    expect(back.misfit).toBeCloseTo(there.misfit, 9);
    there.mean.forEach((m, i) => expect(back.mean[i]).toBeCloseTo(m, 9));
    expect(there.mean[2]).toBe(0);
    expect(there.covariance[2]![2]).toBe(1);
  });

  test('it is the least-squares answer: nothing near it misses the readings and the unknowns’ own spread by less', () => {
    const random = seededRandom(8);
    const slopes = Array.from({ length: 5 }, () => [random(), random() - 0.5]);
    const residuals = slopes.map(() => 3 * random());
    const sigmas = slopes.map(() => 0.3);
    const { mean, misfit } = learnInLine(residuals, slopes, sigmas);
    const miss = (x: number[]) =>
      slopes.reduce(
        (sum, s, i) => sum + ((residuals[i]! - s[0]! * x[0]! - s[1]! * x[1]!) / sigmas[i]!) ** 2,
        x[0]! ** 2 + x[1]! ** 2,
      );
    expect(misfit).toBeCloseTo(miss(mean), 9);
    for (const [dx, dy] of [
      [0.01, 0],
      [-0.01, 0],
      [0, 0.01],
      [0, -0.01],
      [0.01, 0.01],
    ])
      expect(miss([mean[0]! + dx!, mean[1]! + dy!])).toBeGreaterThan(miss(mean));
  });
});

// Upper points of chi-squared as any handbook tabulates them; normal points 1.6449 and 3.0902.
test.each([
  [1, 3.841, 10.828],
  [2, 5.991, 13.816],
  [5, 11.07, 20.515],
  [9, 16.919, 27.877],
  [30, 43.773, 59.703],
])('chi-squared with %d degrees: %d is one in twenty, %d one in a thousand', (degrees, twenty, thousand) => {
  expect(chiSquaredZ(twenty, degrees)).toBeCloseTo(1.6449, 1);
  expect(chiSquaredZ(thousand, degrees)).toBeCloseTo(3.0902, degrees === 1 ? 0 : 1);
});
