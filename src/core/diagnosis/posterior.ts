import { foldFinding, type FoldedFinding } from './foldFindings';
import { excluded, ImpossibleEvidenceError, type Network, type Observation, type Pins } from './network';
import type { Posterior } from './posteriorResult';
import { samplePosterior } from './samplePosterior';

/** Above this many joint states of the open findings the exact method gives way to sampling (about 40 MB of state). */
export const MAX_STATES = 65_536;

type Step = { open: number } | { apply: number } | { close: number };

interface Digit {
  radix: number;
  open: number[];
  weights: number[] | null;
}

interface Push {
  digit: number;
  /** Null: the place of one among faults of which at most one is there. */
  levels: number[] | null;
}

/**
 * Exact posterior of every fault given all findings, several faults at once.
 *
 * The same sum as Quickscore (Heckerman 1989), exponential only in the findings that are not normal, but carried
 * forward without its alternating signs: faults are taken one after the other, the state is "how far has each open
 * finding been pushed", every step adds and multiplies numbers of 0 or more, and therefore nothing cancels. A finding
 * is opened at the first fault linked to it and closed after the last, so that unconnected parts never multiply. The
 * backward pass of the same steps gives all marginals at once.
 *
 * Relative error is that of a product of a few hundred factors in double precision (below 1e-12).
 *
 * @param pins faults known to be there or not
 * @param seed used only when more than MAX_STATES joint states would be needed and the result is sampled
 * @throws ImpossibleEvidenceError when the findings have probability 0
 */
export function posterior(network: Network, observations: Observation[], pins: Pins = new Map(), seed = 1): Posterior {
  const folded = observations.map((o) => foldFinding(network.findings[o.finding]!, o));
  const known = excluded(network, pins);
  const plan = planSteps(network, folded, known.groups);
  if (plan.maxStates > MAX_STATES) return samplePosterior(network, observations, pins, seed);
  return run(network, plan, known.pins);
}

/** How many joint states the exact method needs at its widest point: the documented bound is MAX_STATES. */
export function statesNeeded(network: Network, observations: Observation[]): number {
  return planSteps(
    network,
    observations.map((o) => foldFinding(network.findings[o.finding]!, o)),
    excluded(network, new Map()).groups,
  ).maxStates;
}

interface Plan {
  steps: Step[];
  digits: Digit[];
  /** For each fault: what its presence does to the open digits. */
  pushes: Push[][];
  /** For each fault: product of its free findings' factors when present. */
  freeFactor: Float64Array;
  /** For each fault: its own digit when other faults bring it on, else -1. */
  ownDigit: Int32Array;
  constant: number;
  maxStates: number;
}

function planSteps(network: Network, folded: FoldedFinding[], groups: number[][]): Plan {
  const n = network.faults.length;
  const digits: Digit[] = [];
  const pushes: Push[][] = Array.from({ length: n }, () => []);
  const freeFactor = new Float64Array(n).fill(1);
  const ownDigit = new Int32Array(n).fill(-1);
  let constant = 1;
  for (const f of folded) {
    if (f.weights.length === 0) throw new ImpossibleEvidenceError();
    if (f.weights.length === 1) {
      constant *= f.weights[0]! * f.leak[0]!;
      for (const e of f.effects) freeFactor[e.fault]! *= e.levels[0]!;
    } else {
      const digit = digits.push({ radix: f.weights.length, open: f.leak, weights: f.weights }) - 1;
      for (const e of f.effects) pushes[e.fault]!.push({ digit, levels: e.levels });
    }
  }
  for (const group of groups) {
    const digit = digits.push({ radix: 2, open: [1, 0], weights: [1, 1] }) - 1;
    for (const i of group) pushes[i]!.push({ digit, levels: null });
  }
  network.faults.forEach((fault, i) => {
    if (fault.causes.length === 0) return;
    const digit = digits.push({ radix: 2, open: [1 - fault.prior, fault.prior], weights: null }) - 1;
    ownDigit[i] = digit;
    for (const c of fault.causes) pushes[c.fault]!.push({ digit, levels: [1 - c.strength, c.strength] });
  });
  return { ...orderSteps(network, digits, pushes, ownDigit), digits, pushes, freeFactor, ownDigit, constant };
}

