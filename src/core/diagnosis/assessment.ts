import type { PriorOptions } from './compileKind';
import type { Kind } from './knowledge';
import type { Posterior } from './posteriorResult';

/** A check's answer: an outcome by id, or a reading in the aspect's own unit. `check` may be `repair:<fault>`. */
export type Answer =
  { check: string; outcome: string } | { check: string; value: number; condition?: string | undefined };

export interface AssessInput extends PriorOptions {
  kind: Kind;
  mainsV: number;
  complaints: string[];
  answers: Answer[];
  /** Accesses that were opened or shut step by step, whatever the answers opened. */
  byHand?: { opened: readonly string[]; shut: readonly string[] };
  /** Cautions in force for other reasons (arrival checks). */
  raised?: string[];
  /** Cautions cleared by somebody's name. */
  cleared?: string[];
  /** Fault → after how many of the answers its repair was ticked as done. */
  mendedAfter?: Readonly<Record<string, number>>;
  /** What a machine costs that comes back because a second cause was left in it, minutes. */
  comebackMinutes?: number;
  /** Group of parts → what one costs in this shop, in minutes of its bench. */
  partMinutes?: Readonly<Record<string, number>>;
}

export interface ReadAs {
  outcome: string;
  probability: number;
}

export interface Assessment {
  faults: {
    id: string;
    probability: number;
    /** For a danger while its caution is in force: its odds as if nothing else showed its signs. */
    atLeast?: number;
    prior: number;
    proved: boolean;
    /** It can explain a complaint, or the findings have made it likelier than it was. */
    suspect: boolean;
    evidence: { finding: string; logOdds: number }[];
  }[];
  explanations: { faults: string[]; probability: number }[];
  next: NextAction[];
  /** Faults shown directly by a finding. */
  proved: string[];
  /** For each reading: which outcomes it may be, with odds in the light of everything else. */
  readings: { check: string; condition?: string | undefined; value: number; readAs: ReadAs[] }[];
  /** Complaint → proved faults that explain it, and how likely it is gone when they are repaired (0 to 1). */
  explained: { complaint: string; by: string[]; gone: number }[];
  /** Proved faults that account for all complaints, roots before symptoms; empty while some complaint has none that is no mere symptom. */
  causes: string[];
  /** True when every complaint has a proved cause that is no mere symptom, and no look is worth its minutes any more. */
  finished: boolean;
  /** What is open after the answers so far. */
  open: string[];
  minutesSpent: number;
  /** Expected minutes until what is not proved yet is proved and repaired, along the proposed course; what is proved comes on top. */
  minutesToGo: number;
  cautions: string[];
  basis: { method: Posterior['method']; standardError: number; covered: number };
}

export interface NextAction {
  /** Check id, or `repair:<fault>`. */
  check: string;
  minutes: number;
  openingMinutes: number;
  saving: number;
  /** Expected minutes to the end when this is done next and the best follows. */
  total: number;
  /** Minutes that the answer alone is expected to save, without what is opened on the way. */
  informs: number;
  /** As good as the first: whoever stands at the bench may choose. */
  asGood: boolean;
  why: {
    outcomes: string[];
    probability: number;
    topFault: string | null;
    topProbability: number;
    /** It speaks against the fault: it is less likely then than now. */
    falls?: true;
    /** Expected minutes from that answer to the end. */
    minutesToGo: number;
    /** The best step after that answer, when two steps were looked ahead. */
    then?: string;
  }[];
  /** Cautions that forbid it now. */
  heldBackBy: string[];
}
