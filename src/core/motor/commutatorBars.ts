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

/** Two sorts of readings on one commutator: how many of each, and their middles, Ω. */
export interface TwoSorts {
  lower: { count: number; ohm: number };
  upper: { count: number; ohm: number };
}

/** The smaller sort is so much of all at least: fewer are odd bars. */
const SORT_PART = 0.2;
/** The middles lie so far apart, and the gap between the sorts is so many times what each spreads by itself. */
const SORT_RATIO = 1.15;
const SORT_GAP = 2;

/**
 * Whether the readings are of two sorts: a half that reads otherwise than the other stands out in no score against the median,
 * and is no sound winding. Common practice, no source.
 * @returns null when they are of one sort
 */
export function twoSorts(ohms: readonly number[]): TwoSorts | null {
  const sorted = [...ohms].sort((a, b) => a - b);
  let widest = { at: 0, gap: 0 };
  for (let i = 1; i < sorted.length; i++) {
    const gap = sorted[i]! - sorted[i - 1]!;
    if (gap > widest.gap) widest = { at: i, gap };
  }
  const [low, high] = [sorted.slice(0, widest.at), sorted.slice(widest.at)];
  if (Math.min(low.length, high.length) < Math.max(2, SORT_PART * sorted.length)) return null;
  const [lower, upper] = [median(low), median(high)];
  const spread = Math.max(low.at(-1)! - low[0]!, high.at(-1)! - high[0]!);
  if (upper < SORT_RATIO * lower || widest.gap < SORT_GAP * spread) return null;
  return { lower: { count: low.length, ohm: lower }, upper: { count: high.length, ohm: upper } };
}
