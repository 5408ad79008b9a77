import { chiSquaredZ } from '../stats/chiSquared';
import { learnInLine, type Learned } from '../stats/linearEvidence';
import { allSupposed, sizeMove, sizesOf, withFault, type OneFault, type Supposed } from './airFaults';
import { workingPoint, type Fan, type Section, type SetUp } from './airPath';
import {
  MACHINES_DIFFER,
  differencesOf,
  movedBy,
  movedSlightly,
  shownAt,
  type AirMachine,
  type FanKnown,
  type Move,
  type Station,
} from './ownMachine';

/** One vacuum that was read. */
export interface VacuumReading extends Station {
  kPa: number;
}

/** One of the things that are wrong, with its most likely size: times the healthy loss; the leak's share of the motor's flow;
 * what is left of the fan's vacuum. 90 % of its size lies between low and high. */
export interface FaultFound {
  fault: OneFault;
  size: number;
  low: number;
  high: number;
}

export interface AirFinding {
  /** None, one or two. */
  faults: FaultFound[];
  probability: number;
  /** Flow into the mouth with it, as a part of the healthy machine's. */
  flowLeft: number;
}

/** A station that was not read, and how far it would tell the likely findings apart, 0 to 1. */
export interface NextStation {
  station: Station;
  worth: number;
}

export interface AirEstimate {
  findings: AirFinding[];
  /** Loss of each part against the usual one, with its standard uncertainty. */
  losses: { ratio: number; sigma: number }[];
  /** The readings are further from the best explanation than one in a thousand of such machines would read. */
  isMisfit: boolean;
  next: NextStation | null;
}

/** The same station read again differs by so much of the reading, besides the gauge. Common practice, no source. */
const READ_AGAIN = 0.02;
/** What takes less of the flow than this is nothing that a customer notices. Common practice, no source. */
const HARMLESS_FLOW_LEFT = 0.9;
/** Steps of the sizes: each size stands for its surroundings. */
const SINGLE_STEPS = 14;
const PAIR_STEPS = 7;
/** Beyond it lies one in a thousand. */
const MISFIT_Z = 3.09;
const OPEN: SetUp = { from: 0, sealed: false };

/** Standard uncertainty of a reading, kPa. @param meterKPa of the gauge */
const sigmaOf = (kPa: number, meterKPa: number) => Math.hypot(meterKPa, READ_AGAIN * kPa);

interface Group {
  setUp: SetUp;
  rows: { after: number; kPa: number; sigma: number }[];
}

/** Readings by the set-up they were taken in: one working point serves them all. */
function bySetUp(readings: VacuumReading[], meterKPa: number): Group[] {
  const groups = new Map<string, Group>();
  for (const { setUp, after, kPa } of readings) {
    const key = `${setUp.from}/${setUp.sealed}`;
    const group = groups.get(key) ?? { setUp, rows: [] };
    group.rows.push({ after, kPa, sigma: sigmaOf(kPa, meterKPa) });
    groups.set(key, group);
  }
  return [...groups.values()];
}

/** What the readings say when the machine is this one but for what may be moved. */
function learn(machine: AirMachine, groups: Group[], moves: Move[]): Learned {
  const residuals: number[] = [];
  const slopes: number[][] = [];
  const sigmas: number[] = [];
  const moved = movedSlightly(machine, moves);
  for (const { setUp, rows } of groups) {
    const shown = shownAt(machine, { setUp, after: rows.map((r) => r.after) }, moved);
    rows.forEach((r, i) => {
      residuals.push(r.kPa - shown.kPa[i]!);
      slopes.push(shown.slopes[i]!);
      sigmas.push(r.sigma);
    });
  }
  return learnInLine(residuals, slopes, sigmas);
}

const openLs = ({ fan, sections, leak }: AirMachine) => workingPoint(fan, sections, OPEN, leak).mouthLs;

/** One explanation with each of its faults about a size. */
interface Tried {
  /** Logarithms of the sizes that the readings speak for, their standard uncertainty, and what one standard deviation of it was before them. */
  logSizes: { mean: number; sigma: number; step: number }[];
  machine: AirMachine;
  moves: Move[];
  learned: Learned;
  weight: number;
}

interface Weighed {
  supposed: Supposed;
  tried: Tried[];
  best: Tried;
  weight: number;
}

