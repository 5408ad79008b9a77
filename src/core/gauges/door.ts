import type { RawValues } from './fields';
import type { Gauge } from './gauge';

/** Where a gauge is come to from: what it is called, which checks it answers, what it starts with. Nothing of its reckoning. */
export interface GaugeDoor {
  id: string;
  label: string;
  /** Of its method. */
  version: number;
  /** Ids of checks. */
  answers: readonly string[];
  /** Check, `check/condition` or `part/group` → fields as they are asked there. */
  opens: Readonly<Record<string, RawValues>>;
  /** It asks for the volts of the mains. */
  asksMains: boolean;
}

export function doorOf({ id, label, version, answers, opens, fields }: Omit<Gauge, 'reckon'>): GaugeDoor {
  return { id, label, version, answers, opens: opens ?? {}, asksMains: 'mains' in fields };
}

/** What a gauge starts with when it is opened from a check, as it was asked there. */
export function openedFrom({ opens }: Pick<GaugeDoor, 'opens'>, check: string, condition?: string): RawValues {
  return { ...opens[check], ...(condition ? opens[`${check}/${condition}`] : {}) };
}
