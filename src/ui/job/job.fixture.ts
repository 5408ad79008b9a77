import { reckonCase } from '@/core/diagnosis/finderCase';
import type { JobState } from '@/data/jobState';
import { knowledge } from '@/knowledge';
import type { AssessmentView, OddsView } from '@/shop/finding/dto';
import { caseOfJob } from '@/shop/jobView/caseOfJob';
import type { JobFacts } from '@/shop/jobView/dto';
import { factsOf } from '@/shop/jobView/jobFacts';

type Finding = Pick<JobState['findings'][number], 'check_id'> & Partial<JobState['findings'][number]>;

/** A job as the database tells it: an upright with the motor in its head, whose roll stands still. */
export function jobInFind(
  findings: Finding[] = [],
  more: Partial<JobState> = {},
): { state: JobState; facts: JobFacts; odds: OddsView & { assessment: AssessmentView } } {
  const at = '2030-03-04T09:00:00+00:00';
  const state: JobState = {
    job: {
      id: 12,
      machine_id: 3,
      customer_id: 4,
      stage: 'find',
      place: 'bench',
      words: 'It just sits there.',
      customer_diagnosis: null,
      opened_before: false,
      opened_by: '',
      picked_up: '',
      ever_wet: 'not-asked',
      visit: '',
      ending: null,
      found_words: '',
      owners_word: '',
      accessories: [],
      warranty_choice: 'none',
      comeback_of: null,
      person_id: null,
      bench_no: 1,
      promised_on: '2030-03-05',
      taken_in_at: at,
      closed_at: null,
      advice: '',
      version: 1 + findings.length,
    },
    machine: {
      id: 3,
      tag: 'GK-0003',
      model_id: 5,
      customer_id: 4,
      site_id: null,
      serial: 'S-3',
      made_year: 2027,
      purchased_on: null,
      warranty_until: null,
      pets: false,
      hours_per_week: 1.5,
      note: '',
      next_due_on: null,
      merged_into: null,
      scrapped_on: null,
      version: 1,
    },
    model: {
      id: 5,
      maker: 'Hollin',
      name: 'Gannet',
      kind: 'upright-brush-motor',
      mains_v: 120,
      dropped_stations: [],
      added_stations: [],
      warranty_months: 24,
      belts: [],
      bearings: [],
      filters: [],
      note: '',
      version: 1,
    },
    customer: { id: 4, name: 'Jory Marsk', kind: 'household', phone: '555 0303', standing: '' },
    shop: { zone: 'UTC', currency: 'USD', comebackMinutes: 90, labourMinor: null, partPrices: {} },
    complaints: ['roll-not-turning'],
    signs: [],
    marks: [],
    cleared: [],
    findings: findings.map((f, i) => ({
      id: i + 1,
      outcome: null,
      value: null,
      unit: null,
      condition: null,
      at,
      revoked_at: null,
      person: 'Tess Fennock',
      ...f,
    })),
    ticks: [],
    stripped: [],
    losses: [],
    procedure: [],
    repairs: [],
    repairedAt: [],
    served: [],
    struck: [],
    openFaults: [],
    plans: [],
    fitted: [],
    waits: [],
    proofs: [],
    photographs: [],
    gauges: [],
    partAges: [],
    practice: false,
    ...more,
  };
  const nobody = { kindJobs: 0, modelJobs: 0, lentJobs: 0, lentFaults: {}, faults: {} };
  const facts: JobFacts = { ...factsOf(state), parts: [], past: [] };
  const { assessment } = reckonCase(knowledge, caseOfJob(state), nobody);
  return {
    state,
    facts,
    odds: {
      key: facts.oddsKey,
      problem: null,
      assessment: { ...assessment!, basis: { ...assessment!.basis, kindJobs: 0, modelJobs: 0 } },
    },
  };
}
