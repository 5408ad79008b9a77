import type { Weighing } from './dryingTime';

/** The slowest part that is dried on a rack loses its water with about this time, h. Common practice, no source. */
const SLOWEST_TAU_HOURS = 8;
/** Two readings of one scale differ by as much as this many times what it is good to. */
const TWO_READINGS = 2 * Math.SQRT2;

export type WeighingVerdict =
  /** Heavier than before, by more than the scale: the number of the weighing, from 1. */
  | { is: 'heavier'; at: number }
  /** No loss that this scale can see; `isDry` when it would have seen what a damp part loses in that time. */
  | { is: 'still'; isDry: boolean; againHours: number }
  /** It loses about the same each hour: the end cannot be told before that slows. g/h */
  | { is: 'steady'; gramsPerHour: number }
  | { is: 'falling' };

/**
 * What a row of weighings can say at all, before a curve is laid through it. Equal weights are no proof by themselves: a
 * part with as much water left as may be left loses so little in minutes that no scale sees it. The first law of drying, at
 * a constant rate while the surface is wet, has no end in it (any handbook of drying).
 * @param leftG so much water may be left
 * @param scaleG what the scale is good to
 */
export function judgeWeighings(weighings: readonly Weighing[], leftG: number, scaleG: number): WeighingVerdict {
  const tells = TWO_READINGS * scaleG;
  let least = Infinity;
  for (const [i, w] of weighings.entries()) {
    if (w.grams > least + tells) return { is: 'heavier', at: i + 1 };
    least = Math.min(least, w.grams);
  }
  const [first, last] = [weighings[0]!, weighings.at(-1)!];
  const hours = last.hours - first.hours;
  if (first.grams - last.grams < tells) {
    // Of what may be left so much is lost in this time, when it dries as slowly as anything does.
    const part = Math.min(0.95, tells / leftG);
    const againHours = -SLOWEST_TAU_HOURS * Math.log(1 - part);
    return { is: 'still', isDry: tells < leftG && hours >= againHours, againHours };
  }
  return weighings.length >= 3 && isStraight(weighings, scaleG)
    ? { is: 'steady', gramsPerHour: slopeOf(weighings) }
    : { is: 'falling' };
}

/** A line through the first and the last: no weighing between them is further from it than the scale can tell. */
function isStraight(weighings: readonly Weighing[], scaleG: number): boolean {
  const [first, last] = [weighings[0]!, weighings.at(-1)!];
  const slope = (last.grams - first.grams) / (last.hours - first.hours);
  return weighings.every(
    (w) => Math.abs(w.grams - first.grams - slope * (w.hours - first.hours)) <= TWO_READINGS * scaleG,
  );
}

/** Loss by least squares, g/h. */
function slopeOf(weighings: readonly Weighing[]): number {
  const n = weighings.length;
  const [mh, mg] = [weighings.reduce((a, w) => a + w.hours, 0) / n, weighings.reduce((a, w) => a + w.grams, 0) / n];
  const [over, under] = weighings.reduce(
    ([a, b], w) => [a + (w.hours - mh) * (w.grams - mg), b + (w.hours - mh) ** 2] as const,
    [0, 0] as readonly [number, number],
  );
  return -over / under;
}
