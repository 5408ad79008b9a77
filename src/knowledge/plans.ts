import { checksOf } from '@/core/diagnosis/knowledge';
import type { PlanRule } from '@/core/service/planDue';
import type { Lie, StepWait } from '@/core/strip/procedure';
import { repairsThatReset } from './strip/repairs';
import { firstOf, kindsWith } from './where';
import { waitAfter, type FittedHere } from './repairWork';
import { faultById, knowledge } from '.';

/** What is read at an item of the service, and how it wears. */
export interface ServiceReading {
  id: string;
  label: string;
  unit: 'mm' | 'V' | '';
  range: [least: number, most: number];
  /** Whole numbers only: which edge, which number of the cam. */
  whole?: true;
  /** What follows when it stands at its last number. */
  atLast?: string;
  /** Where it is read when there is more than one; one nameless place otherwise. */
  places?: Record<string, string[]>;
  wear?: { limit: number; towards: 'down' | 'up' };
}

/** What comes due on a machine, and what counts as done. Common practice, no source. */
export interface PlanItem extends PlanRule {
  id: string;
  label: string;
  /** Kind id → station on the board. */
  stations: Record<string, string>;
  /** Of the item itself, the way to it not counted. */
  minutes: number;
  /** How the machine lies for it, where that matters. */
  lie?: Lie;
  /** What a visit of this sort comes for: it is done then, whenever it falls due. */
  askedAt?: readonly string[];
  /** It takes more than a look: nobody does it because nobody knows when it was done last. */
  onlyWhenDue?: true;
  /** Kind id → the step of its procedure that lays it open; otherwise all of the access that bares its station. */
  after?: Record<string, string>;
  /** Fitting a part of one of these groups at the station does it. */
  parts: string[];
  /** Mending one of these faults does it: their repairs say so. */
  repairs: string[];
  /** Answering one of these checks does it: the item is a look. */
  checks?: string[];
  /** What is found there is said as an answer to one of these, or of `checks`; it does nothing of the item. */
  looks?: string[];
  /** Passing one of these proofs does it. */
  proofs?: string[];
  /** How often a part is taken when it is done, 0 to 1; absent where none is as a rule. */
  partShare?: number;
  /** Done so often, this item falls due. */
  counts?: string;
  reading?: ServiceReading;
  /** Falls due where the suction that is proved after repairs falls below this share of a healthy machine’s. */
  suctionBelow?: number;
}

const SCRUBBERS = ['scrubber-walk-behind', 'scrubber-ride-on'];
const only = (kinds: readonly string[], stations: Record<string, string>) =>
  Object.fromEntries(Object.entries(stations).filter(([kind]) => kinds.includes(kind)));
const MONTHLY: PlanRule = { maker: { days: 30 }, bench: { days: 30, hours: 50 } };
const EACH_100_H: PlanRule = { bench: { days: 365, hours: 100 } };
const ROLLS = ['roll', 'brush', 'brush-front'];

