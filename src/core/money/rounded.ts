/** To the even neighbour from the middle, or away from nothing. */
export type Rounding = 'half-even' | 'half-up';

/**
 * A whole number divided by another, rounded; exact for whole numbers of any size.
 *
 * Half-even is rule A of ISO 80000-1 (annex B), which draws no sum up or down; half-up is its rule B, away from nought.
 * @throws RangeError for a divisor that is not above nought
 * @example divided(1225n, 10n) // → 122n
 * @example divided(1225n, 10n, 'half-up') // → 123n
 * @example divided(-1225n, 10n, 'half-up') // → -123n
 */
export function divided(amount: bigint, by: bigint, rounding: Rounding = 'half-even'): bigint {
  if (by <= 0n) throw new RangeError('Divided by what is not above nought.');
  const size = amount < 0n ? -amount : amount;
  const whole = size / by;
  const twice = 2n * (size % by);
  const up = twice > by || (twice === by && (rounding === 'half-up' || whole % 2n === 1n));
  const rounded = up ? whole + 1n : whole;
  return amount < 0n ? -rounded : rounded;
}

/** Rates are whole hundred-thousandths: 8.875 % is 8875. */
export const RATE_UNIT = 100_000;

/**
 * A share of an amount, in whole smallest units.
 * @param per100k the rate, hundred-thousandths
 * @example shareOf(1000, 8875) // → 89
 */
export function shareOf(minor: number, per100k: number, rounding: Rounding = 'half-even'): number {
  return Number(divided(BigInt(minor) * BigInt(per100k), BigInt(RATE_UNIT), rounding));
}

/**
 * What some quantity costs at a price for one.
 * @param thousandths of one: 1500 is one and a half
 * @example priceOf(1500, 333) // → 500
 */
export function priceOf(thousandths: number, eachMinor: number, rounding: Rounding = 'half-even'): number {
  return Number(divided(BigInt(thousandths) * BigInt(eachMinor), 1000n, rounding));
}
