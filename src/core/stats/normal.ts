/** Density of the normal distribution. */
export function normalDensity(x: number, mean: number, sigma: number): number {
  const z = (x - mean) / sigma;
  return Math.exp(-0.5 * z * z) / (sigma * Math.sqrt(2 * Math.PI));
}

/**
 * Share of the standard normal distribution below `z`, to 1.5e-7 (Abramowitz & Stegun 7.1.26, from memory; checked against
 * simple-statistics).
 */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  // Further out there is less left than this series can tell.
  if (x > 4.5) return z < 0 ? 0 : 1;
  const t = 1 / (1 + 0.3275911 * x);
  const erf =
    1 -
    t *
      (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
      Math.exp(-x * x);
  return z < 0 ? (1 - erf) / 2 : (1 + erf) / 2;
}
