/**
 * Hours that a carbon brush still lasts at the rate so far: wear in proportion to running hours (common practice, no source).
 * @throws RangeError when it has not been worn, or is longer than new
 */
export function brushHoursLeft(newMm: number, nowMm: number, leastMm: number, hoursRun: number): number {
  if (!(newMm > nowMm && hoursRun > 0)) throw new RangeError('It must be shorter than new, after some hours.');
  return Math.max(0, ((nowMm - leastMm) / (newMm - nowMm)) * hoursRun);
}
