import type { Quantity } from '../units/units';
import type { UnitSystem } from '../units/unitSystem';
import type { Fields, RawValues, ValuesOf } from './fields';

/** One computed number. */
export interface Figure {
  label: string;
  /** In the base unit of the quantity; null when it cannot be said. */
  value: number | null;
  quantity: Quantity;
  /** Standard uncertainty, in the base unit. */
  plusMinus?: number;
  /** A few words behind it. */
  remark?: string;
}

/** Something that may be, with its odds. */
export interface Likely {
  label: string;
  probability: number;
  detail?: string;
}

export interface Note {
  /** `range`: outside of what the method is good for; `caution`: somebody could get hurt; `advice`: what to do. */
  sort: 'range' | 'caution' | 'advice';
  text: string;
}

export interface Series {
  name: string;
  points: [number, number][];
  /** Drawn as a line, as single points, or as a thin line of a limit. */
  as: 'line' | 'points' | 'limit';
}

export interface Circle {
  xMm: number;
  yMm: number;
  diameterMm: number;
  label: string;
  /** +1 turns with the motor, -1 against it. */
  sense: 1 | -1;
}

export interface Bar {
  name: string;
  value: number;
  odd?: boolean;
  /** The reading is off the scale: drawn higher than all others, and told as this (`OL`), not as a number. */
  over?: string;
}

/** What the screen draws, in numbers. */
export type Drawing =
  | { draw: 'chart'; label: string; x: Quantity | 'date'; y: Quantity; series: Series[] }
  | { draw: 'bars'; label: string; y: string; bars: Bar[]; limit?: number }
  | {
      draw: 'belt';
      circles: [Circle, Circle];
      run: 'open' | 'crossed' | 'half-twist' | 'quarter-turn';
      widthMm: number;
      toothed: boolean;
    }
  | { draw: 'bearing'; boreMm: number; outerMm: number; widthMm: number; shielded: boolean }
  | { draw: 'shims'; fan: number[]; commutator: number[]; floatMm: number; standOffMm: number };

/** A reading for Find, a wait, a date for a plan: what a kept result may be used for in its job. */
export interface Feeds {
  /** A check of the finder with the number that answers it. */
  finding?: { check: string; value: number; unit: string; condition?: string };
  /** The day on which a plan falls due, `YYYY-MM-DD`, and for what. */
  plan?: { item: string; dueOn: string };
  /** Something to be shown in Prove, with the number measured now in the base unit. */
  proof?: {
    item: string;
    result: 'pass' | 'fail';
    after?: number;
    note: string;
    rules?: string;
    readings?: string;
    tester?: string;
  };
  /** Hours of a wait that begins now. */
  wait?: { kind: 'drying'; what: string; hours: number };
  /** Sizes by which a part is found in the list, in mm, with standard uncertainties. */
  part?: { group: 'belt' | 'bearing'; sizes: { name: string; mm: number; sigmaMm: number }[] };
}

/** A value that fills a field of another gauge. */
export interface Link {
  gauge: string;
  label: string;
  fill: RawValues;
}

export interface GaugeAnswer {
  /** The answer in one line, with the shop's honesty about doubt. */
  says: string;
  tone: 'good' | 'doubt' | 'bad' | 'plain';
  figures: Figure[];
  likely?: Likely[];
  notes?: Note[];
  drawings?: Drawing[];
  feeds?: Feeds;
  links?: Link[];
}

export interface Formula {
  /** What it computes and how. */
  text: string;
  /** A published source, or *common practice, no source*, or *from memory*. */
  source: string;
}

/** An instrument of the shop, as its card has it. */
export interface InstrumentCard {
  /** By which it is called in a field. */
  name: string;
  /** Standard uncertainty, as a part of the reading in per cent; null when nobody wrote it down. */
  goodToPercent: number | null;
  /** The day on which its calibration runs out, `YYYY-MM-DD`; null when it never was calibrated. */
  dueOn: string | null;
}

/** What a gauge may know besides its fields. */
export interface Surroundings {
  /** Nominal mains voltage of the shop, V. */
  mainsV: number;
  /** Today in the shop's zone, `YYYY-MM-DD`. */
  today: string;
  /** What the shop reads in, for the numbers within sentences; metric unless said. */
  units?: UnitSystem;
  /** Those of the shop: what they are good to, and until when they are calibrated. */
  instruments?: readonly InstrumentCard[];
  /** Told now and then how much is done, 0 to 1. */
  progress?: (done: number) => void;
}

/** What of a machine a gauge is about, in the order of the list. */
export const GAUGE_GROUPS = {
  drive: 'Drive',
  power: 'Power',
  motor: 'Motor',
  air: 'Air',
  battery: 'Battery',
  floor: 'Floor',
  waiting: 'Waiting',
} as const;
export type GaugeGroup = keyof typeof GAUGE_GROUPS;

/** A calculator of the bench. */
export interface Gauge<F extends Fields = Fields> {
  id: string;
  label: string;
  group: GaugeGroup;
  /** What it answers, in one line. */
  purpose: string;
  /** Goes up when the same fields would give another result. */
  version: number;
  fields: F;
  formulas: Formula[];
  /** A worked example that fills the form. */
  example: RawValues;
  /** Fields that start with the example’s value: what is nearly always the same. */
  usual: readonly string[];
  /** Checks of the finder whose reading it can give. */
  answers: readonly string[];
  /** Groups of parts that it measures: it is offered where one of them is repaired. */
  measures?: readonly string[];
  /**
   * How it is opened, by the check, the `check/condition` of what was asked there, or `part/group`: choices that are then made.
   */
  opens?: Readonly<Record<string, RawValues>>;
  /** It may take over 50 ms and belongs in a worker. */
  heavy?: boolean;
  /** @throws GaugeError for values that do not go together */
  reckon(values: ValuesOf<F>, around: Surroundings): GaugeAnswer;
}

/** Keeps the types of the fields together with what is reckoned from them. */
export function gauge<const F extends Fields>(g: Gauge<F>): Gauge<F> {
  return g;
}
