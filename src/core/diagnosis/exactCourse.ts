import { aspectTables, jointOutcomes, pin, shownBy, type AspectTable } from './aspectTables';
import type { Prover, RepairCosts, WeightedSet } from './finishingCourse';
import type { Network } from './network';

/** Something to do, with its minutes from any state of open parts. */
export interface CourseAction {
  findings: number[];
  minutes: Prover['minutes'];
  opens: Prover['opens'];
  /** The fault that it repairs, if it is a repair. */
  repairs?: number;
  proves(finding: number, level: number): readonly number[];
}

export interface ExactInput {
  network: Network;
  /** The likeliest sets; few. */
  sets: WeightedSet[];
  marginals: Float64Array;
  actions: CourseAction[];
  repair: RepairCosts;
  groupsOf: (faults: number[]) => number[][];
  proved: ReadonlySet<number>;
  openNow: number;
}

/** So many suspects and actions can be tried through in a few milliseconds; beyond them nothing is tried. */
const MOST_SUSPECTS = 5;
const MOST_ACTIONS = 8;
/** A search that grows beyond this is given up. */
const MOST_STATES = 20000;
/** Minutes for what nothing left can prove, as in the finishing course. */
const UNREACHED = 60;
const RARE = 3e-4;
const GONE = 1e-9;

/**
 * Expected minutes to everything proved and repaired for each action when it is done next and the best follows, by
 * trying every order after every answer. It is for the end of a finding, when few suspects are left.
 * @returns null when there is too much to try, or nothing
 */
export function exactCourse(input: ExactInput): number[] | null {
  const { network, sets, actions, repair, marginals } = input;
  const suspects = [...new Set(sets.flatMap((s) => s.faults))].filter((f) => !input.proved.has(f));
  if (suspects.length > MOST_SUSPECTS || actions.length > MOST_ACTIONS || actions.length === 0) return null;
  const isCandidate = new Uint8Array(network.faults.length);
  for (const set of sets) for (const f of set.faults) isCandidate[f] = 1;
  const tables: AspectTable[][] = actions.map((a) => aspectTables(network, sets, isCandidate, marginals, a.findings));
  const stated = sets.map((s) => input.groupsOf(s.faults));
  const groups = stated.map((all) => all.filter((g) => g.length > 0));
  const isHopeless = stated.map((all, h) => all.length > 0 && groups[h]!.length === 0);
  /** What is open → the answers given → minutes to the end. */
  const memory = new Map<number, Map<number, number>>();
  // The answers given are one whole number, a place for every action and in it its joint outcome, 0 for not made: exact, for
  // there are at most MOST_ACTIONS places of at most 97.
  const place: number[] = [];
  let places = 1;
  for (const own of tables) {
    place.push(places);
    places *= own.reduce((product, t) => product * t.radix, 1) + 1;
  }
  if (places > Number.MAX_SAFE_INTEGER) return null;
  let states = 0;

  interface State {
    weights: Float64Array;
    proved: ReadonlySet<number>;
    repaired: ReadonlySet<number>;
    open: number;
    /** Actions that are made, a bit for each, and what they gave. */
    made: number;
    answers: number;
  }

  /** Minutes still owed when every set that is left is settled; undefined while one is not. */
  function settled({ weights, proved, repaired, open }: State): number | undefined {
    let hopeless = 0;
    for (let h = 0; h < sets.length; h++) {
      if (weights[h]! < GONE) continue;
      if (isHopeless[h]) hopeless += weights[h]!;
      else if (!groups[h]!.every((g) => g.some((i) => proved.has(i) || repaired.has(i)))) return undefined;
    }
    let owed = 0;
    for (const i of proved) if (!repaired.has(i)) owed += repair.minutes(i, open);
    return hopeless * UNREACHED + (1 - hopeless) * owed;
  }

  function doing(index: number, state: State, bound: number): number {
    const action = actions[index]!;
    let total = action.minutes(state.open);
    const open = action.opens(state.open);
    let covered = 0;
    const outcomes = jointOutcomes(tables[index]!, state.weights, RARE);
    for (const { code, levels, probability, weights } of outcomes) {
      if (total >= bound) return Infinity;
      const gone = action.repairs !== undefined && levels[0]?.level === 0;
      const shown = gone ? [action.repairs!] : shownBy(levels, action.proves);
      const rest = after({
        weights: shown.length > 0 ? pin(weights, sets, shown) : weights,
        proved: shown.length > 0 ? new Set([...state.proved, ...shown]) : state.proved,
        repaired: gone ? new Set([...state.repaired, action.repairs!]) : state.repaired,
        open,
        made: state.made | (1 << index),
        answers: state.answers + (code + 1) * place[index]!,
      });
      total += probability * rest;
      covered += probability;
    }
    return total + Math.max(0, 1 - covered) * UNREACHED;
  }

  function after(state: State): number {
    const owed = settled(state);
    if (owed !== undefined) return owed;
    let known = memory.get(state.open);
    if (!known) memory.set(state.open, (known = new Map()));
    const before = known.get(state.answers);
    if (before !== undefined) return before;
    if (++states > MOST_STATES) return UNREACHED;
    let best = Infinity;
    for (let i = 0; i < actions.length; i++) if (!(state.made & (1 << i))) best = Math.min(best, doing(i, state, best));
    const value = best === Infinity ? UNREACHED : best;
    known.set(state.answers, value);
    return value;
  }

  const whole = sets.reduce((sum, s) => sum + s.probability, 0);
  const start: State = {
    weights: Float64Array.from(sets, (s) => s.probability / whole),
    proved: input.proved,
    repaired: new Set(),
    open: input.openNow,
    made: 0,
    answers: 0,
  };
  if (settled(start) !== undefined) return null;
  const totals = actions.map((_, i) => doing(i, start, Infinity));
  return states > MOST_STATES ? null : totals;
}
