import { chanceWithin, type Life } from '../stats/weibull';

const WEEK_YEARS = 7 / 365.25;

/**
 * What it costs on the average to leave something for another week: the chance that it fails in it, times what the failure
 * costs, smallest units a week.
 * @param ageYears since it was last done
 * @example waitingCost({ shape: 1, scaleYears: 1 }, 3, 0) // → 0
 */
export function waitingCost(life: Life, ageYears: number, failureMinor: number): number {
  return chanceWithin(life, ageYears, WEEK_YEARS) * failureMinor;
}
