import type { BenchState } from '@/core/diagnosis/finderCase';
import type { DueBy } from '@/core/service/planDue';
import type { Change } from '@/core/strip/changed';
import type { StripStep } from '@/core/strip/procedure';
import type { Cup, Loss } from '@/core/strip/tray';
import type { BackLine } from '@/core/strip/wayBack';
import type { AgreeView } from '../standing/dto';
import type { OddsView } from '../finding/dto';
import type { KeptGauge } from '../gauges/dto';
import type { PhotographView } from '../pictures/dto';

/**
 * Everything that was written to one job and what follows from it without any odds, as plain data. A deed answers with
 * those members that it changed.
 */
export interface JobFacts extends BenchState {
  id: number;
  version: number;
  stage: 'take-in' | 'find' | 'agree' | 'strip' | 'fit' | 'prove' | 'hand-back' | 'closed';
  place: string;
  benchNo: number;
  personId: number | null;
  words: string;
  /** Why it is here when nothing is wrong with it; empty for a complaint. */
  visit: Visit;
  /** How the visit ended; null while it is here. */
  ending: Ending | null;
  /** What it was, in words. */
  foundWords: string;
  /** What the owner said of what stays open. */
  ownersWord: string;
  pickedUp: string;
  everWet: 'not-asked' | 'no' | 'yes' | 'unknown';
  openedBy: string;
  accessories: string[];
  marks: { station: string; text: string }[];
  photographs: PhotographView[];
  warranty: { until: string | null; choice: 'none' | 'repair-here' | 'authorised'; inForce: boolean };
  comebackOf: number | null;
  /** Faults are hidden in it and the instruments are simulated. */
  practice: boolean;
  /** Checks that the state on arrival asks for first and that are not answered yet. */
  firstChecks: string[];
  /** Of what the odds depend on: odds that carry another key belong to an earlier state of the job. */
  oddsKey: string;
  customerDiagnosis: string | null;
  openedBefore: boolean;
  /** By whomever, here too: what goes wrong when a machine is put together weighs more. */
  openedLately: boolean;
  promisedOn: string;
  takenInAt: string;
  closedAt: string | null;
  advice: string;
  machine: {
    id: number;
    tag: string;
    serial: string;
    maker: string;
    model: string;
    modelId: number;
    kind: string;
    madeYear: number | null;
    mainsV: number;
    droppedStations: string[];
    /** Its batteries are closed; null when nobody said. */
    sealedBattery: boolean | null;
    nextDueOn: string | null;
    note: string;
    addedStations: { line: string; after: string; id: string; label: string }[];
  };
  customer: { id: number; name: string; kind: string; phone: string; email: string; standing: string };
  /** Those that stand; what was struck at the bench is not among them. */
  complaints: string[];
  arrivalSigns: string[];
  /** Cautions that stand on this machine whatever is done to it, by its age. */
  standing: string[];
  clearedCautions: { caution: string; how: string; at: string; by: string }[];
  findings: FindingView[];
  parts: {
    code: string;
    label: string;
    group: string;
    priceMinor: number;
    stock: number;
    station: string;
    /** The model's list names this size: its own belt, bearing or filter. */
    own: boolean;
  }[];
  fitted: {
    id: number;
    /** Null for a part that is on no list. */
    code: string | null;
    label: string;
    station: string;
    quantity: number;
    /** Where a part that is on no list comes from, and its risk. */
    why: string;
    at: string;
  }[];
  /** Faults whose repair this job does, done or not: proved and wanted, and what was agreed besides. */
  toMend: string[];
  /** Faults whose repair was done in this job. */
  repaired: string[];
  /** Proved here and not repaired: they stay open on the machine. */
  leftOpen: string[];
  /** What earlier jobs left open on this machine and this one has not mended. */
  openFaults: { fault: string; job: number; at: string }[];
  /** Complaints that the bench did not find. */
  struck: { complaint: string; why: string; by: string | null }[];
  /** What the service of this visit has on its list, and what falls due later. */
  service: ServiceLine[];
  /** Only of a visit. */
  visitOrder: VisitOrder | null;
  /** On how many days of how many the operator did what is theirs, as they say. */
  care: { item: string; doneDays: number; ofDays: number }[];
  /** The way in: what is behind, what is ahead, and where the loose pieces lie. */
  strip: StripView;
  /** The way back, in its order. */
  rebuild: (Omit<BackLine, 'stations'> & { done: boolean })[];
  waits: { id: number; kind: string; what: string; startedAt: string; endsAt: string; endedAt: string | null }[];
  proofs: ProofView[];
  /** What was measured and reckoned, kept with the job. */
  gauges: KeptGauge[];
  /** Station → days since it was last replaced here, before or in this job. */
  partAgeDays: Record<string, number>;
  /** Faults of parts that this shop made new so lately before the job that their odds are those of new ones. */
  madeNew: string[];
  past: {
    id: number;
    takenInAt: string;
    visit: Visit;
    faults: string[];
    words: string;
    ending: Ending | null;
    foundWords: string;
  }[];
  /** How it stands with the owner: what was offered, answered, put on paper and paid. */
  agree: AgreeView;
  currency: string;
  zone: string;
}

