import { theilSen } from '../stats/theilSen';

export interface StandOutReading {
  /** Days since any fixed day. */
  day: number;
  standOutMm: number;
}

/**
 * Wear of bristles, mm a day, from readings of their stand-out: the median of the slopes between all pairs (Theil–Sen),
 * which one wrong reading does not carry away, with a 95 % interval.
 * @throws RangeError for fewer than two days
 */
export function bristleWear(readings: StandOutReading[]) {
  const line = theilSen(readings.map((r) => [r.day, r.standOutMm]));
  return {
    perDayMm: -line.slope,
    lowMm: -line.high,
    highMm: -line.low,
    /** Stand-out by the line on a day. */
    at: (day: number) => line.intercept + line.slope * day,
  };
}

/**
 * The day on which the stand-out reaches a limit; null when it does not wear.
 * @returns in the readings' own count of days
 */
export function dayAtStandOut(wear: { perDayMm: number; at(day: number): number }, limitMm: number): number | null {
  return wear.perDayMm > 0 ? (wear.at(0) - limitMm) / wear.perDayMm : null;
}
