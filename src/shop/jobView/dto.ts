import type { Assessment } from '@/core/diagnosis/assessment';
import type { KeptGauge } from '../gauges/dto';
import type { PhotographView } from '../photographs/dto';

/** Everything that the screens of one job show, as plain data. */
export interface JobView {
  id: number;
  version: number;
  stage: 'take-in' | 'find' | 'agree' | 'strip' | 'fit' | 'prove' | 'hand-back' | 'closed';
  place: string;
  benchNo: number;
  personId: number | null;
  words: string;
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
  customerDiagnosis: string | null;
  openedBefore: boolean;
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
    kind: string;
    madeYear: number | null;
    mainsV: number;
    droppedStations: string[];
    nextDueOn: string | null;
    note: string;
    addedStations: { line: string; after: string; id: string; label: string }[];
  };
  customer: { id: number; name: string; kind: string; phone: string; standing: string };
  complaints: string[];
  arrivalSigns: string[];
  clearedCautions: { caution: string; how: string; at: string; by: string }[];
  findings: FindingView[];
  assessment: AssessmentView;
  parts: { code: string; label: string; group: string; priceMinor: number; stock: number; station: string }[];
  fitted: { id: number; code: string; label: string; station: string; quantity: number; at: string }[];
  rebuild: { id: string; label: string; done: boolean }[];
  waits: { id: number; kind: string; what: string; startedAt: string; endsAt: string; endedAt: string | null }[];
  proofs: ProofView[];
  /** What was measured and reckoned, kept with the job. */
  gauges: KeptGauge[];
  /** Station → days since it was last replaced here, before or in this job. */
  partAgeDays: Record<string, number>;
  past: { id: number; takenInAt: string; faults: string[]; words: string }[];
  currency: string;
  zone: string;
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
}

export interface ProofView {
  item: string;
  label: string;
  required: boolean;
  quantity: 'pressure' | 'speed' | null;
  unit: string | null;
  result: 'pass' | 'fail' | null;
  before: number | null;
  after: number | null;
  note: string;
}

/** The odds as they stand, with how many of the shop's own jobs stand behind them. */
export type AssessmentView = Omit<Assessment, 'basis'> & {
  basis: Assessment['basis'] & { kindJobs: number; modelJobs: number };
};