/** Takes next the fault that keeps the joint state smallest, among those whose causes have been taken. */
function orderSteps(network: Network, digits: Digit[], pushes: Push[][], ownDigit: Int32Array) {
  const n = network.faults.length;
  const touches = pushes.map((list, i) => {
    const set = new Set(list.map((p) => p.digit));
    if (ownDigit[i]! >= 0) set.add(ownDigit[i]!);
    return set;
  });
  const left = digits.map((_, d) => touches.filter((t) => t.has(d)).length);
  const steps: Step[] = [];
  const isOpen = new Uint8Array(digits.length);
  const done = new Uint8Array(n);
  const waits = network.faults.map((f) => f.causes.map((c) => c.fault));
  let states = 1;
  let maxStates = 1;
  // A finding that no fault explains is opened and closed at once.
  digits.forEach((_, d) => {
    if (left[d] === 0) steps.push({ open: d }, { close: d });
  });
  for (let taken = 0; taken < n; taken++) {
    let best = -1;
    let bestGrowth = Infinity;
    let bestClosing = 0;
    for (let i = 0; i < n; i++) {
      if (done[i] || waits[i]!.some((c) => !done[c])) continue;
      let opening = 1;
      let closing = 1;
      for (const d of touches[i]!) {
        if (!isOpen[d]) opening *= digits[d]!.radix;
        if (left[d] === 1) closing *= digits[d]!.radix;
      }
      if (opening < bestGrowth || (opening === bestGrowth && closing > bestClosing)) {
        best = i;
        bestGrowth = opening;
        bestClosing = closing;
      }
    }
    if (best < 0) throw new RangeError('The causes of the faults run in a circle.');
    for (const d of touches[best]!) {
      if (isOpen[d]) continue;
      isOpen[d] = 1;
      steps.push({ open: d });
      states *= digits[d]!.radix;
    }
    maxStates = Math.max(maxStates, states);
    steps.push({ apply: best });
    done[best] = 1;
    for (const d of touches[best]!) {
      left[d]!--;
      if (left[d] === 0 && d !== ownDigit[best]) {
        steps.push({ close: d });
        states /= digits[d]!.radix;
      }
      if (d === ownDigit[best]) states /= 2; // closed by applying the fault itself
    }
  }
  return { steps, maxStates };
}

/** Where each open digit stands in the state vector. */
interface Layout {
  live: number[];
  size: number;
}

function strideOf(layout: Layout, digits: Digit[], digit: number): number {
  let stride = 1;
  for (const d of layout.live) {
    if (d === digit) return stride;
    stride *= digits[d]!.radix;
  }
  throw new RangeError('digit is not open');
}

/** The finding becomes the higher of what it was and what the fault pushes it to (in place). */
function push(v: Float64Array, stride: number, levels: number[]): void {
  const radix = levels.length;
  const block = stride * radix;
  if (radix === 2) {
    const stay = levels[0]!;
    const reach = levels[1]!;
    const both = stay + reach;
    for (let base = 0; base < v.length; base += block)
      for (let lo = base, end = base + stride; lo < end; lo++) {
        const x = v[lo]!;
        v[lo + stride] = v[lo + stride]! * both + x * reach;
        v[lo] = x * stay;
      }
    return;
  }
  const below = levels.map((_, k) => levels.slice(0, k + 1).reduce((a, b) => a + b, 0));
  for (let base = 0; base < v.length; base += block)
    for (let lo = base, end = base + stride; lo < end; lo++)
      for (let k = radix - 1; k >= 0; k--) {
        let lower = 0;
        for (let e = 0; e < k; e++) lower += v[lo + e * stride]!;
        v[lo + k * stride] = v[lo + k * stride]! * below[k]! + levels[k]! * lower;
      }
}

