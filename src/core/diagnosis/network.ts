/**
 * A diagnostic network: independent faults, some of which bring on others, and findings that show how far the worst
 * fault has gone.
 *
 * Every finding has ordered levels, the normal one first; a later level hides an earlier one (a stuck roll hides that
 * it also grates). Each fault present pushes the finding to some level with its own distribution, and what is seen is
 * the highest level pushed to: the noisy-MAX of Díez (1993), of which the two-level case is the noisy-OR of BN2O.
 */
export interface Network {
  /** In any order; `causes` may name any other fault, without circles. */
  faults: FaultNode[];
  findings: FindingNode[];
  /** Sets of faults of which at most one is there: one part in one state. No fault is in two of them. */
  exclusive?: readonly (readonly number[])[];
}

export interface FaultNode {
  id: string;
  /** Probability that the fault arises by itself, 0 to 1. */
  prior: number;
  /** Faults that bring this one on, each with its own probability of doing so (noisy-OR with the prior). */
  causes: { fault: number; strength: number }[];
}

export interface FindingNode {
  id: string;
  /** Distribution over the levels when no fault of the network is present. Sums to 1; level 0 is normal. */
  leak: number[];
  /** For each linked fault: the level it pushes to when present, as a distribution over the levels. */
  effects: { fault: number; levels: number[] }[];
}

/**
 * What was seen of one finding: the probability (or density, up to a factor) of what was seen for each level. A plain
 * outcome is 1 at its level and 0 elsewhere; a reading with its uncertainty has several numbers above 0.
 */
export interface Observation {
  finding: number;
  likelihood: number[];
  /** Faults that were repaired or reset before it was seen: they no longer show in it. */
  without?: ReadonlySet<number>;
}

/** Faults known to be there (true) or known not to be there (false), by index. */
export type Pins = ReadonlyMap<number, boolean>;

/** The evidence cannot have come from this network (its probability is 0). */
export class ImpossibleEvidenceError extends Error {
  constructor() {
    super('These findings cannot all be true of this kind of machine: take one back.');
    this.name = 'ImpossibleEvidenceError';
  }
}

/**
 * What exclusion leaves to be reckoned: where one of a set is known to be there the others are not; of the rest at most one
 * is. Two that are both known to be there stay (both were seen).
 */
export function excluded(network: Network, pins: Pins): { pins: Pins; groups: number[][] } {
  if (!network.exclusive?.length) return { pins, groups: [] };
  const all = new Map(pins);
  const groups: number[][] = [];
  for (const group of network.exclusive) {
    const open = group.filter((i) => !pins.has(i));
    if (group.some((i) => pins.get(i) === true)) for (const i of open) all.set(i, false);
    else if (open.length > 1) groups.push(open);
  }
  return { pins: all, groups };
}

/**
 * Faults in an order in which every fault comes after those that bring it on.
 * @throws RangeError when the causes run in a circle
 */
export function causalOrder(faults: FaultNode[]): number[] {
  const order: number[] = [];
  const state = new Uint8Array(faults.length);
  const visit = (i: number): void => {
    if (state[i] === 2) return;
    if (state[i] === 1) throw new RangeError(`Fault ${faults[i]!.id} would bring itself on.`);
    state[i] = 1;
    for (const cause of faults[i]!.causes) visit(cause.fault);
    state[i] = 2;
    order.push(i);
  };
  for (let i = 0; i < faults.length; i++) visit(i);
  return order;
}

/** Running totals of a distribution: `cumulative([0.2, 0.5, 0.3])` is `[0.2, 0.7, 1]`. */
export function cumulative(levels: readonly number[]): number[] {
  let total = 0;
  return levels.map((p) => (total += p));
}
