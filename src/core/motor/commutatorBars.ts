import { median } from '../stats/theilSen';

export interface OddBar {
  /** The pair of neighbouring bars, counted from 1. */
  bars: [number, number];
  ohm: number;
  score: number;
  /** High: an open coil or a bad joint; low: turns shorted. */
  is: 'open' | 'short';
}

/** A modified z-score beyond this is an outlier (Iglewicz & Hoaglin 1993; NIST/SEMATECH e-Handbook 1.3.5.17). */
const OUTLIER = 3.5;
/** Readings closer to the median than this part of it are the meter's. Common practice, no source. */
const METER_PART = 0.02;

/**
 * Bar-to-bar readings of a commutator, all round: those that stand out by the modified z-score `0.6745·(x − median)/MAD`.
 * @throws RangeError for fewer than 5
 */
export function oddBars(ohms: readonly number[]): { median: number; spread: number; odd: OddBar[] } {
  if (ohms.length < 5) throw new RangeError('Five readings at least.');
  const middle = median([...ohms].sort((a, b) => a - b));
  const mad = median(ohms.map((x) => Math.abs(x - middle)).sort((a, b) => a - b));
  const unit = Math.max(mad, 0.6745 * METER_PART * middle);
  const odd = ohms.flatMap((ohm, i): OddBar[] => {
    const score = (0.6745 * (ohm - middle)) / unit;
    if (Math.abs(score) <= OUTLIER) return [];
    return [{ bars: [i + 1, ((i + 1) % ohms.length) + 1], ohm, score, is: score > 0 ? 'open' : 'short' }];
  });
  const spread = Math.max(...ohms.map((x) => Math.abs(x - middle))) / middle;
  return { median: middle, spread, odd };
}