/** The one place of an exclusive set is taken; states in which it was taken already are none (in place). */
function take(v: Float64Array, stride: number): void {
  for (let base = 0; base < v.length; base += 2 * stride)
    for (let lo = base; lo < base + stride; lo++) {
      v[lo + stride] = v[lo]!;
      v[lo] = 0;
    }
}

/** The adjoint of `take`. */
function giveBack(v: Float64Array, stride: number): void {
  for (let base = 0; base < v.length; base += 2 * stride)
    for (let lo = base; lo < base + stride; lo++) {
      v[lo] = v[lo + stride]!;
      v[lo + stride] = 0;
    }
}

/** The adjoint of `push`, for the backward pass. */
function pull(v: Float64Array, stride: number, levels: number[]): void {
  const radix = levels.length;
  const block = stride * radix;
  if (radix === 2) {
    const stay = levels[0]!;
    const reach = levels[1]!;
    const both = stay + reach;
    for (let base = 0; base < v.length; base += block)
      for (let lo = base, end = base + stride; lo < end; lo++) {
        const y = v[lo + stride]!;
        v[lo] = v[lo]! * stay + y * reach;
        v[lo + stride] = y * both;
      }
    return;
  }
  const below = levels.map((_, k) => levels.slice(0, k + 1).reduce((a, b) => a + b, 0));
  for (let base = 0; base < v.length; base += block)
    for (let lo = base, end = base + stride; lo < end; lo++)
      for (let k = 0; k < radix; k++) {
        let upper = 0;
        for (let e = k + 1; e < radix; e++) upper += levels[e]! * v[lo + e * stride]!;
        v[lo + k * stride] = v[lo + k * stride]! * below[k]! + upper;
      }
}

function contract(v: Float64Array, stride: number, weights: number[]): Float64Array {
  const radix = weights.length;
  const out = new Float64Array(v.length / radix);
  for (let base = 0, to = 0; base < v.length; base += stride * radix)
    for (let lo = base; lo < base + stride; lo++, to++) {
      let sum = 0;
      for (let k = 0; k < radix; k++) sum += weights[k]! * v[lo + k * stride]!;
      out[to] = sum;
    }
  return out;
}

function expand(v: Float64Array, stride: number, weights: number[]): Float64Array {
  const radix = weights.length;
  const out = new Float64Array(v.length * radix);
  for (let base = 0, from = 0; base < out.length; base += stride * radix)
    for (let lo = base; lo < base + stride; lo++, from++)
      for (let k = 0; k < radix; k++) out[lo + k * stride] = weights[k]! * v[from]!;
  return out;
}