/** What a deed answers: which job, its version now, and what changed. */
export type JobChanges = Pick<JobFacts, 'id' | 'version'> & Partial<JobFacts>;

/** The whole of one job, with its odds. */
export interface JobView extends JobFacts {
  odds: OddsView;
}

export type StepView = Omit<StripStep, 'needs' | 'instead' | 'back'> & {
  /** Somebody pressed it; otherwise it was opened on the way of a check or a repair. */
  pressed: boolean;
};

export interface StripView {
  done: StepView[];
  /** In the order of fewest turnings, then fewest changes of tool. */
  ahead: StepView[];
  /** What this machine does not have. */
  absent: StepView[];
  turnings: number;
  toolChanges: number;
  /** Of what is ahead. */
  minutes: number;
  /** No order turns the machine less often; otherwise only that none was found. */
  exact: boolean;
  cups: Cup[];
  losses: Loss[];
  /** How this model differs from its kind. */
  changes: Change[];
  /** Photographs that the model has at its steps, from any machine of it. */
  pictures: { step: string; id: number }[];
}

export type Visit = '' | 'service' | 'height' | 'new-part' | 'before-sale';
export type Ending = 'repaired' | 'unrepaired' | 'unrepairable' | 'scrapped' | 'authorised' | 'cancelled' | 'not-seen';

/** One item of the service and how it stands. */
export interface ServiceLine {
  item: string;
  label: string;
  station: string;
  /** What the visit is for, past due, never known, due within a month, later. */
  state: 'asked' | 'past' | 'unknown' | 'soon' | 'later';
  lastDoneOn: string | null;
  dueOn: string | null;
  /** Between these, as far as is known; the later one null when it may never come. */
  early: string | null;
  late: string | null;
  by: DueBy;
  /** Its people do it themselves between visits; here it is done with the rest. */
  byItsPeople: boolean;
  /** Done at this visit: said to be, or by a repair, a part, a look or a proof that does it. */
  done: boolean;
  /** What was said of it at this visit; null while nothing was. */
  said: 'done' | 'worn' | 'left' | null;
  words: string;
  lookAgainOn: string | null;
  minutes: number | null;
  /** What was read there at this visit. */
  readings: { place: string; value: number }[];
  /** What was read there last before this visit. */
  before: { place: string; value: number; on: string }[];
}

/** The visit in the order in which the machine is turned least: steps that open it, and what is done there. */
export interface VisitOrder {
  lines: ({ sort: 'step'; step: StepView } | { sort: 'item'; item: string })[];
  turnings: number;
  toolChanges: number;
  /** Of all that is ahead, on the way in and in the items. */
  minutes: number;
  /** No order turns the machine less often; otherwise only that none was found. */
  exact: boolean;
}

export interface FindingView {
  id: number;
  check: string;
  outcome: string | null;
  value: number | null;
  unit: string | null;
  condition: string | null;
  at: string;
  by: string | null;
  revoked: boolean;
  /** Made before the last repair or reset: true of the machine as it was then. */
  before: boolean;
}

export interface ProofView {
  item: string;
  label: string;
  required: boolean;
  /** It can be shown only with power on. */
  power: boolean;
  /** What is shown to be gone; null for what is tried otherwise. */
  gone: string | null;
  /** Where it can hurt someone. */
  cautions: string[];
  /** What must be said with it. */
  asks: ProofAsk[];
  quantity: 'pressure' | 'speed' | null;
  unit: string | null;
  result: 'pass' | 'fail' | null;
  before: number | null;
  after: number | null;
  note: string;
  /** What was said with it. */
  details: Partial<Record<ProofAsk, string>>;
}

/** By which rules, with which readings, by whom an electrical check was made. */
export type ProofAsk = 'rules' | 'readings' | 'tester';
