import { along, surplusKPa, unknownAt, workingPoint, type Fan, type Leak, type Section, type SetUp } from './airPath';

/** A machine's air: its fan, its path from the floor to the motor, and a hole, if there is one. */
export interface AirMachine {
  fan: Fan;
  sections: Section[];
  leak: Leak | null;
}

/** One place where vacuum can be read, on the motor's side of a section. */
export interface Station {
  setUp: SetUp;
  after: number;
}

/** Healthy machines of one sort differ by so much, one standard deviation. Common practice, no source. */
export const MACHINES_DIFFER = {
  /** Loss of a part, in its logarithm. */
  loss: 0.15,
  sealed: { usual: 0.06, measured: 0.02 },
  free: { usual: 0.08, measured: 0.03 },
  /** Of a fan's curve between a line (0) and a square (1). */
  shape: 0.3,
};

/** How sure the healthy fan is: of the sort only, or measured on a twin. */
export interface FanKnown {
  sealed: 'usual' | 'measured';
  free: 'usual' | 'measured';
}

/** Something that a machine may have more or less of: moved by so many standard deviations. */
export type Move = (machine: AirMachine, by: number) => AirMachine;

const partTimes =
  (which: number, sigma: number): Move =>
  (machine, by) => ({
    ...machine,
    sections: machine.sections.map((s, i) => (i === which ? { ...s, loss: s.loss * Math.exp(by * sigma) } : s)),
  });
const fanWith =
  (change: (fan: Fan, by: number) => Partial<Fan>): Move =>
  (machine, by) => ({ ...machine, fan: { ...machine.fan, ...change(machine.fan, by) } });

/** What is different from machine to machine: the loss of each section, sealed suction, free flow, shape of the fan's curve. */
export function differencesOf(sections: Section[], known: FanKnown): Move[] {
  const { loss, sealed, free, shape } = MACHINES_DIFFER;
  return [
    ...sections.map((_, which) => partTimes(which, loss)),
    fanWith((fan, by) => ({ sealedKPa: fan.sealedKPa * Math.exp(by * sealed[known.sealed]) })),
    fanWith((fan, by) => ({ freeLs: fan.freeLs * Math.exp(by * free[known.free]) })),
    fanWith((fan, by) => ({ shape: fan.shape + by * shape })),
  ];
}

/** The machine with all of it moved; a fan's curve stays between a line and a square. */
export function movedBy(machine: AirMachine, moves: Move[], by: number[]): AirMachine {
  const all = moves.reduce((m, move, i) => move(m, by[i]!), machine);
  return { ...all, fan: { ...all.fan, shape: Math.min(1, Math.max(0, all.fan.shape)) } };
}

/** What a machine shows at stations of one set-up, and how that moves. */
export interface Shown {
  kPa: number[];
  /** Per station, per move: kPa for one standard deviation. */
  slopes: number[][];
}

const STEP = 1e-4;

/** The machine with each of the moves a little made: from these its slopes follow, at any station. */
export const movedSlightly = (machine: AirMachine, moves: Move[]): AirMachine[] =>
  moves.map((move) => move(machine, STEP));

/**
 * Vacuum at the stations and its slopes. The working point is found once; how it moves follows from the balance of fan and path
 * (implicit differentiation).
 * @param moved the machine, moved slightly
 */
export function shownAt(
  machine: AirMachine,
  { setUp, after }: { setUp: SetUp; after: number[] },
  moved: AirMachine[],
): Shown {
  const { fan, sections, leak } = machine;
  const x = unknownAt(fan, sections, setUp, leak);
  const here = along(sections, setUp, leak, x);
  const surplus = surplusKPa(fan, here);
  const h = STEP * Math.max(x, 1e-3);
  const further = along(sections, setUp, leak, x + h);
  const surplusSlope = (surplusKPa(fan, further) - surplus) / h;
  const slopes = after.map((): number[] => []);
  for (const other of moved) {
    const there = along(other.sections, setUp, other.leak, x);
    const dx = -(surplusKPa(other.fan, there) - surplus) / STEP / surplusSlope;
    after.forEach((at, i) => {
      const atPlace = (there.vacuumKPa[at]! - here.vacuumKPa[at]!) / STEP;
      const alongPath = (further.vacuumKPa[at]! - here.vacuumKPa[at]!) / h;
      slopes[i]!.push(atPlace + alongPath * dx);
    });
  }
  return { kPa: after.map((at) => here.vacuumKPa[at]!), slopes };
}

/** What a machine would show at one station, kPa. */
export function predictKPa({ fan, sections, leak }: AirMachine, { setUp, after }: Station): number {
  return workingPoint(fan, sections, setUp, leak).vacuumKPa[after]!;
}
