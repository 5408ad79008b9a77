/** How a machine is used: what shortens an interval. */
export interface MachineUse {
  pets: boolean;
  /** In trade use: the safety test comes due. */
  trade: boolean;
  /** Hours a week; 1.5 is taken as ordinary (common practice, no source). */
  hoursPerWeek: number;
}

/** A plan rule: the maker's habit is an upper limit, use shortens the bench's own interval. */
export interface PlanRule {
  makerDays: number | null;
  /** Null for what is due by measurement, not by the calendar. */
  benchDays: number | null;
  /** Interval under pets or heavy use, if it differs. */
  heavyDays?: number;
  tradeOnly?: true;
}

const ORDINARY_HOURS_PER_WEEK = 1.5;

/**
 * Days between two services of an item, for this use; null when the item does not apply.
 * Use beyond the ordinary shortens the bench interval in proportion, to no less than a quarter; the maker's interval is
 * never exceeded.
 */
export function intervalDays(rule: PlanRule, use: MachineUse): number | null {
  if (rule.benchDays === null || (rule.tradeOnly && !use.trade)) return null;
  const heavy = use.pets || use.hoursPerWeek >= 2 * ORDINARY_HOURS_PER_WEEK;
  const base = heavy && rule.heavyDays ? rule.heavyDays : rule.benchDays;
  const factor = heavy && rule.heavyDays ? 1 : Math.min(4, Math.max(1, use.hoursPerWeek / ORDINARY_HOURS_PER_WEEK));
  const days = Math.round(base / factor);
  return rule.makerDays === null ? days : Math.min(days, rule.makerDays);
}

/** Calendar date `days` after an ISO date (`2026-02-27` and 2 give `2026-03-01`). */
export function addDays(isoDate: string, days: number): string {
  const at = Date.parse(`${isoDate}T00:00:00Z`);
  if (Number.isNaN(at)) throw new RangeError(`${isoDate} is not a date.`);
  return new Date(at + days * 86_400_000).toISOString().slice(0, 10);
}

/** Whole days from one ISO date to another (negative when the second is earlier). */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}
