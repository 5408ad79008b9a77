/** Everything that the screens of one job show, as plain data. */
export interface JobView {
  id: number;
  version: number;
  stage: 'take-in' | 'find' | 'agree' | 'strip' | 'fit' | 'prove' | 'hand-back' | 'closed';
  place: string;
  words: string;
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
  };
  customer: { id: number; name: string; kind: string; phone: string };
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
  /** Station → days since it was last replaced here, before or in this job. */
  partAgeDays: Record<string, number>;
  past: { id: number; takenInAt: string; faults: string[]; words: string }[];
  currency: string;
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

export interface AssessmentView {
  faults: {
    id: string;
    probability: number;
    prior: number;
    proved: boolean;
    suspect: boolean;
    evidence: { finding: string; logOdds: number }[];
  }[];
  explanations: { faults: string[]; probability: number }[];
  next: {
    check: string;
    minutes: number;
    openingMinutes: number;
    saving: number;
    why: { outcomes: string[]; probability: number; topFault: string | null; topProbability: number }[];
    heldBackBy: string[];
  }[];
  proved: string[];
  readings: {
    check: string;
    condition?: string | undefined;
    value: number;
    readAs: { outcome: string; probability: number }[];
  }[];
  explained: { complaint: string; by: string[] }[];
  finished: boolean;
  open: string[];
  minutesSpent: number;
  cautions: string[];
  basis: { method: 'exact' | 'sampled'; standardError: number; covered: number; kindJobs: number; modelJobs: number };
}
