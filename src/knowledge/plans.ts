import type { PlanRule } from '@/core/service/planDue';
import { repairsThatReset } from './strip/repairs';
import { firstOf } from './where';

/** What comes due on a machine, and what counts as done. Common practice, no source. */
export interface PlanItem extends PlanRule {
  id: string;
  label: string;
  /** Kind id → station on the board. */
  stations: Record<string, string>;
  /** Fitting a part of one of these groups at the station does it. */
  parts: string[];
  /** Mending one of these faults does it: their repairs say so. */
  repairs: string[];
  /** Answering one of these checks does it: the item is a look. */
  checks?: string[];
  /** Passing one of these proofs does it. */
  proofs?: string[];
}

const texts: Omit<PlanItem, 'repairs'>[] = [
  {
    id: 'pre-filter-wash',
    label: 'Wash the pre-motor filter',
    stations: firstOf('pre-filter', 'pre-foam'),
    makerDays: 90,
    benchDays: 90,
    heavyDays: 30,
    parts: ['filter'],
  },
  {
    id: 'pre-filter-new',
    label: 'New pre-motor filter',
    stations: firstOf('pre-filter', 'pre-foam'),
    makerDays: null,
    benchDays: 365,
    parts: ['filter'],
  },
  {
    id: 'exhaust-filter',
    label: 'Exhaust filter',
    stations: firstOf('exhaust-filter', 'post-filter', 'exhaust-foam'),
    makerDays: 365,
    benchDays: 365,
    parts: ['filter'],
  },
  {
    id: 'roll-hair',
    label: 'Hair off the roll',
    stations: firstOf('roll', 'brush', 'brush-front'),
    makerDays: null,
    benchDays: 90,
    heavyDays: 30,
    parts: ['roll'],
  },
  {
    // Its date comes from measured wear, never from a calendar.
    id: 'bristles',
    label: 'Cam step or new roll, by wear',
    stations: firstOf('roll', 'brush', 'brush-front'),
    makerDays: null,
    benchDays: null,
    parts: ['roll'],
  },
  {
    id: 'flat-belt',
    label: 'Flat belt',
    stations: firstOf('flat-belt'),
    makerDays: null,
    benchDays: 365,
    heavyDays: 180,
    parts: ['belt'],
  },
  {
    id: 'toothed-belt-look',
    label: 'Look at the belt’s teeth',
    stations: firstOf('toothed-belt', 'roll-belt', 'belt-2'),
    makerDays: null,
    benchDays: 365,
    parts: ['belt'],
    checks: ['sole-plate-look', 'second-belt-and-clutch'],
  },
  {
    id: 'neck-hose-look',
    label: 'Look at the neck hose',
    stations: firstOf('neck-hose', 'internal-hose'),
    makerDays: null,
    benchDays: 365,
    parts: ['hose'],
    checks: ['neck-hose-split', 'neck-look'],
  },
  {
    id: 'safety-test',
    label: 'Electrical safety test',
    stations: firstOf('cord', 'charger'),
    makerDays: null,
    benchDays: 365,
    parts: [],
    proofs: ['electrical-check'],
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
    checks: ['deck-belts'],
  },
  {
    id: 'squeegee-turn',
    label: 'Turn or renew the squeegee blades',
    stations: firstOf('squeegee-blades'),
    makerDays: null,
    benchDays: 90,
    heavyDays: 30,
    parts: ['squeegee'],
  },
  {
    id: 'battery-look',
    label: 'Battery water, cables, rest voltage',
    stations: firstOf('batteries'),
    makerDays: 30,
    benchDays: 30,
    parts: ['battery'],
    checks: ['gravity-test', 'battery-cable-look'],
  },
  {
    id: 'felt-gasket',
    label: 'Felt gasket',
    stations: firstOf('felt-gasket'),
    makerDays: null,
    benchDays: 540,
    heavyDays: 365,
    parts: ['seal'],
  },
];

export const planItems: PlanItem[] = texts.map((item) => ({ ...item, repairs: repairsThatReset(item.id) }));
