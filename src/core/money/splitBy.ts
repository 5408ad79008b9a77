/**
 * Splits an amount by weights so that the pieces add up to it again: everybody gets his whole units, and what is left over
 * goes one by one to the largest remainders, the first among equals (the method of largest remainders, Hamilton).
 * @param minor whole units, of either sign
 * @param weights none below nought; all nought counts as all alike
 * @throws RangeError for a weight below nought, or an amount that nobody is to have
 * @example splitBy(100, [1, 1, 1]) // → [34, 33, 33]
 * @example splitBy(-100, [1, 1, 1]) // → [-34, -33, -33]
 */
export function splitBy(minor: number, weights: readonly number[]): number[] {
  if (weights.some((w) => !(w >= 0))) throw new RangeError('A weight is below nought.');
  if (weights.length === 0) {
    if (minor !== 0) throw new RangeError('There is nobody to share it.');
    return [];
  }
  const shares = weights.every((w) => w === 0) ? weights.map(() => 1n) : weights.map(BigInt);
  const all = shares.reduce((sum, w) => sum + w, 0n);
  const size = BigInt(Math.abs(minor));
  const pieces = shares.map((w) => (size * w) / all);
  const order = shares
    .map((w, i) => ({ i, rest: (size * w) % all }))
    .sort((a, b) => (a.rest === b.rest ? a.i - b.i : a.rest > b.rest ? -1 : 1));
  let left = Number(size - pieces.reduce((sum, p) => sum + p, 0n));
  for (const { i } of order) {
    if (left-- <= 0) break;
    pieces[i]! += 1n;
  }
  return pieces.map((p) => (minor < 0 && p !== 0n ? -Number(p) : Number(p)));
}
