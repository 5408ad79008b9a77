/** A set of faults that may be there, with its weight. */
export interface WeightedSet {
  faults: number[];
  probability: number;
}

/** Something that shows faults directly when they are there: a look that proves them, or a repair and a run. */
export interface Prover {
  faults: number[];
  /** Minutes from a state of open parts (a bit mask), with the opening and closing that it still needs. */
  minutes(open: number): number;
  opens(open: number): number;
  /** It is the repair of its one fault. */
  repairs?: true;
}

/** Minutes to repair a fault and run, and what stays open after it, from a state of open parts (a bit mask). */
export interface RepairCosts {
  minutes(fault: number, open: number): number;
  opens(fault: number, open: number): number;
}

export interface FinishingInput {
  sets: WeightedSet[];
  provers: Prover[];
  repair: RepairCosts;
  /**
   * For a set of faults, who must be proved: of every group at least one. A group without members cannot be proved.
   * Without it every fault of the set must be reached.
   */
  groupsOf?: (faults: number[]) => number[][];
  /** Weights of the sets as they stand now, and what is proved now: a finish tells which fault it moves most from there. */
  before?: { weights: Float64Array; proved: ReadonlySet<number> };
}

export interface Finish {
  /** Expected minutes until everything that must be is proved and repaired. */
  minutes: number;
  /** The fault, not proved before, whose odds have moved most; -1 when none has. */
  topFault: number;
  topProbability: number;
}

/** A fall tells as much as a rise of so much of it: what becomes likely is spoken of first. */
const FALL = 0.8;
/** Odds that move less have not moved. */
const STILL = 0.005;

/** Less of the weight than this is not pursued further. */
const NEGLIGIBLE = 2e-3;
const MOST_STEPS = 30;
/** Minutes for what no prover reaches: it will take long. Common practice, no source. */
const UNREACHED = 60;

/**
 * Expected minutes to the end of the job by proving alone: of all provers always the one with the most probability per
 * minute next, until every set is proved, and then the repairs that are owed. For one fault and independent provers
 * this order is optimal (Kadane & Simon 1977: from memory); several faults proved by one look count together.
 *
 * The returned function is used many times with different weights: `proved` owe their repair, `repaired` do not.
 */
export function finishingCourse({ sets, provers, repair, groupsOf, before }: FinishingInput) {
  const faults = [...new Set(sets.flatMap((s) => s.faults))];
  const position = new Map(faults.map((f, i) => [f, i]));
  const members = sets.map((s) => Int32Array.from(s.faults, (f) => position.get(f)!));
  const stated = sets.map((s) => (groupsOf ? groupsOf(s.faults) : s.faults.map((f) => [f])));
  const groups = stated.map((all) =>
    all.filter((g) => g.length > 0).map((g) => Int32Array.from(g, (f) => position.get(f)!)),
  );
  // A set that explains nothing of what is asked cannot be finished by proving.
  const hopeless = stated.map((all, h) => all.length > 0 && groups[h]!.length === 0);
  const reaches = provers
    .map((p) => ({ prover: p, at: Int32Array.from(p.faults.flatMap((f) => position.get(f) ?? [])) }))
    .filter((r) => r.at.length > 0);
  const m = new Float64Array(faults.length);
  const odds = new Float64Array(faults.length);
  const reached = new Uint8Array(faults.length);
  const paid = new Uint8Array(faults.length);
  /** Sets that are not finished yet: those that still count are at the front. */
  const alive = new Int32Array(sets.length);

  const were = new Float64Array(faults.length);
  if (before) members.forEach((those, h) => those.forEach((i) => (were[i]! += before.weights[h]!)));

  const isFinished = (h: number) => {
    for (const group of groups[h]!) {
      let any = false;
      for (let k = 0; k < group.length && !any; k++) any = reached[group[k]!] === 1;
      if (!any) return false;
    }
    return true;
  };
  /** Whose repair a set may owe, each once, however many complaints it explains. */
  const owing = groups.map((all) => Int32Array.from(new Set(all.flatMap((group) => [...group]))));
  const owed = (h: number, open: number) => {
    let minutes = 0;
    for (const i of owing[h]!) if (reached[i] && !paid[i]) minutes += repair.minutes(faults[i]!, open);
    return minutes;
  };

  return (
    weights: Float64Array,
    proved: ReadonlySet<number>,
    repaired: ReadonlySet<number>,
    openNow: number,
  ): Finish => {
    odds.fill(0);
    reached.fill(0);
    paid.fill(0);
    for (let h = 0; h < members.length; h++) {
      const w = weights[h]!;
      if (w === 0) continue;
      const those = members[h]!;
      for (let k = 0; k < those.length; k++) odds[those[k]!]! += w;
    }
    let topFault = -1;
    let topProbability = 0;
    let most = STILL;
    for (let i = 0; i < faults.length; i++) {
      const rise = odds[i]! - were[i]!;
      const moved = rise > 0 ? rise : -FALL * rise;
      // A bystander that is proved already stays so whatever is answered.
      if (moved > most && !before?.proved.has(faults[i]!)) {
        most = moved;
        topProbability = odds[i]!;
        topFault = faults[i]!;
      }
      if (repaired.has(faults[i]!)) reached[i] = paid[i] = 1;
      else if (proved.has(faults[i]!)) reached[i] = 1;
    }
    let open = openNow;
    let minutes = 0;
    let mass = 0;
    let count = 0;
    m.fill(0);
    for (let h = 0; h < members.length; h++) {
      const w = weights[h]!;
      if (w === 0) continue;
      if (hopeless[h]) minutes += w * UNREACHED;
      else if (isFinished(h)) minutes += w * owed(h, open);
      else {
        mass += w;
        alive[count++] = h;
        const those = members[h]!;
        for (let k = 0; k < those.length; k++) m[those[k]!]! += w;
      }
    }
    for (let step = 0; step < MOST_STEPS && mass > NEGLIGIBLE; step++) {
      let best: (typeof reaches)[number] | undefined;
      let bestRatio = 1e-7;
      let bestMinutes = 0;
      for (const r of reaches) {
        let gain = 0;
        for (let k = 0; k < r.at.length; k++) if (!reached[r.at[k]!]) gain += m[r.at[k]!]!;
        if (gain < 1e-5) continue;
        const cost = r.prover.minutes(open);
        if (gain / cost > bestRatio) {
          bestRatio = gain / cost;
          best = r;
          bestMinutes = cost;
        }
      }
      if (!best) {
        minutes += mass * UNREACHED;
        break;
      }
      minutes += mass * bestMinutes;
      open = best.prover.opens(open);
      for (const i of best.at) {
        reached[i] = 1;
        if (best.prover.repairs) paid[i] = 1;
      }
      let left = 0;
      for (let j = 0; j < count; j++) {
        const h = alive[j]!;
        if (!isFinished(h)) {
          alive[left++] = h;
          continue;
        }
        const w = weights[h]!;
        minutes += w * owed(h, open);
        mass -= w;
        // What is finished no longer speaks for going on to its other faults.
        const those = members[h]!;
        for (let k = 0; k < those.length; k++) m[those[k]!]! -= w;
      }
      count = left;
    }
    return { minutes, topFault, topProbability };
  };
}
