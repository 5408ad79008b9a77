import type { PlanRule } from '@/core/service/planDue';
import { firstOf } from './where';

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

export const planItems: PlanItem[] = [
  {
    id: 'pre-filter-wash',
    label: 'Wash the pre-motor filter',
    stations: firstOf('pre-filter', 'pre-foam'),
    makerDays: 90,
    benchDays: 90,
    heavyDays: 30,
    parts: ['filter'],
    steps: ['filters-clean'],
  },
  {
    id: 'pre-filter-new',
    label: 'New pre-motor filter',
    stations: firstOf('pre-filter', 'pre-foam'),
    makerDays: null,
    benchDays: 365,
    parts: ['filter'],
    steps: [],
  },
  {
    id: 'exhaust-filter',
    label: 'Exhaust filter',
    stations: firstOf('exhaust-filter', 'post-filter', 'exhaust-foam'),
    makerDays: 365,
    benchDays: 365,
    parts: ['filter'],
    steps: [],
  },
  {
    id: 'roll-hair',
    label: 'Hair off the roll',
    stations: firstOf('roll', 'brush', 'brush-front'),
    makerDays: null,
    benchDays: 90,
    heavyDays: 30,
    parts: ['roll'],
    steps: ['roll-clean'],
  },
  {
    // Its date comes from measured wear, never from a calendar.
    id: 'bristles',
    label: 'Cam step or new roll, by wear',
    stations: firstOf('roll', 'brush', 'brush-front'),
    makerDays: null,
    benchDays: null,
    parts: ['roll'],
    steps: [],
  },
  {
    id: 'flat-belt',
    label: 'Flat belt',
    stations: firstOf('flat-belt'),
    makerDays: null,
    benchDays: 365,
    heavyDays: 180,
    parts: ['belt'],
    steps: [],
  },
  {
    id: 'toothed-belt-look',
    label: 'Look at the belt’s teeth',
    stations: firstOf('toothed-belt', 'roll-belt', 'belt-2'),
    makerDays: null,
    benchDays: 365,
    parts: ['belt'],
    steps: ['belt-tracked'],
  },
  {
    id: 'neck-hose-look',
    label: 'Look at the neck hose',
    stations: firstOf('neck-hose', 'internal-hose'),
    makerDays: null,
    benchDays: 365,
    parts: ['hose'],
    steps: ['seals-wiped'],
  },
  {
    id: 'safety-test',
    label: 'Electrical safety test',
    stations: firstOf('cord', 'charger'),
    makerDays: null,
    benchDays: 365,
    parts: [],
    steps: ['electrical-check'],
    tradeOnly: true,
  },
  {
    id: 'deck-belts-look',
    label: 'Look at the deck belts',
    stations: firstOf('belt-front', 'belt'),
    makerDays: null,
    benchDays: 180,
    heavyDays: 90,
    parts: ['belt'],
    steps: [],
  },
  {
    id: 'squeegee-turn',
    label: 'Turn or renew the squeegee blades',
    stations: firstOf('squeegee-blades'),
    makerDays: null,
    benchDays: 90,
    heavyDays: 30,
    parts: ['squeegee'],
    steps: ['squeegee-level'],
  },
  {
    id: 'battery-look',
    label: 'Battery water, cables, rest voltage',
    stations: firstOf('batteries'),
    makerDays: 30,
    benchDays: 30,
    parts: ['battery'],
    steps: [],
  },
  {
    id: 'felt-gasket',
    label: 'Felt gasket',
    stations: firstOf('felt-gasket'),
    makerDays: null,
    benchDays: 540,
    heavyDays: 365,
    parts: ['seal'],
    steps: [],
  },
];
