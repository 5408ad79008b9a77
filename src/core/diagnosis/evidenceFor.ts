import { ImpossibleEvidenceError, type Network, type Observation, type Pins } from './network';
import { posterior } from './posterior';

/**
 * For each observation, how much it speaks for or against each fault: the log-odds of the fault with all findings less
 * the log-odds without that one (leave-one-out; the parts need not add up, because findings overlap).
 *
 * @returns one row per observation, one number per fault (natural log-odds, limited to ±20)
 */
export function evidenceFor(
  network: Network,
  observations: Observation[],
  pins: Pins,
  all: Float64Array,
): Float64Array[] {
  return observations.map((_, left) => {
    const rest = observations.filter((_, j) => j !== left);
    let without: Float64Array;
    try {
      without = posterior(network, rest, pins).marginals;
    } catch (error) {
      if (!(error instanceof ImpossibleEvidenceError)) throw error;
      return new Float64Array(network.faults.length);
    }
    return Float64Array.from(all, (p, i) => logOdds(p) - logOdds(without[i]!));
  });
}

function logOdds(p: number): number {
  const q = Math.min(1 - 1e-9, Math.max(1e-9, p));
  return Math.log(q / (1 - q));
}
