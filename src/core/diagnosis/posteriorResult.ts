/** Odds of the faults given the findings. */
export interface Posterior {
  /** P(fault present | findings), one per fault of the network. */
  marginals: Float64Array;
  /** Natural logarithm of the probability of the findings (of their density, for readings). */
  logEvidence: number;
  method: 'exact' | 'sampled';
  /** Largest standard error of a marginal: 0 when exact. */
  standardError: number;
}
