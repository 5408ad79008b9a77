/**
 * A robust line: the median of the slopes of all pairs (Theil 1950, Sen 1968), the median intercept, and an interval of the
 * slope from Kendall's statistic (normal approximation, 95 %; for fewer than 4 points the extreme slopes).
 * @throws RangeError when no two points differ in x
 */
export function theilSen(points: readonly (readonly [x: number, y: number])[]): {
  slope: number;
  intercept: number;
  low: number;
  high: number;
} {
  const slopes: number[] = [];
  for (let i = 0; i < points.length; i++)
    for (let j = i + 1; j < points.length; j++) {
      const [[x1, y1], [x2, y2]] = [points[i]!, points[j]!];
      if (x1 !== x2) slopes.push((y2 - y1) / (x2 - x1));
    }
  if (slopes.length === 0) throw new RangeError('Two readings at different times are needed.');
  slopes.sort((a, b) => a - b);
  const slope = median(slopes);
  const intercept = median(points.map(([x, y]) => y - slope * x).sort((a, b) => a - b));
  const n = points.length;
  const half = n < 4 ? slopes.length : 1.96 * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  // Ranks are counted from one in the papers: the lower one outwards, and one beyond the upper one.
  const low = Math.max(0, Math.floor((slopes.length - half) / 2) - 1);
  const high = Math.min(slopes.length - 1, Math.ceil((slopes.length + half) / 2));
  return { slope, intercept, low: slopes[low]!, high: slopes[high]! };
}

/** Median of a sorted list. */
export function median(sorted: readonly number[]): number {
  const m = sorted.length >> 1;
  return sorted.length % 2 ? sorted[m]! : (sorted[m - 1]! + sorted[m]!) / 2;
}
