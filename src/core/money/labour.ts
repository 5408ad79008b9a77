import { divided, type Rounding } from './rounded';

/** How a shop charges its minutes. */
export interface LabourTerms {
  /** What an hour is charged at, smallest units. */
  hourMinor: number;
  /** Begun steps are charged whole: 1 charges by the minute. */
  stepMinutes: number;
  rounding: Rounding;
}

/**
 * Minutes as they are charged: whole steps, begun ones in full; seconds of a sum of tenths begin none.
 * @example chargedMinutes(31, 15) // → 45
 * @example chargedMinutes(30.000000001, 15) // → 30
 */
export function chargedMinutes(minutes: number, stepMinutes: number): number {
  return Math.ceil(Math.round(minutes * 1000) / 1000 / stepMinutes) * stepMinutes;
}

/**
 * What some minutes of work cost, in smallest units.
 * @example labourMinor(31, { hourMinor: 6000, stepMinutes: 15, rounding: 'half-even' }) // → 4500
 */
export function labourMinor(minutes: number, { hourMinor, stepMinutes, rounding }: LabourTerms): number {
  const charged = Math.round(chargedMinutes(minutes, stepMinutes) * 1000);
  return Number(divided(BigInt(charged) * BigInt(hourMinor), 60_000n, rounding));
}
