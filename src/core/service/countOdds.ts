export interface CountOdds {
  expected: number;
  /** With four chances in five it lies between these. */
  low: number;
  high: number;
}

const TAIL = 0.1;

/**
 * How many of some things happen, each with a chance of its own: the exact distribution of the count (S. Poisson 1837), by
 * convolution.
 * @param chances 0 to 1 each; time grows with the square of how many there are
 */
export function countOdds(chances: readonly number[]): CountOdds {
  let odds = [1];
  for (const p of chances) {
    if (!(p >= 0 && p <= 1)) throw new RangeError('A chance lies between 0 and 1.');
    odds = Array.from({ length: odds.length + 1 }, (_, k) => (odds[k] ?? 0) * (1 - p) + (odds[k - 1] ?? 0) * p);
  }
  const upTo = (share: number) => {
    let sum = 0;
    const at = odds.findIndex((p) => (sum += p) >= share - 1e-12);
    return at === -1 ? odds.length - 1 : at;
  };
  return { expected: chances.reduce((sum, p) => sum + p, 0), low: upTo(TAIL), high: upTo(1 - TAIL) };
}