const heaviest = (tried: Tried[]) => tried.reduce((a, b) => (b.weight > a.weight ? b : a));

/** Holds one supposition, in all sizes of its faults, against the readings. Weights are logarithms. */
function weigh(supposed: Supposed, healthy: AirMachine, groups: Group[], differences: Move[]): Weighed {
  const { faults, prior } = supposed;
  const sizes = faults.map((fault) => sizesOf(fault, faults.length > 1 ? PAIR_STEPS : SINGLE_STEPS));
  const grid = sizes.reduce<number[][]>((all, one) => all.flatMap((s) => one.sizes.map((size) => [...s, size])), [[]]);
  const moves = [...differences, ...faults.map((fault, i) => sizeMove(fault, sizes[i]!.sigma))];
  const tried = grid.map((at): Tried => {
    const machine = faults.reduce((m, fault, i) => withFault(m, fault, at[i]!), healthy);
    const learned = learn(machine, groups, moves);
    const logSizes = sizes.map(({ sigma }, i) => {
      const which = differences.length + i;
      return {
        mean: Math.log(at[i]!) + sigma * learned.mean[which]!,
        sigma: sigma * Math.sqrt(learned.covariance[which]![which]!),
        step: sigma,
      };
    });
    return { logSizes, machine, moves, learned, weight: Math.log(prior / grid.length) + learned.logEvidence };
  });
  return { supposed, tried, best: heaviest(tried), weight: 0 };
}

/** Flow into the mouth with it, as a part of what the same machine had without its faults. */
function flowLeft({ machine, moves, learned }: Tried, healthy: AirMachine, differences: Move[]): number {
  const { mean } = learned;
  return openLs(movedBy(machine, moves, mean)) / openLs(movedBy(healthy, differences, mean));
}

/** So little is nobody's. */
const NEGLIGIBLE = 1e-6;

/** From logarithms to parts of one, each supposition's its own. What nobody would notice counts as nothing wrong. */
function share(weighed: Weighed[], isHarmless: (tried: Tried) => boolean): void {
  const top = Math.max(...weighed.map((w) => w.best.weight));
  const all = weighed.flatMap((w) => w.tried);
  for (const t of all) t.weight = Math.exp(t.weight - top);
  const total = all.reduce((sum, t) => sum + t.weight, 0);
  const nothing = weighed.find((w) => w.supposed.faults.length === 0)!;
  for (const w of weighed)
    for (const t of w.tried) {
      t.weight /= total;
      (t.weight > NEGLIGIBLE && isHarmless(t) ? nothing : w).weight += t.weight;
    }
}

/**
 * Where the air is lost. Nothing, every single fault, every pair of clogs and every clog with a leak, in every size, are held
 * against the readings (Bayes' rule); what differs between healthy machines (losses of parts, fan, shape of its curve) is
 * integrated over, in a line around each.
 * @param readings at least one
 * @param meterKPa standard uncertainty of the gauge
 * @param more.known whether the healthy fan was measured or is the usual one
 * @param more.stations where else it could be read
 * @param more.progress told how much is done, 0 to 1
 */
export function locateBlockage(
  fan: Fan,
  sections: Section[],
  readings: VacuumReading[],
  meterKPa: number,
  more: { known?: FanKnown; stations?: Station[]; progress?: (done: number) => void } = {},
): AirEstimate {
  const differences = differencesOf(sections, more.known ?? { sealed: 'usual', free: 'usual' });
  const healthy: AirMachine = { fan, sections, leak: null };
  const groups = bySetUp(readings, meterKPa);
  const all = allSupposed(sections.length);
  const weighed = all.map((supposed, index) => {
    more.progress?.(index / all.length);
    return weigh(supposed, healthy, groups, differences);
  });
  const misfit = Math.min(...weighed.map((w) => w.best.learned.misfit));
  const leftOf = (tried: Tried) => flowLeft(tried, healthy, differences);
  share(weighed, (tried) => leftOf(tried) >= HARMLESS_FLOW_LEFT);
  const sorted = [...weighed].sort((a, b) => b.weight - a.weight);
  more.progress?.(1);
  return {
    findings: sorted.map((w) => findingOf(w, leftOf(w.best))),
    losses: lossesOf(weighed, sections.length, differences.length),
    isMisfit: chiSquaredZ(misfit, readings.length) > MISFIT_Z,
    next: nextStation(sorted, more.stations ?? [], meterKPa),
  };
}

