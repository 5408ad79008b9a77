import { cumulative, type Network } from './network';

/** Something that can be done next: a check with one or more aspects, or a repair and a run. */
export interface Action {
  /** Findings that it makes, by index. */
  findings: number[];
  /** All its minutes: its own, the opening still needed, closing up for power. */
  minutes: number;
  /** The fault it repairs, if it is a repair. */
  repairs?: number;
  /** What is open after it (a bit mask), for what it saves of later openings. */
  openAfter: number;
}

export interface WeightedSet {
  faults: number[];
  probability: number;
}

/** Minutes to repair a fault and run, and what stays open after it, from a state of open parts (a bit mask). */
export interface RepairCosts {
  minutes(fault: number, open: number): number;
  opens(fault: number, open: number): number;
}

export interface RankedAction {
  action: number;
  /** Minutes of the finishing course that it is expected to save, less its own minutes. */
  saving: number;
  savingPerMinute: number;
  /** What each joint outcome would lead to, most probable first. */
  leads: {
    levels: { finding: number; level: number }[];
    probability: number;
    topFault: number;
    topProbability: number;
  }[];
}

const MOST_SETS = 200;
/** Joint outcomes rarer than this are taken to change nothing. */
const RARE_OUTCOME = 1e-4;
/** Faults rarer than this do not take part in the finishing course. */
const RARE_FAULT = 1e-3;
const MOST_JOINT_OUTCOMES = 96;

/**
 * Ranks actions by the expected saving per minute (Heckerman, Breese, Rommelse 1995): the expected minutes of finishing
 * by repairs alone, in the order of probability over cost, less the same after the action's answer, less the minutes of
 * the action itself.
 *
 * @param sets explanations with their probabilities (normalised here); several faults at once are allowed
 * @param marginals of all faults; faults outside `candidates` act on the answers independently
 * @param settled faults whose repair costs nothing more here (proved)
 */
export function rankActions(
  network: Network,
  sets: WeightedSet[],
  candidates: number[],
  marginals: Float64Array,
  actions: Action[],
  repair: RepairCosts,
  settled: ReadonlySet<number>,
  openNow: number,
): RankedAction[] {
  const used = sets.slice(0, MOST_SETS);
  const totalWeight = used.reduce((sum, s) => sum + s.probability, 0);
  const weights = Float64Array.from(used, (s) => s.probability / totalWeight);
  const course = finishingCourse(used, repair);
  const now = course(weights, settled, openNow);
  const isCandidate = new Uint8Array(network.faults.length);
  for (const c of candidates) isCandidate[c] = 1;

  const ranked = actions.map((action, index): RankedAction => {
    const tables = aspectTables(network, used, isCandidate, marginals, action.findings);
    const done = action.repairs === undefined ? settled : new Set([...settled, action.repairs]);
    let after = 0;
    const leads: RankedAction['leads'] = [];
    const joint = tables.reduce((product, t) => product * t.radix, 1);
    const w = new Float64Array(used.length);
    for (let code = 0; code < joint; code++) {
      const levels: { finding: number; level: number }[] = [];
      let rest = code;
      for (const table of tables) {
        levels.push({ finding: table.finding, level: rest % table.radix });
        rest = Math.floor(rest / table.radix);
      }
      let probability = 0;
      for (let h = 0; h < used.length; h++) {
        let p = weights[h]!;
        for (let a = 0; a < tables.length; a++) p *= tables[a]!.p[h * tables[a]!.radix + levels[a]!.level]!;
        w[h] = p;
        probability += p;
      }
      if (probability < RARE_OUTCOME) {
        after += probability * now.minutes;
        continue;
      }
      for (let h = 0; h < used.length; h++) w[h]! /= probability;
      const remaining = course(w, done, action.openAfter);
      after += probability * remaining.minutes;
      leads.push({ levels, probability, topFault: remaining.topFault, topProbability: remaining.topProbability });
    }
    leads.sort((a, b) => b.probability - a.probability);
    const saving = now.minutes - after - action.minutes;
    return { action: index, saving, savingPerMinute: saving / Math.max(0.05, action.minutes), leads };
  });
  return ranked.sort((a, b) => b.savingPerMinute - a.savingPerMinute);
}

