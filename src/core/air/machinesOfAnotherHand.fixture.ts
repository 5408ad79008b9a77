import { HEALTHY, SECTION_IDS, type MachineSort } from './healthyMachines';
import type { VacuumReading } from './locateBlockage';

/**
 * Machines that are not drawn from the model of the clog finder: fans whose curve is a power of the flow (its exponent between a
 * line and nearly a square), ducts of exponent 1.8 to 2, felt of 1.05 to 1.35, parts of 15 %, fans of 5 and 8 % of their own,
 * solved by false position. Invented, for tests and the bench.
 */
export interface OtherMachine {
  sealedKPa: number;
  freeLs: number;
  curve: number;
  /** Loss of each part is `loss · flow^exponent`. */
  parts: { loss: number; exponent: number }[];
  /** A hole after part `after` lets in `size · √vacuum`. */
  hole: { after: number; size: number } | null;
}

export type Random = () => number;

export const normal = (random: Random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
const between = (random: Random, low: number, high: number) => low + (high - low) * random();

/** A healthy machine of a sort. */
export function otherMachine(random: Random, sort: MachineSort): OtherMachine {
  const { fan, workingLs, shares } = HEALTHY[sort];
  const usualKPa = fan.sealedKPa * (1 - (workingLs / fan.freeLs) ** 1.45);
  return {
    sealedKPa: fan.sealedKPa * (1 + 0.05 * normal(random)),
    freeLs: fan.freeLs * (1 + 0.08 * normal(random)),
    curve: between(random, 1, 1.9),
    parts: SECTION_IDS.map((id) => {
      const exponent = id === 'filter' ? between(random, 1.05, 1.35) : between(random, 1.8, 2);
      const own = Math.max(0.5, 1 + 0.15 * normal(random));
      return { loss: (own * shares[id] * usualKPa) / workingLs ** exponent, exponent };
    }),
    hole: null,
  };
}

/** Vacuum after each part from `from` on, and the flow at the motor. */
function walk(m: OtherMachine, from: number, mouth: number, start: number) {
  let [flow, vacuum] = [mouth, start];
  const at: number[] = [];
  m.parts.forEach(({ loss, exponent }, i) => {
    if (i < from) return at.push(NaN);
    vacuum += loss * flow ** exponent;
    if (m.hole?.after === i) flow += m.hole.size * Math.sqrt(Math.max(vacuum, 0));
    return at.push(vacuum);
  });
  const fan = m.sealedKPa * (1 - (flow / m.freeLs) ** m.curve);
  return { at, flow, mouth, surplus: fan - vacuum };
}

function solved(m: OtherMachine, from: number, sealed: boolean) {
  const point = (x: number) => (sealed ? walk(m, from, 0, x) : walk(m, from, x, 0));
  let [a, b] = [0, sealed ? m.sealedKPa : m.freeLs];
  let [fa, fb] = [point(a).surplus, point(b).surplus];
  for (let i = 0; i < 100; i++) {
    const c = (a * fb - b * fa) / (fb - fa);
    const here = point(c);
    if (Math.abs(here.surplus) < 1e-7) return here;
    if (here.surplus > 0) [a, fa, fb] = [c, here.surplus, fb / 2];
    else [b, fb, fa] = [c, here.surplus, fa / 2];
  }
  return point((a + b) / 2);
}

/** The stations of a thorough technician: everything on, hose off, sealed at three places. */
export const STATIONS: Omit<VacuumReading, 'kPa'>[] = [
  ...[0, 1, 2, 3, 4].map((after) => ({ setUp: { from: 0, sealed: false }, after })),
  { setUp: { from: 3, sealed: false }, after: 4 },
  { setUp: { from: 3, sealed: true }, after: 3 },
  { setUp: { from: 2, sealed: true }, after: 2 },
  { setUp: { from: 0, sealed: true }, after: 4 },
];

/** What a gauge reads there, with 2 % of its own. */
export const readAll = (random: Random, m: OtherMachine, stations = STATIONS): VacuumReading[] =>
  stations.map((s) => ({
    ...s,
    kPa: Math.max(0, solved(m, s.setUp.from, s.setUp.sealed).at[s.after]! * (1 + 0.02 * normal(random))),
  }));

const mouthLs = (m: OtherMachine) => solved(m, 0, false).mouth;

/** The same with something that has a size, made so large that this part of the flow into the mouth is left. */
function cutTo(m: OtherMachine, left: number, by: (size: number) => OtherMachine): OtherMachine {
  const healthy = mouthLs(m);
  let [low, high] = [1e-3, 1e4];
  for (let i = 0; i < 50; i++) {
    const middle = Math.sqrt(low * high);
    if (mouthLs(by(middle)) > left * healthy) low = middle;
    else high = middle;
  }
  return by(low);
}

export const withClog = (m: OtherMachine, at: number, left: number) =>
  cutTo(m, left, (size) => ({
    ...m,
    parts: m.parts.map((p, i) => (i === at ? { ...p, loss: p.loss * (1 + size) } : p)),
  }));
export const withHole = (m: OtherMachine, after: number, left: number) =>
  cutTo(m, left, (size) => ({ ...m, hole: { after, size } }));
export const withWeakFan = (m: OtherMachine, left: number): OtherMachine => ({
  ...m,
  sealedKPa: m.sealedKPa * left,
  freeLs: m.freeLs * Math.sqrt(left),
});
