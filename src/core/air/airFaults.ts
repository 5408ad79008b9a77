import type { AirMachine, Move } from './ownMachine';

/** One thing that may be wrong with the air of a machine. */
export type OneFault = { sort: 'clog'; section: number } | { sort: 'leak'; section: number } | { sort: 'fan' };

/** What may be wrong: nothing, one thing, or two at once. */
export interface Supposed {
  faults: OneFault[];
  prior: number;
}

/** Before anything is read. Common practice, no source. */
const PRIOR = { none: 0.3, clog: 0.35, leak: 0.12, fan: 0.08, clogs: 0.09, clogAndLeak: 0.06 };

/** Between these sizes lie: times the healthy loss; leak in L/s at 1 kPa; what is left of the vacuum. Evenly in their logarithm. */
const SIZES = { clog: [1.6, 100], leak: [0.15, 30], fan: [0.35, 0.9] } as const;

/** Sizes in equal steps of their logarithm, each standing for its surroundings: half a step, one standard deviation. */
export function sizesOf(fault: OneFault, steps: number): { sizes: number[]; sigma: number } {
  const [from, to] = SIZES[fault.sort];
  const step = Math.log(to / from) / (steps - 1);
  return { sizes: Array.from({ length: steps }, (_, i) => from * Math.exp(i * step)), sigma: step / 2 };
}

/**
 * Everything that is held against the readings: nothing, every single fault, every pair of clogs, every clog with a leak. A hole
 * behind the last part is none of its own: at every station it looks like a weak fan.
 */
export function allSupposed(sections: number): Supposed[] {
  const at = Array.from({ length: sections }, (_, i) => i);
  const clog = (section: number): OneFault => ({ sort: 'clog', section });
  const tightable = at.slice(0, -1);
  const leak = (section: number): OneFault => ({ sort: 'leak', section });
  const share = (prior: number, all: OneFault[][]) => all.map((faults) => ({ faults, prior: prior / all.length }));
  return [
    { faults: [], prior: PRIOR.none },
    { faults: [{ sort: 'fan' }], prior: PRIOR.fan },
    ...share(
      PRIOR.clog,
      at.map((i) => [clog(i)]),
    ),
    ...share(
      PRIOR.leak,
      tightable.map((i) => [leak(i)]),
    ),
    ...share(
      PRIOR.clogs,
      at.flatMap((i) => at.filter((j) => j > i).map((j) => [clog(i), clog(j)])),
    ),
    ...share(
      PRIOR.clogAndLeak,
      at.flatMap((i) => tightable.map((j) => [clog(i), leak(j)])),
    ),
  ];
}

/** The machine with one thing wrong with it, of this size. */
export function withFault(machine: AirMachine, fault: OneFault, size: number): AirMachine {
  switch (fault.sort) {
    case 'clog':
      return {
        ...machine,
        sections: machine.sections.map((s, i) => (i === fault.section ? { ...s, loss: s.loss * size } : s)),
      };
    case 'leak':
      return { ...machine, leak: { after: fault.section, size } };
    case 'fan': {
      // A slower fan: vacuum falls with the square of its speed, flow with the speed.
      const { fan } = machine;
      return { ...machine, fan: { ...fan, sealedKPa: fan.sealedKPa * size, freeLs: fan.freeLs * Math.sqrt(size) } };
    }
  }
}

/** Makes a fault that is there larger or smaller. @param sigma of the logarithm of its size */
export function sizeMove(fault: OneFault, sigma: number): Move {
  return (machine, by) => {
    const times = Math.exp(by * sigma);
    return fault.sort === 'leak'
      ? { ...machine, leak: { ...machine.leak!, size: machine.leak!.size * times } }
      : withFault(machine, fault, times);
  };
}
