/** How often a fault was confirmed in how many finished jobs. */
export interface FaultCount {
  confirmed: number;
  jobs: number;
}

/** Jobs that the shipped figure of a kind is worth against the shop's own. Common practice, no source. */
export const KIND_STRENGTH = 40;
/** Jobs that the kind's figure is worth against one model's own. */
export const MODEL_STRENGTH = 15;

/** Mean of a Beta distribution that starts at `mean` with the weight of `strength` jobs, after `count`. */
export function betaUpdate(mean: number, strength: number, { confirmed, jobs }: FaultCount): number {
  if (confirmed < 0 || jobs < confirmed) throw new RangeError('Confirmed faults cannot outnumber the jobs.');
  return (strength * mean + confirmed) / (strength + jobs);
}

/**
 * Prior of one fault, learned in steps (partial pooling): the shipped figure moves by what other shops lent (each by its
 * weight), that by the shop's own jobs of the kind, and that by the jobs of the model; a model with few jobs leans on its
 * kind. Beta-binomial conjugate updating (Gelman et al., Bayesian Data Analysis, chapter 2: from memory).
 */
export function learnPrior(
  shipped: number,
  kind: FaultCount,
  model: FaultCount = { confirmed: 0, jobs: 0 },
  lent: FaultCount = { confirmed: 0, jobs: 0 },
): number {
  const strength = KIND_STRENGTH + lent.jobs;
  return betaUpdate(betaUpdate(betaUpdate(shipped, KIND_STRENGTH, lent), strength, kind), MODEL_STRENGTH, model);
}
