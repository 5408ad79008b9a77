import { nnls } from '../stats/nnls';
import { workingPoint, type Fan, type Leak, type Section, type SetUp } from './airPath';

/** One vacuum that was read, on the motor's side of a section. */
export interface VacuumReading {
  setUp: SetUp;
  after: number;
  kPa: number;
}

/** What may be wrong with one machine: nothing, one part blocked, one leak, or a weak motor. */
export type AirFault =
  { sort: 'none' } | { sort: 'clog'; section: number } | { sort: 'leak'; section: number } | { sort: 'fan' };

export interface AirFinding {
  fault: AirFault;
  probability: number;
  /** Most likely size: how many times the healthy loss; the leak's share of the motor's flow; what is left of the fan's vacuum. */
  size: number;
  /** 90 % of its size lies between these. */
  low: number;
  high: number;
  /** Flow into the mouth with it, as a part of the healthy machine's. */
  flowLeft: number;
}

export interface AirEstimate {
  findings: AirFinding[];
  /** Loss of each part against healthy, by non-negative least squares, with its standard uncertainty. */
  losses: { ratio: number; sigma: number }[];
}

/** Healthy machines of one sort differ by so much from each other in the vacuum at a station. Common practice, no source. */
const MACHINES_DIFFER = 0.05;
/** Before anything is read: none, a clog anywhere, a leak anywhere, a weak motor. Common practice, no source. */
const PRIOR = { none: 0.2, clog: 0.5, leak: 0.2, fan: 0.1 };
const STEPS = 60;
/** Sizes tried, in equal steps of their logarithm: loss up to 100 times, leak up to what swallows the fan. */
const clogSizes = steps(1.25, 100);
const leakSizes = steps(0.05, 30);
const fanSizes = steps(0.35, 0.92);

function steps(from: number, to: number): number[] {
  return Array.from({ length: STEPS }, (_, i) => from * (to / from) ** (i / (STEPS - 1)));
}

const OPEN: SetUp = { from: 0, sealed: false };

interface Machine {
  fan: Fan;
  sections: Section[];
  leak: Leak | null;
}

function withFault(fan: Fan, sections: Section[], fault: AirFault, size: number): Machine {
  switch (fault.sort) {
    case 'none':
      return { fan, sections, leak: null };
    case 'clog':
      return {
        fan,
        leak: null,
        sections: sections.map((s, i) => (i === fault.section ? { ...s, loss: s.loss * size } : s)),
      };
    case 'leak':
      return { fan, sections, leak: { after: fault.section, size } };
    case 'fan':
      // A slower fan: vacuum falls with the square of its speed, flow with the speed.
      return { fan: { sealedKPa: fan.sealedKPa * size, freeLs: fan.freeLs * Math.sqrt(size) }, sections, leak: null };
  }
}

/** What a machine would read. */
export function predictKPa({ fan, sections, leak }: Machine, reading: Omit<VacuumReading, 'kPa'>): number {
  return workingPoint(fan, sections, reading.setUp, leak).vacuumKPa[reading.after]!;
}

/** Readings by the set-up they were taken in: one working point serves them all. */
function bySetUp(readings: VacuumReading[], sigma: number[]) {
  const groups = new Map<string, { setUp: SetUp; rows: { after: number; kPa: number; sigma: number }[] }>();
  readings.forEach(({ setUp, after, kPa }, i) => {
    const key = `${setUp.from}/${setUp.sealed}`;
    const group = groups.get(key) ?? { setUp, rows: [] };
    group.rows.push({ after, kPa, sigma: sigma[i]! });
    groups.set(key, group);
  });
  return [...groups.values()];
}

/**
 * Where the air is lost: every single fault in every size is held against the readings (Bayes' rule), and besides each part's
 * loss is estimated by weighted non-negative least squares with the flow that the fan's curve gives.
 * @param meterKPa standard uncertainty of the gauge
 * @param progress told how much is done, 0 to 1
 */