const texts: Omit<PlanItem, 'repairs'>[] = [
  {
    id: 'pre-filter-wash',
    label: 'Wash the pre-motor filter',
    stations: firstOf('pre-filter', 'pre-foam'),
    minutes: 5,
    maker: { days: 90 },
    bench: { days: 90 },
    heavyDays: 30,
    byItsPeople: true,
    parts: ['filter'],
    looks: ['filter-look'],
  },
  {
    id: 'pre-filter-new',
    label: 'New pre-motor filter',
    stations: firstOf('pre-filter', 'pre-foam'),
    minutes: 2,
    bench: { days: 365, times: 6 },
    counts: 'pre-filter-wash',
    partShare: 1,
    parts: ['filter'],
  },
  {
    id: 'exhaust-filter',
    label: 'New exhaust filter',
    stations: firstOf('exhaust-filter', 'post-filter', 'exhaust-foam'),
    minutes: 3,
    maker: { days: 365 },
    bench: { days: 365 },
    partShare: 1,
    parts: ['filter'],
    looks: ['exhaust-filter-look'],
  },
  {
    id: 'cyclone-clean',
    label: 'Cyclone cleaned deep',
    stations: firstOf('cyclone-cones', 'cyclone', 'mesh-or-cyclone', 'mesh'),
    minutes: 12,
    bench: { days: 365 },
    parts: [],
    looks: ['cyclone-look'],
  },
  {
    id: 'roll-hair',
    label: 'Hair off the roll',
    stations: firstOf('roll'),
    minutes: 4,
    bench: { days: 90 },
    heavyDays: 30,
    byItsPeople: true,
    parts: ['roll'],
  },
  {
    // Its date comes from measured wear, never from a calendar.
    id: 'bristles',
    label: 'Bristles measured',
    stations: firstOf(...ROLLS),
    minutes: 3,
    askedAt: ['height'],
    after: { 'upright-self-propelled': 'roll-lift' },
    parts: ['roll'],
    looks: ['bristle-height'],
    reading: {
      id: 'bristle-length',
      label: 'Bristles, length',
      unit: 'mm',
      range: [0, 120],
      places: { 'scrubber-ride-on': ['front', 'rear'] },
      wear: { limit: 10, towards: 'down' },
    },
  },
  {
    id: 'cam-number',
    label: 'Height cam: number up',
    stations: firstOf('height-cam'),
    minutes: 1,
    askedAt: ['height'],
    after: { 'upright-self-propelled': 'roll-lift' },
    parts: [],
    reading: {
      id: 'cam',
      label: 'Cam at number',
      unit: '',
      range: [1, 5],
      whole: true,
      atLast: 'the last number: a new roll next',
    },
  },
  {
    id: 'roll-new',
    label: 'New roll',
    stations: only(['upright-direct-air', 'upright-auto'], firstOf('roll')),
    minutes: 3,
    bench: { days: 1095 },
    heavyDays: 730,
    partShare: 1,
    parts: ['roll'],
  },
  {
    id: 'flat-belt',
    label: 'New flat belt',
    stations: firstOf('flat-belt'),
    minutes: 4,
    bench: { days: 365 },
    heavyDays: 180,
    partShare: 1,
    parts: ['belt'],
  },
  {
    id: 'toothed-belt-look',
    label: 'Look at the belt’s teeth',
    stations: firstOf('toothed-belt', 'roll-belt', 'belt-2'),
    minutes: 2,
    bench: { days: 365 },
    parts: ['belt'],
    checks: ['sole-plate-look', 'second-belt-and-clutch'],
  },
  {
    id: 'neck-hose-look',
    label: 'Look at the neck hose',
    stations: firstOf('neck-hose', 'internal-hose'),
    minutes: 2,
    bench: { days: 365 },
    parts: ['hose'],
    checks: ['neck-hose-split', 'neck-look'],
  },
  {
    id: 'turbine-clean',
    label: 'Turbine brush cleaned, teeth looked at',
    stations: firstOf('turbine'),
    minutes: 10,
    bench: { days: 365 },
    parts: [],
    looks: ['turbine-look'],
  },
  {
    id: 'felt-gasket',
    label: 'New felt gasket',
    stations: firstOf('felt-gasket'),
    minutes: 5,
    bench: { days: 540 },
    heavyDays: 365,
    partShare: 1,
    parts: ['seal'],
  },
  {
    id: 'suction-look',
    label: 'Suction falls: find why',
    stations: firstOf('suction-motor'),
    minutes: 5,
    parts: [],
    checks: ['inlet-vacuum'],
    suctionBelow: 0.7,
  },
  {
    id: 'carbon-look',
    label: 'Look at the carbon brushes',
    stations: { ...firstOf('carbon-brushes'), ...only(SCRUBBERS, firstOf('suction-motor')) },
    minutes: 5,
    bench: { days: 1095, hours: 300 },
    onlyWhenDue: true,
    parts: ['carbon'],
    checks: ['carbon-brush-length'],
  },
  {
    id: 'safety-test',
    label: 'Electrical safety test',
    stations: firstOf('cord', 'charger'),
    minutes: 6,
    bench: { days: 365 },
    parts: [],
    proofs: ['electrical-check'],
    tradeOnly: true,
  },
  {
    id: 'float-clean',
    label: 'Float out, ball and cage rinsed',
    stations: firstOf('float'),
    minutes: 3,
    after: { 'scrubber-walk-behind': 'float-housing' },
    lie: 'standing',
    ...MONTHLY,
    parts: [],
    looks: ['float-free'],
  },
  {
    id: 'intake-screen',
    label: 'Vacuum screen brushed dry',
    stations: firstOf('intake-screen'),
    minutes: 2,
    after: { 'scrubber-walk-behind': 'vacuum-screen' },
    lie: 'standing',
    ...MONTHLY,
    parts: [],
    looks: ['intake-screen'],
  },
  {
    id: 'solution-screen',
    label: 'Solution screen rinsed',
    stations: firstOf('tank-screen', 'solution-filter'),
    minutes: 2,
    lie: 'standing',
    ...MONTHLY,
    parts: [],
    looks: ['tank-screen-look', 'solution-filter-look'],
  },
  {
    id: 'inlets-clear',
    label: 'Squeegee inlets cleared',
    stations: firstOf('inlet-front'),
    minutes: 2,
    after: { 'scrubber-walk-behind': 'blades-off', 'scrubber-ride-on': 'squeegee-off' },
    lie: 'side',
    ...MONTHLY,
    parts: [],
    looks: ['inlets-clear'],
  },
  {
    id: 'squeegee-turn',
    label: 'Turn or renew the squeegee blades',
    stations: firstOf('squeegee-blades'),
    minutes: 6,
    after: { 'scrubber-walk-behind': 'blades-off', 'scrubber-ride-on': 'squeegee-off' },
    lie: 'side',
    ...MONTHLY,
    partShare: 0.25,
    parts: ['squeegee'],
    looks: ['squeegee-edges'],
    reading: {
      id: 'blade-edge',
      label: 'Edge in use, of four',
      unit: '',
      range: [1, 4],
      whole: true,
      atLast: 'the last edge: new blades next',
      places: { 'scrubber-walk-behind': ['front', 'rear'], 'scrubber-ride-on': ['front', 'rear'] },
    },
  },
  {
    id: 'hose-wash',
    label: 'Suction hoses washed, looked at',
    stations: only(SCRUBBERS, firstOf('hose')),
    minutes: 6,
    after: { 'scrubber-walk-behind': 'plug-and-hoses' },
    bench: { days: 90 },
    parts: ['hose'],
    looks: ['vac-hose-look'],
  },
  {
    id: 'deck-belts-look',
    label: 'Look at the brush belt',
    stations: firstOf('belt'),
    minutes: 3,
    after: { 'scrubber-walk-behind': 'deck-belt-cover' },
    lie: 'side',
    bench: { days: 90 },
    parts: ['belt'],
    checks: ['deck-belts'],
    reading: { id: 'belt-give', label: 'Belt gives under a finger', unit: 'mm', range: [0, 60] },
  },
  {
    id: 'deck-belts-hours',
    label: 'Deck belts, both looked at',
    stations: firstOf('belt-front'),
    minutes: 5,
    after: { 'scrubber-ride-on': 'belt-covers' },
    ...EACH_100_H,
    parts: ['belt'],
    checks: ['deck-belts'],
    reading: {
      id: 'belt-give',
      label: 'Belt gives under a finger',
      unit: 'mm',
      range: [0, 60],
      places: { 'scrubber-ride-on': ['front', 'rear'] },
    },
  },
  {
    id: 'deck-bearings',
    label: 'Deck bearings spun by hand',
    stations: firstOf('deck-bearings'),
    minutes: 3,
    after: { 'scrubber-ride-on': 'brushes-out' },
    ...EACH_100_H,
    parts: ['bearing'],
    checks: ['deck-bearing-feel'],
  },
  {
    id: 'skirts-look',
    label: 'Look at the skirts',
    stations: firstOf('skirts'),
    minutes: 2,
    ...EACH_100_H,
    parts: [],
    checks: ['skirt-look'],
  },
  {
    id: 'vac-filter-look',
    label: 'Vacuum filter, its lid flat',
    stations: firstOf('vac-filter'),
    minutes: 3,
    after: { 'scrubber-ride-on': 'vac-filter-out' },
    ...EACH_100_H,
    parts: ['filter'],
    checks: ['vac-lid-warp'],
  },
  {
    id: 'battery-water',
    label: 'Battery water, after charging',
    stations: firstOf('batteries'),
    minutes: 8,
    maker: { days: 30 },
    bench: { days: 30 },
    flooded: true,
    parts: ['battery'],
    checks: ['gravity-test'],
  },
  {
    id: 'battery-look',
    label: 'Batteries: rest voltage, terminals',
    stations: firstOf('batteries'),
    minutes: 6,
    bench: { days: 180, hours: 100 },
    parts: ['battery'],
    checks: ['battery-cable-look'],
    reading: {
      id: 'block-volts',
      label: 'Rest volts, block by block',
      unit: 'V',
      range: [0, 16],
      places: Object.fromEntries(kindsWith('batteries').map((k) => [k, ['1', '2', '3', '4', '5', '6']])),
    },
  },
  {
    id: 'jets-clean',
    label: 'Spray jets soaked',
    stations: firstOf('spray-jets'),
    minutes: 5,
    bench: { days: 180 },
    parts: [],
    looks: ['jet-look'],
  },
  {
    id: 'frost-drain',
    label: 'Tanks, pump and hoses drained before the frost',
    stations: firstOf('solution-tank'),
    minutes: 6,
    frost: true,
    parts: [],
  },
];

