import { assess } from './assess';
import type { Answer, Assessment, AssessInput } from './assessment';
import { cautionsInForce, replay } from './benchState';
import { referencesOf } from './classifyReading';
import { shippedPriors, skeletonOf } from './compileKind';
import { kindOf, perKind, type Kind, type Knowledge, type PerKind } from './knowledge';
import { learnedPriors, type Tallies } from './learnPriors';
import { ImpossibleEvidenceError } from './network';
import { observe } from './observe';

/** A hint of small weight: the customer's own diagnosis multiplies the odds of that fault by this. Common practice, no source. */
const HINT_FACTOR = 1.5;

/**
 * What the finder is told of one machine: plain data, the same whoever asks (a job's screens, a forecast, practice, the
 * service, a benchmark), and what its answer depends on beside the tallies.
 */
export interface FinderCase {
  kind: string;
  mainsV: number;
  complaints: string[];
  /** In the order in which they were made: it decides what is open. */
  answers: Answer[];
  /** It was opened lately, by whomever. */
  openedBefore: boolean;
  /** Accesses that were opened or shut step by step, whatever the answers opened; absent when none was. */
  byHand?: { opened: string[]; shut: string[] };
  droppedStations: string[];
  /** Cautions in force because of the state on arrival. */
  raised: string[];
  /** Cautions cleared by somebody's name. */
  cleared: string[];
  /** Whole years; absent when not known. */
  ageYears?: number;
  /** Faults of parts that were made new lately; absent when there is none. */
  madeNew?: string[];
  /** The fault that the owner thinks of. */
  hint?: string;
  /** Fault → after how many of the answers its repair was ticked as done. */
  mendedAfter?: Record<string, number>;
  /** What a comeback costs this shop, minutes; the shipped figure when absent. */
  comebackMinutes?: number;
  /** Group of parts → what one costs in this shop, in minutes of its bench; the shipped figures when absent. */
  partMinutes?: Record<string, number>;
}

/** What stands on the bench, whatever the odds: told by the findings alone. */
export interface BenchState {
  /** Faults shown directly by a finding. */
  proved: string[];
  /** Access ids that the findings so far have opened. */
  open: string[];
  minutesSpent: number;
  cautions: string[];
}

/**
 * The engine's input for a case; with tallies the shop's own jobs have moved the priors.
 * @throws RangeError for a kind that is not known
 */
export function inputOf(knowledge: Knowledge, asked: FinderCase, tallies?: Tallies): AssessInput {
  const { hint, ...rest } = asked;
  const kind = kindOf(knowledge, asked.kind);
  const input: AssessInput = {
    ...rest,
    kind,
    droppedStations: trulyDropped(knowledge, kind, asked),
    ...(hint === undefined ? {} : { oddsFactor: new Map([[hint, HINT_FACTOR]]) }),
  };
  if (!tallies) return input;
  return { ...input, learned: learnedPriors(tallies, shippedPriors(knowledge, kind)) };
}

/**
 * Stations that this model does not have, as far as that can be believed: a machine that cuts out and comes back has a cut-out,
 * whatever its list says. Where everything that explains a complaint was left out, it is taken in again.
 */
export function trulyDropped(
  knowledge: Knowledge,
  kind: Kind,
  { complaints, droppedStations }: Pick<FinderCase, 'complaints' | 'droppedStations'>,
): string[] {
  const dropped = new Set(droppedStations);
  if (dropped.size === 0) return droppedStations;
  const behind = perKind(stationsBehind, knowledge, kind.id, stationsBehindComplaints);
  for (const complaint of complaints) {
    const where = behind.get(complaint) ?? [];
    if (where.length > 0 && where.every((s) => dropped.has(s))) for (const s of where) dropped.delete(s);
  }
  return droppedStations.filter((s) => dropped.has(s));
}

const stationsBehind: PerKind<Map<string, string[]>> = new WeakMap();

/** Complaint → the stations of whatever may explain it on a kind. */
function stationsBehindComplaints(knowledge: Knowledge, kindId: string): Map<string, string[]> {
  const behind = new Map<string, string[]>();
  for (const { kinds, complaints } of knowledge.faults) {
    const station = kinds[kindId]?.station;
    if (station === undefined) continue;
    for (const { complaint, strength } of complaints)
      if (strength !== 'never') behind.set(complaint, [...(behind.get(complaint) ?? []), station]);
  }
  return behind;
}

/** An answer of the finder, or why there is none: the findings cannot all be true. */
export type Reckoned = { assessment: Assessment; problem: null } | { assessment: null; problem: string };

/**
 * Odds, explanations and next actions of one case: up to some tenths of a second of computing.
 * @throws RangeError for ids that the kind does not have; ImpossibleReadingError
 */
export function reckonCase(knowledge: Knowledge, asked: FinderCase, tallies: Tallies): Reckoned {
  try {
    return { assessment: assess(knowledge, inputOf(knowledge, asked, tallies)), problem: null };
  } catch (error) {
    if (error instanceof ImpossibleEvidenceError) return { assessment: null, problem: error.message };
    throw error;
  }
}

/**
 * What is proved, open and held back: quick, no odds are needed.
 * @throws RangeError for ids that the kind does not have; ImpossibleReadingError
 */
export function benchStateOf(knowledge: Knowledge, asked: FinderCase): BenchState {
  const input = inputOf(knowledge, asked);
  const compiled = skeletonOf(knowledge, input.kind, input.droppedStations ?? []);
  const { proved } = observe(compiled, input, referencesOf(input.kind, input.mainsV));
  const { open, minutes } = replay(compiled, input);
  return {
    proved: [...proved],
    open: [...open],
    minutesSpent: minutes,
    cautions: cautionsInForce(compiled, input),
  };
}

/** The step that is put forward: what the state on arrival asks for first, else the best that nothing holds back. */
export function proposedStep(next: Assessment['next'], first: readonly string[]): Assessment['next'][number] | null {
  const free = next.filter((n) => n.heldBackBy.length === 0);
  for (const check of first) {
    const asked = free.find((n) => n.check === check);
    if (asked) return asked;
  }
  // A repair whose run is held back stands first where nothing that can be looked at is worth more.
  return next.find((n) => n.asGood && n.heldBackBy.length > 0) ?? free[0] ?? null;
}