interface AspectTable {
  finding: number;
  radix: number;
  /** P(level | set), set-major. */
  p: Float64Array;
}

/** The levels of each finding given each set; findings beyond the limit of joint outcomes are left out, widest last. */
function aspectTables(
  network: Network,
  sets: WeightedSet[],
  isCandidate: Uint8Array,
  marginals: Float64Array,
  findings: number[],
): AspectTable[] {
  const tables: AspectTable[] = [];
  let joint = 1;
  for (const f of findings) {
    const node = network.findings[f]!;
    const radix = node.leak.length;
    if (node.effects.length === 0 || joint * radix > MOST_JOINT_OUTCOMES) continue;
    joint *= radix;
    const base = cumulative(node.leak);
    const effects = new Map<number, number[]>();
    for (const e of node.effects) {
      const below = cumulative(e.levels);
      if (isCandidate[e.fault]) effects.set(e.fault, below);
      else {
        const m = marginals[e.fault]!;
        for (let k = 0; k < radix; k++) base[k]! *= 1 - m + m * below[k]!;
      }
    }
    const p = new Float64Array(sets.length * radix);
    sets.forEach((set, h) => {
      let previous = 0;
      for (let k = 0; k < radix; k++) {
        let c = base[k]!;
        for (const i of set.faults) c *= effects.get(i)?.[k] ?? 1;
        p[h * radix + k] = c - previous;
        previous = c;
      }
    });
    tables.push({ finding: f, radix, p });
  }
  return tables;
}

/**
 * Expected minutes to finish by repairs alone: repair the fault with the highest probability per minute, run, go on
 * until every fault of the set is repaired. For one fault and independent repairs this order is optimal (Kadane &
 * Simon 1977: from memory).
 */
function finishingCourse(sets: WeightedSet[], repair: RepairCosts) {
  const faults = [...new Set(sets.flatMap((s) => s.faults))];
  const position = new Map(faults.map((f, i) => [f, i]));
  const members = sets.map((s) => s.faults.map((f) => position.get(f)!));
  const m = new Float64Array(faults.length);
  const reachedAt = new Float64Array(faults.length);
  const taken = new Uint8Array(faults.length);

  return (weights: Float64Array, settled: ReadonlySet<number>, openNow: number) => {
    m.fill(0);
    taken.fill(0);
    for (let h = 0; h < members.length; h++) for (const i of members[h]!) m[i]! += weights[h]!;
    let topFault = -1;
    let topProbability = 0;
    for (let i = 0; i < faults.length; i++)
      if (m[i]! > topProbability) {
        topProbability = m[i]!;
        topFault = faults[i]!;
      }
    let clock = 0;
    let open = openNow;
    for (let i = 0; i < faults.length; i++)
      if (settled.has(faults[i]!) || m[i]! < RARE_FAULT) {
        taken[i] = 1;
        reachedAt[i] = 0;
      }
    for (;;) {
      let best = -1;
      let bestRatio = -1;
      for (let i = 0; i < faults.length; i++) {
        if (taken[i]) continue;
        const ratio = m[i]! / repair.minutes(faults[i]!, open);
        if (ratio > bestRatio) {
          bestRatio = ratio;
          best = i;
        }
      }
      if (best < 0) break;
      clock += repair.minutes(faults[best]!, open);
      open = repair.opens(faults[best]!, open);
      reachedAt[best] = clock;
      taken[best] = 1;
    }
    let minutes = 0;
    for (let h = 0; h < members.length; h++) {
      let last = 0;
      for (const i of members[h]!) if (reachedAt[i]! > last) last = reachedAt[i]!;
      minutes += weights[h]! * last;
    }
    return { minutes, topFault, topProbability };
  };
}
