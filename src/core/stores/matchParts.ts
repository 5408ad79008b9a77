import { normalDensity } from '../stats/normal';

/** A size that was measured, mm, with its standard uncertainty. */
export interface MeasuredSize {
  name: string;
  mm: number;
  sigmaMm: number;
}

/** Parts are made to about this part of their length. Common practice, no source. */
const MADE_TO = 0.005;
/** How likely it is that what was measured is none of the list, as a density against that of a perfect match. */
const NONE = Math.exp(-0.5 * 3 ** 2);

/**
 * Which of some parts has the sizes that were measured, with odds: each size normal, equal odds before, and a share for
 * none of them, so that a bad match is never sure. A size that a part does not name is not held against it.
 */
export function matchParts<P extends { sizes: Record<string, number> }>(
  parts: readonly P[],
  measured: readonly MeasuredSize[],
): { part: P; probability: number }[] {
  const weighed = parts.map((part) => {
    const weight = measured.reduce((product, m) => {
      const mm = part.sizes[m.name];
      if (mm === undefined) return product;
      const sigma = Math.hypot(m.sigmaMm, MADE_TO * mm);
      return product * (normalDensity(m.mm, mm, sigma) / normalDensity(0, 0, sigma));
    }, 1);
    return { part, weight };
  });
  const total = weighed.reduce((sum, w) => sum + w.weight, NONE);
  return weighed
    .map(({ part, weight }) => ({ part, probability: weight / total }))
    .filter((w) => w.probability > 0.001)
    .sort((a, b) => b.probability - a.probability);
}
