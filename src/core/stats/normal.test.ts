import { cumulativeStdNormalProbability } from 'simple-statistics';
import { normalBelow, normalDensity } from './normal';

// simple-statistics, an independent library: its table has four digits.
test('the share below, against another hand and its own density', () => {
  for (let z = -3; z <= 3; z += 0.25) {
    expect(normalBelow(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 3);
    const slope = (normalBelow(z + 1e-3) - normalBelow(z - 1e-3)) / 2e-3;
    expect(slope).toBeCloseTo(normalDensity(z, 0, 1), 3);
  }
  // Two-sided points of any handbook.
  expect(normalBelow(1.959964)).toBeCloseTo(0.975, 6);
  expect(normalBelow(-3.090232)).toBeCloseTo(0.001, 6);
});

test('far out it is nought and one, without a step where the series ends, and never falls', () => {
  let before = 0;
  for (let z = -40; z <= 40; z += 0.01) {
    const below = normalBelow(z);
    expect(below).toBeGreaterThanOrEqual(before - 1e-12);
    expect(below - before).toBeLessThan(0.01);
    before = below;
  }
  expect([normalBelow(-Infinity), normalBelow(Infinity)]).toEqual([0, 1]);
});
