import { faultGivenCauses, levelsGiven } from './joint';
import { causalOrder, excluded, ImpossibleEvidenceError, type Network, type Observation, type Pins } from './network';
import type { Posterior } from './posteriorResult';
import { seededRandom } from './seededRandom';

const SWEEPS = 3000;
const WARM_UP = 300;
const BATCHES = 30;

/**
 * Approximate posterior for evidence too wide for the exact method: seeded Gibbs sampling over the faults, averaging
 * each fault's conditional probability (Rao-Blackwell), with the standard error from batch means.
 * `logEvidence` is not estimated (NaN).
 * @throws ImpossibleEvidenceError when no set of faults that explains the findings is found
 */
export function samplePosterior(network: Network, observations: Observation[], given: Pins, seed: number): Posterior {
  const { pins, groups } = excluded(network, given);
  const groupOf = new Map(groups.flatMap((g) => g.map((i) => [i, g] as const)));
  const n = network.faults.length;
  const random = seededRandom(seed);
  const present = new Uint8Array(n);
  const isPresent = (f: number) => present[f] === 1;
  const linked: Observation[][] = Array.from({ length: n }, () => []);
  for (const o of observations)
    for (const e of network.findings[o.finding]!.effects) if (!o.without?.has(e.fault)) linked[e.fault]!.push(o);
  const children: number[][] = Array.from({ length: n }, () => []);
  network.faults.forEach((f, i) => f.causes.forEach((c) => children[c.fault]!.push(i)));

  const local = (i: number): number => {
    const p = faultGivenCauses(network, i, isPresent);
    let log = Math.log(present[i] ? p : 1 - p);
    for (const c of children[i]!) {
      const q = faultGivenCauses(network, c, isPresent);
      log += Math.log(present[c] ? q : 1 - q);
    }
    for (const o of linked[i]!) {
      const levels = levelsGiven(network.findings[o.finding]!, (f) => isPresent(f) && !o.without?.has(f));
      log += Math.log(levels.reduce((sum, l, k) => sum + l * o.likelihood[k]!, 0));
    }
    return log;
  };
  const conditional = (i: number): number => {
    const pin = pins.get(i);
    if (pin !== undefined) return pin ? 1 : 0;
    present[i] = 1;
    const withIt = local(i);
    present[i] = 0;
    const without = local(i);
    if (withIt === -Infinity && without === -Infinity) return NaN;
    return 1 / (1 + Math.exp(without - withIt));
  };

  /** Of an exclusive set all are drawn at once: none, or one of them; one alone could never give way to another. */
  const drawGroup = (group: number[], add: (i: number, p: number) => void) => {
    const was = group.find((i) => present[i]);
    const logOf = (there: number | undefined): number => {
      for (const i of group) present[i] = i === there ? 1 : 0;
      let log = 0;
      for (const i of group) {
        const p = faultGivenCauses(network, i, isPresent);
        log += Math.log(present[i] ? p : 1 - p);
      }
      const touched = new Set(group.flatMap((i) => linked[i]!));
      for (const c of new Set(group.flatMap((i) => children[i]!))) {
        const q = faultGivenCauses(network, c, isPresent);
        log += Math.log(present[c] ? q : 1 - q);
      }
      for (const o of touched) {
        const levels = levelsGiven(network.findings[o.finding]!, isPresent);
        log += Math.log(levels.reduce((sum, l, k) => sum + l * o.likelihood[k]!, 0));
      }
      return log;
    };
    const choices = [undefined, ...group];
    const logs = choices.map(logOf);
    const top = Math.max(...logs);
    const weights = logs.map((l) => (top === -Infinity ? 0 : Math.exp(l - top)));
    const sum = weights.reduce((a, b) => a + b, 0);
    let next = was;
    if (sum > 0) {
      let u = random() * sum;
      next =
        choices[
          Math.max(
            0,
            weights.findIndex((w) => (u -= w) < 0),
          )
        ];
      group.forEach((i, k) => add(i, weights[k + 1]! / sum));
    }
    for (const i of group) present[i] = i === next ? 1 : 0;
  };

  // Start from everything present: the state in which every finding has an explanation.
  const order = causalOrder(network.faults);
  for (const i of order) present[i] = pins.get(i) === false ? 0 : 1;
  // Of an exclusive set the one that the most findings ask for.
  for (const group of groups) {
    const first = group.reduce((best, i) => (linked[i]!.length > linked[best]!.length ? i : best));
    for (const i of group) present[i] = i === first ? 1 : 0;
  }
  const batches = Array.from({ length: BATCHES }, () => new Float64Array(n));
  const perBatch = SWEEPS / BATCHES;
  for (let sweep = -WARM_UP; sweep < SWEEPS; sweep++) {
    const add = (i: number, p: number) => {
      if (sweep >= 0) batches[Math.floor(sweep / perBatch)]![i]! += p / perBatch;
    };
    for (const i of order) {
      const group = groupOf.get(i);
      if (group) {
        if (group[0] === i) drawGroup(group, add);
        continue;
      }
      const p = conditional(i);
      if (Number.isNaN(p)) throw new ImpossibleEvidenceError();
      present[i] = random() < p ? 1 : 0;
      add(i, p);
    }
  }
  const marginals = new Float64Array(n);
  let standardError = 0;
  for (let i = 0; i < n; i++) {
    const means = batches.map((b) => b[i]!);
    const mean = means.reduce((a, b) => a + b, 0) / BATCHES;
    const variance = means.reduce((a, b) => a + (b - mean) ** 2, 0) / (BATCHES - 1);
    marginals[i] = mean;
    standardError = Math.max(standardError, Math.sqrt(variance / BATCHES));
  }
  return { marginals, logEvidence: NaN, method: 'sampled', standardError };
}
