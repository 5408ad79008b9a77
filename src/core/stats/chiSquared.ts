/**
 * How many standard deviations a chi-squared lies above its middle, by the cube root (Wilson & Hilferty 1931).
 * @param degrees at least one
 */
export function chiSquaredZ(chiSquared: number, degrees: number): number {
  const v = 2 / (9 * degrees);
  return (Math.cbrt(chiSquared / degrees) - (1 - v)) / Math.sqrt(v);
}
