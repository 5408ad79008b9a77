/** One that was watched: until it failed, and of what, or until it was last seen whole. */
export interface Watched {
  time: number;
  /** Null: still whole. */
  cause: string | null;
}

export interface SurvivorStep {
  time: number;
  /** The share still whole after this moment. */
  whole: number;
  /** Standard error of it (Greenwood 1926). */
  error: number;
  /** So many were watched up to it. */
  atRisk: number;
}

/**
 * The share still whole, failure by failure, whatever the law of their lives (E. Kaplan, P. Meier, Journal of the American
 * Statistical Association 53, 1958). One that was last seen whole at the moment of a failure was watched up to it.
 */
export function survivors(watched: readonly Watched[]): SurvivorStep[] {
  const inOrder = [...watched].sort((a, b) => a.time - b.time);
  const steps: SurvivorStep[] = [];
  let [whole, sum] = [1, 0];
  for (let i = 0; i < inOrder.length;) {
    const { time } = inOrder[i]!;
    const atRisk = inOrder.length - i;
    let failed = 0;
    for (; i < inOrder.length && inOrder[i]!.time === time; i++) if (inOrder[i]!.cause !== null) failed++;
    if (failed === 0) continue;
    whole *= 1 - failed / atRisk;
    if (atRisk > failed) sum += failed / (atRisk * (atRisk - failed));
    steps.push({ time, whole, error: whole * Math.sqrt(sum), atRisk });
  }
  return steps;
}

/**
 * How many have failed of each cause by a moment, when a failure of one cause keeps the others from being seen: the share of all
 * by cause, which together with those still whole is one (O. Aalen, S. Johansen, Scandinavian Journal of Statistics 5, 1978).
 */
export function failedOf(watched: readonly Watched[], by: number): Map<string, number> {
  const inOrder = [...watched].sort((a, b) => a.time - b.time);
  const shares = new Map<string, number>();
  let whole = 1;
  for (let i = 0; i < inOrder.length;) {
    const { time } = inOrder[i]!;
    if (time > by) break;
    const atRisk = inOrder.length - i;
    const before = whole;
    for (; i < inOrder.length && inOrder[i]!.time === time; i++) {
      const { cause } = inOrder[i]!;
      if (cause === null) continue;
      shares.set(cause, (shares.get(cause) ?? 0) + before / atRisk);
      whole -= before / atRisk;
    }
  }
  return shares;
}

/**
 * Between which shares the true one lies with 95 %, when it was so often of so many (E. Wilson, Journal of the American
 * Statistical Association 22, 1927).
 * @throws RangeError for none, or more than all
 */
export function shareRange(often: number, of: number): [low: number, high: number] {
  if (!(of > 0) || !(often >= 0) || often > of) throw new RangeError('A share of nothing.');
  const z = 1.959964;
  const p = often / of;
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of);
  const half = (z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))) / (1 + (z * z) / of);
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}
