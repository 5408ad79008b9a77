import type { WeightedSet } from './finishingCourse';
import { cumulative, type Network } from './network';

const MOST_JOINT_OUTCOMES = 96;

/** How likely each level of a finding is, set by set. */
export interface AspectTable {
  finding: number;
  radix: number;
  /** P(level | set), level by level, 0 and more. */
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
    const effects: number[][] = [];
    for (const e of node.effects) {
      const below = cumulative(e.levels);
      if (isCandidate[e.fault]) effects[e.fault] = below;
      else {
        const m = marginals[e.fault]!;
        for (let k = 0; k < radix; k++) base[k]! *= 1 - m + m * below[k]!;
      }
    }
    const p = new Float64Array(sets.length * radix);
    sets.forEach((set, h) => {
      const own = set.faults.flatMap((i) => effects[i] ?? []);
      let previous = 0;
      for (let k = 0; k < radix; k++) {
        let c = base[k]!;
        for (let e = k; e < own.length; e += radix) c *= own[e]!;
        // The running products may differ by a rounding where nothing is added.
        p[k * sets.length + h] = Math.max(0, c - previous);
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
  const sets = from.length;
  const joint = tables.reduce((product, t) => product * t.radix, 1);
  // One piece of memory for all of them, the next row taken when an outcome is kept: asking for hundreds a pass is what took long.
  const room = new Float64Array(joint * sets);
  const found: JointOutcome[] = [];
  for (let code = 0; code < joint; code++) {
    const row = found.length * sets;
    for (let h = 0; h < sets; h++) room[row + h] = from[h]!;
    let rest = code;
    for (const { radix, p } of tables) {
      const level = (rest % radix) * sets;
      rest = Math.floor(rest / radix);
      for (let h = 0; h < sets; h++) room[row + h]! *= p[level + h]!;
    }
    let probability = 0;
    for (let h = 0; h < sets; h++) probability += room[row + h]!;
    if (probability < rare) continue;
    const weights = room.subarray(row, row + sets);
    for (let h = 0; h < sets; h++) weights[h]! /= probability;
    found.push({ code, levels: levelsOf(tables, code), probability, weights });
  }
  return found;
}

/** What the levels of an outcome show directly, together. */
export function shownBy(
  levels: JointOutcome['levels'],
  proves: (finding: number, level: number) => readonly number[],
): readonly number[] {
  let shown = NOTHING;
  for (const { finding, level } of levels) {
    const own = proves(finding, level);
    if (own.length > 0) shown = shown.length > 0 ? [...shown, ...own] : own;
  }
  return shown;
}

const NOTHING: readonly number[] = [];

function levelsOf(tables: AspectTable[], code: number): JointOutcome['levels'] {
  let rest = code;
  return tables.map(({ finding, radix }) => {
    const level = rest % radix;
    rest = Math.floor(rest / radix);
    return { finding, level };
  });
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
