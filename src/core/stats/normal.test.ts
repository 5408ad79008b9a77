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