/** Five and ninety-five in a hundred of a normal distribution lie within so many standard deviations. */
const NINETY = 1.645;

function findingOf({ supposed, tried, best, weight }: Weighed, flowLeft: number): AirFinding {
  const sum = tried.reduce((s, t) => s + t.weight, 0);
  const faults = supposed.faults.map((fault, i): FaultFound => {
    const middle = tried.reduce((s, t) => s + t.weight * t.logSizes[i]!.mean, 0) / sum;
    const spread = Math.sqrt(
      tried.reduce((s, t) => s + t.weight * (t.logSizes[i]!.sigma ** 2 + (t.logSizes[i]!.mean - middle) ** 2), 0) / sum,
    );
    const shown = (logSize: number) => {
      const size = Math.exp(logSize);
      if (fault.sort !== 'leak') return fault.sort === 'fan' ? Math.min(1, size) : size;
      const { machine } = best;
      const p = workingPoint(machine.fan, machine.sections, OPEN, { after: fault.section, size });
      return 1 - p.mouthLs / p.motorLs;
    };
    const [low, high] = [shown(middle - NINETY * spread), shown(middle + NINETY * spread)];
    return { fault, size: shown(middle), low, high };
  });
  return { faults, probability: weight, flowLeft };
}

/** So many of the likeliest are told apart. */
const MOST_COMPARED = 6;
/** A station that tells less than this is not worth the walk. */
const LEAST_WORTH = 0.02;

/** The station whose reading would tell the likely findings apart best: pairs of them, by their odds and how far they differ there. */
function nextStation(sorted: Weighed[], stations: Station[], meterKPa: number): NextStation | null {
  const likely = sorted.filter((w) => w.weight > 0.01).slice(0, MOST_COMPARED);
  let best: NextStation | null = null;
  for (const station of stations) {
    const foretold = likely.map(({ best: { machine, moves, learned }, weight }) => {
      const shown = shownAt(machine, { setUp: station.setUp, after: [station.after] }, movedSlightly(machine, moves));
      const slope = shown.slopes[0]!;
      const kPa = shown.kPa[0]! + slope.reduce((sum, s, i) => sum + s * learned.mean[i]!, 0);
      const variance = slope.reduce(
        (sum, s, i) => sum + s * slope.reduce((inner, z, j) => inner + z * learned.covariance[i]![j]!, 0),
        sigmaOf(kPa, meterKPa) ** 2,
      );
      return { kPa, variance, weight };
    });
    let worth = 0;
    foretold.forEach((a, i) => {
      for (const b of foretold.slice(i + 1))
        worth += 2 * a.weight * b.weight * (1 - Math.exp(-((a.kPa - b.kPa) ** 2) / (4 * (a.variance + b.variance))));
    });
    if (worth > LEAST_WORTH && worth > (best?.worth ?? 0)) best = { station, worth };
  }
  return best;
}

/**
 * Loss of each part as a multiple of the usual one, with its standard uncertainty: over all explanations by their odds, the size
 * of a clog and what differs from machine to machine together.
 */
function lossesOf(weighed: Weighed[], parts: number, differences: number): { ratio: number; sigma: number }[] {
  const sums = Array.from({ length: parts }, () => ({ mean: 0, square: 0 }));
  for (const { supposed, tried } of weighed)
    for (const { weight, logSizes, learned } of tried) {
      if (weight < NEGLIGIBLE) continue;
      const { mean, covariance } = learned;
      for (let part = 0; part < parts; part++) {
        let log = MACHINES_DIFFER.loss * mean[part]!;
        let variance = MACHINES_DIFFER.loss ** 2 * covariance[part]![part]!;
        supposed.faults.forEach((fault, i) => {
          if (fault.sort !== 'clog' || fault.section !== part) return;
          const { mean: size, sigma, step } = logSizes[i]!;
          log += size;
          variance += sigma ** 2 + 2 * step * MACHINES_DIFFER.loss * covariance[differences + i]![part]!;
        });
        sums[part]!.mean += weight * log;
        sums[part]!.square += weight * (variance + log ** 2);
      }
    }
  return sums.map(({ mean, square }) => {
    const ratio = Math.exp(mean);
    return { ratio, sigma: ratio * Math.sqrt(Math.max(0, square - mean ** 2)) };
  });
}