export const planItems: PlanItem[] = texts.map((item) => ({ ...item, repairs: repairsThatReset(item.id) }));

/** Items by their id; undefined for one that is planned no more. */
const byId = new Map(planItems.map((i) => [i.id, i]));

export const planItem = (id: string): PlanItem | undefined => byId.get(id);

/** Whether an item makes its part new every time that it is done. */
export const renews = (item: Pick<PlanItem, 'partShare'>): boolean => item.partShare === 1;

/** Items that a machine of a kind can have, its station not dropped. */
export function planItemsOn(kind: string, dropped: readonly string[] = []): PlanItem[] {
  return planItems.filter((i) => i.stations[kind] !== undefined && !dropped.includes(i.stations[kind]));
}

/** The check by which is said what was found at an item; undefined where no check of the kind tells of it. */
export function lookOf(item: PlanItem, kind: string): string | undefined {
  const own = new Set(checksOf(knowledge, kind).map((c) => c.id));
  return [...(item.looks ?? []), ...(item.checks ?? [])].find((id) => own.has(id));
}

/**
 * How long what an item washes lies to dry, as after the repair that does the same; undefined where nothing is washed, or a new one went
 * in.
 */
export function dryingOf(item: PlanItem, kind: string, fitted: readonly FittedHere[]): StepWait | undefined {
  const isNew = fitted.some(
    (p) => p.station === item.stations[kind] && p.group !== null && item.parts.includes(p.group),
  );
  if (isNew) return undefined;
  return item.repairs
    .filter((fault) => kind in (faultById(fault)?.kinds ?? {}))
    .map((fault) => waitAfter(kind, fault, fitted))
    .find((wait) => wait?.kind === 'drying');
}

/** Where a reading is taken on a kind; one place without a name when there is only one. */
export const placesOf = ({ places }: ServiceReading, kind: string): string[] => places?.[kind] ?? [''];
