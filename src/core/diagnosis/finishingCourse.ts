import { remembered } from './remembered';

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
  const at = (list: readonly number[]) => list.flatMap((f) => position.get(f) ?? []);
  const members = rows(sets.map((s) => at(s.faults)));
  const stated = sets.map((s) => (groupsOf ? groupsOf(s.faults) : s.faults.map((f) => [f])));
  const groups = stated.map((all) => all.filter((g) => g.length > 0).map(at));
  // A set that explains nothing of what is asked cannot be finished by proving.
  const hopeless = Uint8Array.from(stated, (all, h) => Number(all.length > 0 && groups[h]!.length === 0));
  const reaches = provers
    .map((prover, number) => ({ prover, number, at: Int32Array.from(at(prover.faults)) }))
    .filter((r) => r.at.length > 0);
  /** Whose repair a set may owe, each once, however many complaints it explains. */
  const owing = rows(groups.map((all) => [...new Set(all.flat())]));

  // Of every group, whose it is; of every fault, in which groups it is: so that whoever is reached counts down what its sets lack.
  const setOf = Int32Array.from(groups.flatMap((all, h) => all.map(() => h)));
  const groupCount = Int32Array.from(groups, (all) => all.length);
  const inGroups: number[][] = faults.map(() => []);
  groups.flat().forEach((group, g) => group.forEach((i) => inGroups[i]!.push(g)));
  const groupsAt = rows(inGroups);

  const m = new Float64Array(faults.length);
  const odds = new Float64Array(faults.length);
  const reached = new Uint8Array(faults.length);
  const paid = new Uint8Array(faults.length);
  /** Groups of which somebody is reached, and how many of its groups a set still lacks. */
  const met = new Uint8Array(setOf.length);
  const lacks = new Int32Array(sets.length);
  /** Sets that are not finished yet: those that still count are at the front. */
  const alive = new Int32Array(sets.length);

  const were = new Float64Array(faults.length);
  if (before) sets.forEach((_, h) => add(were, members, h, before.weights[h]!));

  const reach = (i: number) => {
    if (reached[i]) return;
    reached[i] = 1;
    for (let k = groupsAt.start[i]!; k < groupsAt.start[i + 1]!; k++) {
      const g = groupsAt.at[k]!;
      if (met[g]) continue;
      met[g] = 1;
      lacks[setOf[g]!]!--;
    }
  };
  // Minutes from a state of open parts: the same few states come again and again.
  const toProve = remembered((open: number) => Float64Array.from(provers, (p) => p.minutes(open)));
  const toRepair = remembered((open: number) => Float64Array.from(faults, (f) => repair.minutes(f, open)));
  const owed = (h: number, open: number) => {
    const costs = toRepair(open);
    let minutes = 0;
    for (let k = owing.start[h]!; k < owing.start[h + 1]!; k++) {
      const i = owing.at[k]!;
      if (reached[i] && !paid[i]) minutes += costs[i]!;
    }
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
    met.fill(0);
    lacks.set(groupCount);
    for (let h = 0; h < sets.length; h++) if (weights[h] !== 0) add(odds, members, h, weights[h]!);
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
      if (repaired.has(faults[i]!)) paid[i] = 1;
      if (paid[i] || proved.has(faults[i]!)) reach(i);
    }
    let open = openNow;
    let minutes = 0;
    let mass = 0;
    let count = 0;
    m.fill(0);
    for (let h = 0; h < sets.length; h++) {
      const w = weights[h]!;
      if (w === 0) continue;
      if (hopeless[h]) minutes += w * UNREACHED;
      else if (lacks[h] === 0) minutes += w * owed(h, open);
      else {
        mass += w;
        alive[count++] = h;
        add(m, members, h, w);
      }
    }
    for (let step = 0; step < MOST_STEPS && mass > NEGLIGIBLE; step++) {
      const costs = toProve(open);
      let best: (typeof reaches)[number] | undefined;
      let bestRatio = 1e-7;
      for (const r of reaches) {
        let gain = 0;
        for (let k = 0; k < r.at.length; k++) if (!reached[r.at[k]!]) gain += m[r.at[k]!]!;
        if (gain < 1e-5) continue;
        const ratio = gain / costs[r.number]!;
        if (ratio > bestRatio) {
          bestRatio = ratio;
          best = r;
        }
      }
      if (!best) {
        minutes += mass * UNREACHED;
        break;
      }
      minutes += mass * costs[best.number]!;
      open = best.prover.opens(open);
      for (const i of best.at) {
        reach(i);
        if (best.prover.repairs) paid[i] = 1;
      }
      let left = 0;
      for (let j = 0; j < count; j++) {
        const h = alive[j]!;
        if (lacks[h]! > 0) {
          alive[left++] = h;
          continue;
        }
        const w = weights[h]!;
        minutes += w * owed(h, open);
        mass -= w;
        // What is finished no longer speaks for going on to its other faults.
        add(m, members, h, -w);
      }
      count = left;
    }
    return { minutes, topFault, topProbability };
  };
}

/** Lists of positions one behind the other: row `r` is `at[start[r]]` up to `at[start[r + 1]]`, that one left out. */
interface Rows {
  start: Int32Array;
  at: Int32Array;
}

function rows(lists: readonly (readonly number[])[]): Rows {
  const start = new Int32Array(lists.length + 1);
  lists.forEach((list, r) => (start[r + 1] = start[r]! + list.length));
  return { start, at: Int32Array.from(lists.flat()) };
}

/** Adds to the total of everyone in a row, in place. */
function add(totals: Float64Array, { start, at }: Rows, row: number, weight: number): void {
  const end = start[row + 1]!;
  for (let k = start[row]!; k < end; k++) totals[at[k]!]! += weight;
}
