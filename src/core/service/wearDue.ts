import { theilSen } from '../stats/theilSen';

export interface WearReading {
  /** Days since any fixed day. */
  day: number;
  value: number;
}

/** Days; Infinity where the slower pace never reaches the limit. */
export interface WearDay {
  day: number;
  early: number;
  late: number;
}

/** Two readings tell nothing of their scatter: half as fast again, or two thirds as fast. Common practice, no source. */
const DOUBT_OF_TWO = 1.5;

/**
 * When what is measured reaches its limit: bristles in millimetres, a battery in volts, suction in kilopascals, by a robust line
 * (Theil–Sen) and the interval of its slope.
 * @param readings of one part, since it was new
 * @returns null with fewer than two days, or where it does not go towards the limit; the day of the last reading when that is
 * past it
 */
export function wearDue(readings: readonly WearReading[], limit: number, towards: 'down' | 'up'): WearDay | null {
  if (new Set(readings.map((r) => r.day)).size < 2) return null;
  const sign = towards === 'down' ? -1 : 1;
  const inOrder = [...readings].sort((a, b) => a.day - b.day);
  const last = inOrder.at(-1)!;
  if (sign * (last.value - limit) >= 0) return { day: last.day, early: last.day, late: last.day };
  const line = theilSen(inOrder.map((r) => [r.day, sign * r.value]));
  if (!(line.slope > 0)) return null;
  const left = sign * limit - (line.intercept + line.slope * last.day);
  const [slow, fast] =
    inOrder.length < 3 ? [line.slope / DOUBT_OF_TWO, line.slope * DOUBT_OF_TWO] : [line.low, line.high];
  const at = (slope: number) => (slope > 0 ? last.day + Math.max(0, left) / slope : Infinity);
  return { day: at(line.slope), early: at(fast), late: at(slow) };
}

/** So large a part of what was left to wear comes back only with a new part. Common practice, no source. */
const RENEWED = 0.4;

/**
 * The readings since the part was last new: one that lies much further from the limit than the one before it is of another
 * part, whether anybody wrote that down or not.
 */
export function sinceRenewed<R extends WearReading>(
  readings: readonly R[],
  limit: number,
  towards: 'down' | 'up',
): R[] {
  const left = (r: R) => (towards === 'down' ? r.value - limit : limit - r.value);
  const inOrder = [...readings].sort((a, b) => a.day - b.day);
  const last = inOrder.findLastIndex(
    (r, i) => i > 0 && left(r) - left(inOrder[i - 1]!) > RENEWED * Math.max(left(inOrder[i - 1]!), limit * RENEWED),
  );
  return inOrder.slice(Math.max(0, last));
}