export function locateBlockage(
  fan: Fan,
  sections: Section[],
  readings: VacuumReading[],
  meterKPa: number,
  progress?: (done: number) => void,
): AirEstimate {
  const sigma = readings.map((r) => Math.hypot(meterKPa, MACHINES_DIFFER * Math.max(r.kPa, 0.2)));
  const healthyLs = workingPoint(fan, sections, OPEN).mouthLs;
  const groups = bySetUp(readings, sigma);
  const faults: { fault: AirFault; prior: number; sizes: number[] }[] = [
    { fault: { sort: 'none' }, prior: PRIOR.none, sizes: [1] },
    { fault: { sort: 'fan' }, prior: PRIOR.fan, sizes: fanSizes },
    ...sections.flatMap((_, section) => [
      { fault: { sort: 'clog', section } as const, prior: PRIOR.clog / sections.length, sizes: clogSizes },
      { fault: { sort: 'leak', section } as const, prior: PRIOR.leak / sections.length, sizes: leakSizes },
    ]),
  ];
  const weighed = faults.map(({ fault, prior, sizes }, index) => {
    progress?.(index / faults.length);
    const logs = sizes.map((size) => {
      const machine = withFault(fan, sections, fault, size);
      let log = 0;
      for (const { setUp, rows } of groups) {
        const { vacuumKPa } = workingPoint(machine.fan, machine.sections, setUp, machine.leak);
        for (const r of rows) log -= 0.5 * ((r.kPa - vacuumKPa[r.after]!) / r.sigma) ** 2;
      }
      return log;
    });
    return { fault, prior, sizes, logs };
  });
  const top = Math.max(...weighed.flatMap((w) => w.logs));
  const all = weighed.map((w) => {
    const likelihoods = w.logs.map((l) => Math.exp(l - top));
    const sum = likelihoods.reduce((a, b) => a + b, 0);
    return { ...w, likelihoods, sum, weight: (w.prior * sum) / w.sizes.length };
  });
  const total = all.reduce((sum, w) => sum + w.weight, 0);
  const findings = all
    .map(({ fault, sizes, likelihoods, sum, weight }): AirFinding => {
      const size = sizes[likelihoods.indexOf(Math.max(...likelihoods))]!;
      const quantile = (q: number) => {
        let seen = 0;
        const at = likelihoods.findIndex((l) => (seen += l) >= q * sum);
        return sizes[at < 0 ? sizes.length - 1 : at]!;
      };
      const machine = withFault(fan, sections, fault, size);
      const point = workingPoint(machine.fan, machine.sections, OPEN, machine.leak);
      const shown = (s: number) => {
        if (fault.sort !== 'leak') return s;
        const p = workingPoint(fan, sections, OPEN, { after: fault.section, size: s });
        return 1 - p.mouthLs / p.motorLs;
      };
      return {
        fault,
        probability: weight / total,
        size: shown(size),
        low: shown(quantile(0.05)),
        high: shown(quantile(0.95)),
        flowLeft: point.mouthLs / healthyLs,
      };
    })
    .sort((a, b) => b.probability - a.probability);
  progress?.(1);
  return { findings, losses: lossesOf(fan, sections, readings, sigma) };
}

/** How far a part may be off before anything is read, as a part of its healthy loss: holds what no reading tells of. */
const HELD = 3;

/** Loss of each part as a multiple of healthy: the flow from the fan's curve, the losses from it, and again. */
function lossesOf(fan: Fan, sections: Section[], readings: VacuumReading[], sigma: number[]) {
  const open = readings.map((r, i) => ({ ...r, sigma: sigma[i]! })).filter((r) => !r.setUp.sealed);
  let ratios = sections.map(() => 1);
  let sigmas = sections.map(() => HELD);
  for (let round = 0; round < 30; round++) {
    const now = sections.map((s, i) => ({ ...s, loss: s.loss * ratios[i]! }));
    const rows: number[][] = [];
    const right: number[] = [];
    for (const r of open) {
      const { mouthLs } = workingPoint(fan, now, r.setUp);
      rows.push(
        sections.map((s, i) => (i >= r.setUp.from && i <= r.after ? (s.loss * mouthLs ** s.exponent) / r.sigma : 0)),
      );
      right.push(r.kPa / r.sigma);
    }
    sections.forEach((_, i) => {
      rows.push(sections.map((__, j) => (i === j ? 1 / HELD : 0)));
      right.push(1 / HELD);
    });
    const found = nnls(rows, right);
    const moved = Math.max(...found.x.map((x, i) => Math.abs(x - ratios[i]!)));
    // Half steps: the flow falls when the losses rise, and full steps would swing.
    ratios = ratios.map((x, i) => (x + found.x[i]!) / 2);
    sigmas = found.sigma;
    if (moved < 1e-4) break;
  }
  return ratios.map((ratio, i) => ({ ratio, sigma: sigmas[i]! }));
}
