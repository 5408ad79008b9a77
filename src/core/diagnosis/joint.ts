import { cumulative, type FindingNode, type Network, type Observation } from './network';

/**
 * Distribution over the levels of a finding for a given set of faults: the highest of the levels that the leak and
 * each present fault push to.
 */
export function levelsGiven(node: FindingNode, isPresent: (fault: number) => boolean): number[] {
  const below = cumulative(node.leak);
  for (const effect of node.effects) {
    if (!isPresent(effect.fault)) continue;
    let total = 0;
    for (let k = 0; k < below.length; k++) below[k]! *= total += effect.levels[k]!;
  }
  return below.map((p, k) => p - (k > 0 ? below[k - 1]! : 0));
}

/** Probability of fault `i` given which of its causes are present (noisy-OR). */
export function faultGivenCauses(network: Network, i: number, isPresent: (fault: number) => boolean): number {
  let absent = 1 - network.faults[i]!.prior;
  for (const c of network.faults[i]!.causes) if (isPresent(c.fault)) absent *= 1 - c.strength;
  return 1 - absent;
}

/** Natural logarithm of P(exactly these faults, and these findings); -Infinity when impossible. */
export function logJoint(network: Network, observations: Observation[], present: ReadonlySet<number>): number {
  const isPresent = (f: number) => present.has(f);
  if (network.exclusive?.some((g) => g.filter(isPresent).length > 1)) return -Infinity;
  let log = 0;
  for (let i = 0; i < network.faults.length; i++) {
    const p = faultGivenCauses(network, i, isPresent);
    log += Math.log(present.has(i) ? p : 1 - p);
  }
  for (const o of observations) {
    const levels = levelsGiven(network.findings[o.finding]!, (f) => isPresent(f) && !o.without?.has(f));
    log += Math.log(levels.reduce((sum, p, k) => sum + p * o.likelihood[k]!, 0));
  }
  return log;
}
