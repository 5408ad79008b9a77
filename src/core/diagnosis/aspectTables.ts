import type { WeightedSet } from './finishingCourse';
import { cumulative, type Network } from './network';

const MOST_JOINT_OUTCOMES = 96;

/** How likely each level of a finding is, set by set. */
export interface AspectTable {
  finding: number;
  radix: number;
  /** P(level | set), set-major. */
  p: Float64Array;
}

/** The levels of each finding given each set; findings beyond the limit of joint outcomes are left out, widest last. */
export function aspectTables(
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

/** So much of the weight, in so many sets at most, is enough to plan by. */
const ENOUGH = 0.98;
const MOST_SETS = 100;

/** The likeliest sets, enough of them to plan by; they come sorted, the likeliest first. */
export function likeliest(all: WeightedSet[]): WeightedSet[] {
  const whole = all.reduce((sum, s) => sum + s.probability, 0);
  let weight = 0;
  return all.slice(0, MOST_SETS).filter((s) => {
    const needed = weight < ENOUGH * whole;
    if (needed) weight += s.probability;
    return needed;
  });
}

/** A joint outcome of several findings. */
export interface JointOutcome {
  /** Its number among all joint outcomes of these findings. */
  code: number;
  levels: { finding: number; level: number }[];
  probability: number;
  /** Weight of every set after it, summing to 1. */
  weights: Float64Array;
}

/** Every joint outcome that is at least so likely, from these weights of the sets (summing to 1). */
export function jointOutcomes(tables: AspectTable[], from: Float64Array, rare: number): JointOutcome[] {
  const joint = tables.reduce((product, t) => product * t.radix, 1);
  const found: JointOutcome[] = [];
  for (let code = 0; code < joint; code++) {
    const levels: JointOutcome['levels'] = [];
    let rest = code;
    for (const table of tables) {
      levels.push({ finding: table.finding, level: rest % table.radix });
      rest = Math.floor(rest / table.radix);
    }
    let probability = 0;
    const weights = new Float64Array(from.length);
    for (let h = 0; h < from.length; h++) {
      let p = from[h]!;
      for (let a = 0; a < tables.length && p > 0; a++) p *= tables[a]!.p[h * tables[a]!.radix + levels[a]!.level]!;
      weights[h] = p;
      probability += p;
    }
    if (probability < rare) continue;
    for (let h = 0; h < from.length; h++) weights[h]! /= probability;
    found.push({ code, levels, probability, weights });
  }
  return found;
}

/** What is shown directly is there: only the sets that hold all of it keep their weight (in place). */
export function pin(weights: Float64Array, sets: WeightedSet[], shown: readonly number[]): Float64Array {
  let kept = 0;
  const holds = sets.map((s) => shown.every((f) => s.faults.includes(f)));
  for (let h = 0; h < sets.length; h++) if (holds[h]) kept += weights[h]!;
  // None of the likely sets holds it: they are all that there is to plan by.
  if (kept <= 0) return weights;
  for (let h = 0; h < sets.length; h++) weights[h] = holds[h] ? weights[h]! / kept : 0;
  return weights;
}
