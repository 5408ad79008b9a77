import { faultGivenCauses, levelsGiven } from './joint';
import { causalOrder, ImpossibleEvidenceError, type Network, type Observation, type Pins } from './network';
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
export function samplePosterior(network: Network, observations: Observation[], pins: Pins, seed: number): Posterior {
  const n = network.faults.length;
  const random = seededRandom(seed);
  const present = new Uint8Array(n);
  const isPresent = (f: number) => present[f] === 1;
  const linked: Observation[][] = Array.from({ length: n }, () => []);
  for (const o of observations) for (const e of network.findings[o.finding]!.effects) linked[e.fault]!.push(o);
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
      const levels = levelsGiven(network.findings[o.finding]!, isPresent);
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

  // Start from everything present: the state in which every finding has an explanation.
  const order = causalOrder(network.faults);
  for (const i of order) present[i] = pins.get(i) === false ? 0 : 1;
  const batches = Array.from({ length: BATCHES }, () => new Float64Array(n));
  const perBatch = SWEEPS / BATCHES;
  for (let sweep = -WARM_UP; sweep < SWEEPS; sweep++) {
    for (const i of order) {
      const p = conditional(i);
      if (Number.isNaN(p)) throw new ImpossibleEvidenceError();
      present[i] = random() < p ? 1 : 0;
      if (sweep >= 0) batches[Math.floor(sweep / perBatch)]![i]! += p / perBatch;
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