function run(network: Network, plan: Plan, pins: Pins): Posterior {
  const { digits, pushes, freeFactor, ownDigit } = plan;
  const layout: Layout = { live: [], size: 1 };
  const present = (v: Float64Array, i: number, forward: boolean) => {
    const list = pushes[i]!;
    for (let k = 0; k < list.length; k++) {
      const p = forward ? list[k]! : list[list.length - 1 - k]!;
      const stride = strideOf(layout, digits, p.digit);
      if (p.levels) (forward ? push : pull)(v, stride, p.levels);
      else (forward ? take : giveBack)(v, stride);
    }
    for (let s = 0; s < v.length; s++) v[s]! *= freeFactor[i]!;
    return v;
  };
  const odds = (i: number): [absent: number, present: number] => {
    const p = ownDigit[i]! >= 0 ? 1 : network.faults[i]!.prior;
    const pin = pins.get(i);
    return [pin === true ? 0 : ownDigit[i]! >= 0 ? 1 : 1 - p, pin === false ? 0 : p];
  };

  // Forward: `branches[i]` is the state with fault i present, before it is merged with the state without it.
  const branches = new Map<number, Float64Array>();
  const layouts: number[][] = [];
  let v: Float64Array = Float64Array.of(plan.constant);
  let logScale = 0;
  const scales: number[] = [];
  for (const step of plan.steps) {
    layouts.push([...layout.live]);
    scales.push(logScale);
    if ('open' in step) {
      v = expand(v, v.length, digits[step.open]!.open);
      layout.live.push(step.open);
    } else if ('close' in step) {
      v = contract(v, strideOf(layout, digits, step.close), digits[step.close]!.weights!);
      layout.live.splice(layout.live.indexOf(step.close), 1);
    } else {
      const i = step.apply;
      const [a, p] = odds(i);
      let without: Float64Array;
      let withIt: Float64Array;
      if (ownDigit[i]! >= 0) {
        const stride = strideOf(layout, digits, ownDigit[i]!);
        without = contract(v, stride, [1, 0]);
        withIt = contract(v, stride, [0, 1]);
        layout.live.splice(layout.live.indexOf(ownDigit[i]!), 1);
      } else {
        without = v;
        withIt = v.slice();
      }
      present(withIt, i, true);
      const merged = new Float64Array(without.length);
      let largest = 0;
      for (let s = 0; s < merged.length; s++) {
        withIt[s]! *= p;
        merged[s] = without[s]! * a + withIt[s]!;
        if (merged[s]! > largest) largest = merged[s]!;
      }
      if (largest === 0) throw new ImpossibleEvidenceError();
      branches.set(i, withIt);
      if (largest < 1e-100) {
        for (let s = 0; s < merged.length; s++) merged[s]! /= largest;
        logScale += Math.log(largest);
      }
      v = merged;
    }
  }
  const evidence = v[0]!;
  if (!(evidence > 0)) throw new ImpossibleEvidenceError();
  const logEvidence = Math.log(evidence) + logScale;

  // Backward: b is the probability of everything still to come, given the state.
  const marginals = new Float64Array(network.faults.length);
  let b: Float64Array = Float64Array.of(1);
  for (let t = plan.steps.length - 1; t >= 0; t--) {
    const step = plan.steps[t]!;
    const before = layouts[t]!;
    if ('open' in step) {
      layout.live = [...before, step.open];
      b = contract(b, strideOf(layout, digits, step.open), digits[step.open]!.open);
    } else if ('close' in step) {
      layout.live = before;
      b = expand(b, strideOf(layout, digits, step.close), digits[step.close]!.weights!);
    } else {
      const i = step.apply;
      const [a, p] = odds(i);
      const branch = branches.get(i)!;
      let joint = 0;
      for (let s = 0; s < b.length; s++) joint += branch[s]! * b[s]!;
      // `branch` was stored at the scale in force before this step; b already holds the factor taken out after it.
      marginals[i] = (joint / evidence) * Math.exp(scales[t]! - logScale);
      const own = ownDigit[i]!;
      layout.live = own >= 0 ? before.filter((d) => d !== own) : before;
      const withIt = present(b.slice(), i, false);
      if (own >= 0) {
        layout.live = before;
        const stride = strideOf(layout, digits, own);
        const absentPart = expand(b, stride, [a, 0]);
        const presentPart = expand(withIt, stride, [0, p]);
        for (let s = 0; s < absentPart.length; s++) absentPart[s]! += presentPart[s]!;
        b = absentPart;
      } else {
        const merged = new Float64Array(b.length);
        for (let s = 0; s < b.length; s++) merged[s] = b[s]! * a + withIt[s]! * p;
        b = merged;
      }
    }
    layout.live = before;
  }
  for (let i = 0; i < marginals.length; i++) marginals[i] = Math.min(1, Math.max(0, marginals[i]!));
  return { marginals, logEvidence, method: 'exact', standardError: 0 };
}
