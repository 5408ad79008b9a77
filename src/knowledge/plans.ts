import type { PlanRule } from '@/core/service/planDue';

/** What comes due on a machine, and what counts as done. Common practice, no source. */
export interface PlanItem extends PlanRule {
  id: string;
  label: string;
  /** Kind id → station on the board. */
  stations: Record<string, string>;
  /** Fitting a part of one of these groups at the station resets it. */
  parts: string[];
  /** Doing one of these rebuild steps resets it. */
  steps: string[];
}

const K1 = 'upright-shaft-belt';
const K2 = 'upright-brush-motor';

export const planItems: PlanItem[] = [
  {
    id: 'pre-filter-wash',
    label: 'Wash the pre-motor filter',
    stations: { [K1]: 'pre-filter', [K2]: 'pre-foam' },
    makerDays: 90,
    benchDays: 90,
    heavyDays: 30,
    parts: ['filter'],
    steps: ['filters-clean'],
  },
  {
    id: 'pre-filter-new',
    label: 'New pre-motor filter',
    stations: { [K1]: 'pre-filter', [K2]: 'pre-foam' },
    makerDays: null,
    benchDays: 365,
    parts: ['filter'],
    steps: [],
  },
  {
    id: 'exhaust-filter',
    label: 'Exhaust filter',
    stations: { [K1]: 'exhaust-filter', [K2]: 'exhaust-filter' },
    makerDays: 365,
    benchDays: 365,
    parts: ['filter'],
    steps: [],
  },
  {
    id: 'roll-hair',
    label: 'Hair off the roll',
    stations: { [K1]: 'roll', [K2]: 'roll' },
    makerDays: null,
    benchDays: 90,
    heavyDays: 30,
    parts: ['roll'],
    steps: ['roll-clean'],
  },
  {
    id: 'flat-belt',
    label: 'Flat belt',
    stations: { [K1]: 'flat-belt' },
    makerDays: null,
    benchDays: 365,
    heavyDays: 180,
    parts: ['belt'],
    steps: [],
  },
  {
    id: 'toothed-belt-look',
    label: 'Look at the belt’s teeth',
    stations: { [K2]: 'toothed-belt' },
    makerDays: null,
    benchDays: 365,
    parts: ['belt'],
    steps: ['belt-tracked'],
  },
  {
    id: 'neck-hose-look',
    label: 'Look at the neck hose',
    stations: { [K2]: 'neck-hose' },
    makerDays: null,
    benchDays: 365,
    parts: ['hose'],
    steps: ['seals-wiped'],
  },
  {
    id: 'safety-test',
    label: 'Electrical safety test',
    stations: { [K1]: 'cord', [K2]: 'cord' },
    makerDays: null,
    benchDays: 365,
    parts: [],
    steps: ['electrical-check'],
    tradeOnly: true,
  },
];
