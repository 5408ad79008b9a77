import { addDays, dateOfDay, dayNumber } from './days';
import { dayAfterHours, type RunningHours } from './runningHours';
import type { WearDay } from './wearDue';

/** How a machine is used: what shortens an interval. */
export interface MachineUse {
  pets: boolean;
  /** In trade use: the safety test comes due. */
  trade: boolean;
  hoursPerWeek: number;
  /** What is ordinary for its kind. */
  ordinaryHoursPerWeek: number;
  /** How long it runs at one use, hours: turns counted uses into hours. */
  hoursPerUse: number;
  /** Its batteries are closed: nobody waters them. Null where that is not known. */
  sealedBattery: boolean | null;
}

/** Between two services: days, hours that it ran, uses, or how often something else was done; whichever comes first. */
export interface Habit {
  days?: number;
  hours?: number;
  uses?: number;
  times?: number;
}

/** A plan rule: the maker's habit is an upper limit, use shortens the bench's own interval. */
export interface PlanRule {
  maker?: Habit;
  bench?: Habit;
  /** The bench's days under pets or heavy use, if they differ. */
  heavyDays?: number;
  tradeOnly?: true;
  /** Only where cells can be watered. */
  flooded?: true;
  /** Done by its people between visits, who are not paid for it: it brings no machine to the shop. */
  byItsPeople?: true;
  /** Before the first frost of every year. */
  frost?: true;
}

/** What is known of an item on one machine. */
export interface PlanKnown {
  doneOn: string | null;
  /** How often what is counted was done since, and when last. */
  times: number;
  timesOn: string | null;
  /** Somebody found it worn, left it, and asks for another look by then. */
  lookAgainOn: string | null;
  /** When what is measured reaches its limit. */
  wear: WearDay | null;
}

/** By what it falls due. */
export type DueBy = 'days' | 'plate' | 'hours' | 'uses' | 'times' | 'wear' | 'frost' | 'finding';

export interface Due {
  on: string;
  /** Between these, as far as is known; `late` is null when it may never come. */
  early: string;
  late: string | null;
  by: DueBy;
}

/** Further ahead nothing is planned. */
const FAR_DAYS = 3653;
/** Drained so long before the first frost counts for it. */
const BEFORE_FROST_DAYS = 60;

/** Whether anybody plans an item on a machine of this use; one that falls due by measured wear alone is not. */
export function isPlanned(rule: PlanRule, use: MachineUse, frostMonth: number | null): boolean {
  if (!isFor(rule, use)) return false;
  return rule.bench !== undefined || rule.maker !== undefined || (rule.frost === true && frostMonth !== null);
}

/** It counts the use itself: more of it shortens no days besides. */
const countsUse = ({ hours, uses }: Habit) => hours !== undefined || uses !== undefined;

function isFor(rule: PlanRule, use: MachineUse): boolean {
  return (!rule.tradeOnly || use.trade) && (!rule.flooded || use.sealedBattery !== true);
}

/**
 * Days between two services of an item by the bench's habit, for this use; null when no calendar says.
 * Use beyond the ordinary shortens the bench interval in proportion, to no less than a quarter, unless the rule counts hours
 * or uses itself; the maker's interval is never exceeded.
 */
export function intervalDays(rule: PlanRule, use: MachineUse): number | null {
  if (!isFor(rule, use)) return null;
  const maker = rule.maker?.days ?? null;
  if (rule.bench?.days === undefined) return maker;
  const times = use.hoursPerWeek / use.ordinaryHoursPerWeek;
  const heavy = use.pets || times >= 2;
  const base = heavy && rule.heavyDays ? rule.heavyDays : rule.bench.days;
  const factor = (heavy && rule.heavyDays) || countsUse(rule.bench) ? 1 : Math.min(4, Math.max(1, times));
  const days = Math.round(base / factor);
  return maker === null ? days : Math.min(days, maker);
}

/**
 * When an item falls due: by days, by hours run, by uses (nobody counts them: so many hours each), by how often something was
 * done, by its measured line, by the season, or because an earlier look asks for it; whichever comes first. Its interval is that of the earliest, and never later than any.
 * @param frostMonth 1 to 12, in which the first frost is looked for; null where there is none
 * @returns null when it was never known to be done and nothing else says
 */
export function dueOf(
  rule: PlanRule,
  use: MachineUse,
  known: PlanKnown,
  running: RunningHours,
  { today, frostMonth }: { today: string; frostMonth: number | null },
): Due | null {
  if (!isFor(rule, use)) return null;
  const found: Due[] = [];
  const certain = (on: string, by: DueBy) => found.push({ on, early: on, late: on, by });
  const within = ({ day, early, late }: WearDay, by: DueBy) => {
    const far = dayNumber(today) + FAR_DAYS;
    if (!(day < far)) return;
    found.push({ on: dateOfDay(day), early: dateOfDay(early), late: late < far ? dateOfDay(late) : null, by });
  };
  const days = intervalDays(rule, use);
  if (known.doneOn !== null && days !== null)
    certain(addDays(known.doneOn, days), days === rule.maker?.days ? 'plate' : 'days');
  const hours = Math.min(rule.maker?.hours ?? Infinity, rule.bench?.hours ?? Infinity);
  if (known.doneOn !== null && Number.isFinite(hours))
    within(dayAfterHours(running, dayNumber(known.doneOn), hours), 'hours');
  const uses = Math.min(rule.maker?.uses ?? Infinity, rule.bench?.uses ?? Infinity);
  if (known.doneOn !== null && Number.isFinite(uses))
    within(dayAfterHours(running, dayNumber(known.doneOn), uses * use.hoursPerUse), 'uses');
  const times = Math.min(rule.maker?.times ?? Infinity, rule.bench?.times ?? Infinity);
  if (known.timesOn !== null && known.times >= times) certain(known.timesOn, 'times');
  if (known.wear !== null) within(known.wear, 'wear');
  if (known.lookAgainOn !== null) certain(known.lookAgainOn, 'finding');
  if (rule.frost && frostMonth !== null)
    certain(frostAfter(known.doneOn ?? today, known.doneOn !== null, frostMonth), 'frost');
  if (found.length === 0) return null;
  const first = found.reduce((a, b) => (b.on < a.on ? b : a));
  const lates = found.flatMap((d) => (d.late === null ? [] : [d.late])).sort();
  return { ...first, early: found.map((d) => d.early).sort()[0]!, late: lates[0] ?? null };
}

/** The first of the month of frost that comes next; what was done shortly before one counts for it. */
function frostAfter(day: string, isDone: boolean, month: number): string {
  const from = isDone ? addDays(day, BEFORE_FROST_DAYS) : day;
  const inYear = (year: number) => `${year}-${String(month).padStart(2, '0')}-01`;
  const year = Number(from.slice(0, 4));
  return inYear(year) >= from ? inYear(year) : inYear(year + 1);
}
