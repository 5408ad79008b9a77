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

/** How often each fault was confirmed, for a kind and for one model of it. Plain data: it is handed to a thread. */
export interface Tallies {
  kindJobs: number;
  modelJobs: number;
  /** Jobs of other shops, each by its weight. */
  lentJobs: number;
  /** Fault → confirmed in other shops, by weight. */
  lentFaults: Record<string, number>;
  /** Fault → confirmed in the kind's and in the model's finished jobs. */
  faults: Record<string, { kind: number; model: number }>;
}

/** Shipped priors as the jobs of the shop, and those lent to it, have moved them. */
export function learnedPriors(tallies: Tallies, shipped: ReadonlyMap<string, number>): Map<string, number> {
  return new Map(
    [...shipped].map(([fault, prior]) => {
      const count = tallies.faults[fault] ?? { kind: 0, model: 0 };
      return [
        fault,
        learnPrior(
          prior,
          { confirmed: count.kind, jobs: tallies.kindJobs },
          { confirmed: count.model, jobs: tallies.modelJobs },
          { confirmed: tallies.lentFaults[fault] ?? 0, jobs: tallies.lentJobs },
        ),
      ];
    }),
  );
}
