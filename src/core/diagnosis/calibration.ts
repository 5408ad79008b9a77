/** Something the finder said before it was known: how likely a fault was, and whether it was there. */
export interface Forecast {
  /** 0 to 1. */
  said: number;
  was: boolean;
}

export interface CalibrationBin {
  from: number;
  to: number;
  forecasts: number;
  /** Mean of what was said in this bin. */
  said: number;
  /** How often it was so, with the 95 % Wilson interval. */
  was: number;
  low: number;
  high: number;
}

const Z95 = 1.959964;

/** Wilson score interval of a share (Wilson 1927: from memory). @returns [low, high], within 0 to 1 */
export function wilson(hits: number, n: number): [number, number] {
  if (n <= 0 || hits < 0 || hits > n) throw new RangeError('Hits are counted among at least one.');
  const p = hits / n;
  const z2 = Z95 * Z95;
  const middle = (p + z2 / (2 * n)) / (1 + z2 / n);
  const half = (Z95 * Math.sqrt((p * (1 - p)) / n + z2 / (4 * n * n))) / (1 + z2 / n);
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}

/** Of all the times p was said, how often was it so? Bins of equal width; empty ones are left out. */
export function calibration(forecasts: Forecast[], bins = 10): CalibrationBin[] {
  return Array.from({ length: bins }, (_, i) => {
    const [from, to] = [i / bins, (i + 1) / bins];
    const here = forecasts.filter((f) => Math.min(bins - 1, Math.floor(f.said * bins)) === i);
    const hits = here.filter((f) => f.was).length;
    const n = here.length;
    const [low, high] = n > 0 ? wilson(hits, n) : [0, 1];
    return {
      from,
      to,
      forecasts: n,
      said: n ? here.reduce((s, f) => s + f.said, 0) / n : 0,
      was: n ? hits / n : 0,
      low,
      high,
    };
  }).filter((b) => b.forecasts > 0);
}

/** What was said is taken as at least this far from certain: one slip may not cost without end. */
const CLIP = 1e-3;

/**
 * Mean logarithmic score in bits (Good 1952: from memory): 0 is perfect foresight, 1 is what a coin says; lower is better.
 * NaN for no forecasts.
 */
export function logScore(forecasts: Forecast[]): number {
  const bits = forecasts.map(({ said, was }) => {
    const p = Math.min(1 - CLIP, Math.max(CLIP, said));
    return -Math.log2(was ? p : 1 - p);
  });
  return bits.reduce((a, b) => a + b, 0) / bits.length;
}
