import { median, theilSen } from '../stats/theilSen';

export interface MeterReading {
  /** Days since any fixed day. */
  day: number;
  hours: number;
}

export interface MeterEvent {
  day: number;
  /** It shows less than before, or more than the days between can hold; or one reading alone does not fit those round it. */
  sort: 'turned-back' | 'ran-ahead' | 'misread';
  from: number;
  to: number;
}

/** How many hours a machine ran in all since its first reading, whatever became of its meter. */
export interface RunningHours {
  points: readonly { day: number; total: number }[];
  events: readonly MeterEvent[];
  /** Hours a day: the likely one, and between which the truth lies. */
  perDay: number;
  low: number;
  high: number;
  /** What comes and goes from day to day, hours² a day; null where `low` and `high` are all that is known. */
  scatter: number | null;
  /** So many days the pace was seen. */
  spanDays: number;
  /** By readings, or only by what the owner said. */
  from: 'meter' | 'card';
}

/** The past two years tell how it runs now; older ones how it ran then. */
const RECENT_DAYS = 730;
const MOST_POINTS = 60;
/** Two or three readings tell a pace and next to nothing of its scatter: half as much again either way. Common practice, no source. */
const DOUBT_OF_FEW = 1.5;
const FEW = 4;
/**
 * The variance of a Theil–Sen slope through a total that walks at random, as a multiple of that of its two ends over the span:
 * that of least squares is 6/5, and the median of the slopes is about as good.
 */
const SLOPE_OF_WALK = 1.2;
/** Student’s t, two-sided 95 %, for 2 to 10 degrees of freedom (any table of it; from memory); the normal’s beyond twelve. */
const STUDENT = [4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228];
const MAD_TO_SIGMA = 1.4826;
/** Further ahead nobody asks. */
const FAR_DAYS = 36_525;
/** What owners say of their hours is good to a factor of two. Common practice, no source. */
const DOUBT_OF_OWNERS = 2;

/**
 * The hours a machine ran in all, from readings of its meter: one that was swapped, turned back or misread is an event and
 * stops nothing. Where the meter broke off the machine is taken to have gone on at the pace it had before, at most as
 * far as the new meter shows. The pace is a robust line (Theil–Sen) through the last two years; its doubt comes from how the
 * stretches between readings differ, because a total walks: its errors are not independent, and the line’s own interval would
 * be far too narrow.
 * @param hoursPerWeek what the owner says, for a machine with fewer than two readings
 * @throws RangeError for readings below nought
 */
export function runningHours(readings: readonly MeterReading[], hoursPerWeek: number): RunningHours {
  const said = hoursPerWeek / 7;
  if (readings.some((r) => !(r.hours >= 0))) throw new RangeError('An hour meter shows nothing below nought.');
  const inOrder = oneADay(readings);
  const events: MeterEvent[] = [];
  const kept = inOrder.filter((r, i) => {
    const [before, after] = [inOrder[i - 1], inOrder[i + 1]];
    if (!before || !after || fits(before, r) || !fits(before, after)) return true;
    events.push({ day: r.day, sort: 'misread', from: before.hours, to: r.hours });
    return false;
  });
  const points: { day: number; total: number }[] = [];
  let total = 0;
  kept.forEach((r, i) => {
    const before = kept[i - 1];
    if (before && fits(before, r)) total += r.hours - before.hours;
    else if (before) {
      const isBack = r.hours < before.hours;
      events.push({ day: r.day, sort: isBack ? 'turned-back' : 'ran-ahead', from: before.hours, to: r.hours });
      const gap = (r.day - before.day) * (points.length > 1 ? paceOf(points).perDay : said);
      total += isBack ? Math.min(gap, r.hours) : gap;
    }
    points.push({ day: r.day, total });
  });
  if (points.length > 1) return { points, events, ...paceOf(points), from: 'meter' };
  const [low, high] = [said / DOUBT_OF_OWNERS, said * DOUBT_OF_OWNERS];
  return { points, events, perDay: said, low, high, scatter: null, spanDays: 0, from: 'card' };
}

/** More than the days between can hold, or less than before: not the same meter. */
function fits(before: MeterReading, after: MeterReading): boolean {
  const rise = after.hours - before.hours;
  return rise >= 0 && rise <= 24 * Math.max(1, after.day - before.day + 1);
}

/** The last of every day counts. */
function oneADay(readings: readonly MeterReading[]): MeterReading[] {
  const days = new Map(readings.map((r) => [r.day, r]));
  return [...days.values()].sort((a, b) => a.day - b.day);
}

type Pace = Pick<RunningHours, 'perDay' | 'low' | 'high' | 'scatter' | 'spanDays'>;

function paceOf(points: readonly { day: number; total: number }[]): Pace {
  const last = points.at(-1)!;
  const recent = points.filter((p) => p.day >= last.day - RECENT_DAYS).slice(-MOST_POINTS);
  const used = recent.length > 1 ? recent : points.slice(-2);
  const perDay = Math.max(0, theilSen(used.map((p) => [p.day, p.total])).slope);
  const spanDays = last.day - used[0]!.day;
  if (used.length < FEW)
    return { perDay, low: perDay / DOUBT_OF_FEW, high: perDay * DOUBT_OF_FEW, scatter: null, spanDays };
  const off = used.slice(1).map((p, i) => {
    const days = p.day - used[i]!.day;
    return (p.total - used[i]!.total - perDay * days) / Math.sqrt(days);
  });
  const scatter = sigmaOf(off) ** 2;
  const doubt = quantileFor(off.length) * Math.sqrt((SLOPE_OF_WALK * scatter) / spanDays);
  return { perDay, low: Math.max(0, perDay - doubt), high: perDay + doubt, scatter, spanDays };
}

/** One stretch that is quite unlike the rest does not set the scatter, once there are enough of them. */
function sigmaOf(off: readonly number[]): number {
  const plain = Math.sqrt(off.reduce((sum, x) => sum + x * x, 0) / (off.length - 1));
  if (off.length < 8) return plain;
  const size = off.map(Math.abs).sort((a, b) => a - b);
  return MAD_TO_SIGMA * median(size);
}

const quantileFor = (stretches: number) => STUDENT[stretches - 3] ?? (stretches > 12 ? 1.96 : 2.2);

/** The running total on a day: between two readings in proportion, beyond them by the pace; null without a reading. */
export function totalOn({ points, perDay }: RunningHours, day: number): number | null {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return null;
  if (day >= last.day) return last.total + (day - last.day) * perDay;
  if (day <= first.day) return first.total - (first.day - day) * perDay;
  const i = points.findIndex((p) => p.day > day);
  const [a, b] = [points[i - 1]!, points[i]!];
  return a.total + ((b.total - a.total) * (day - a.day)) / (b.day - a.day);
}

/**
 * The days on which a machine will have run so many hours more than on a day it was last done: likely, early, late.
 * @returns Infinity where it does not run
 */
export function dayAfterHours(
  running: RunningHours,
  doneOnDay: number,
  hours: number,
): { day: number; early: number; late: number } {
  const last = running.points.at(-1);
  const doneAt = totalOn(running, doneOnDay);
  const [from, left] =
    last && doneAt !== null && last.day > doneOnDay
      ? [last.day, hours - (last.total - doneAt)]
      : ([doneOnDay, hours] as const);
  if (left <= 0) return passed(running, doneOnDay, doneAt! + hours);
  const at = (pace: number) => (pace > 0 ? from + left / pace : Infinity);
  if (running.scatter === null) return { day: at(running.perDay), early: at(running.high), late: at(running.low) };
  return { day: at(running.perDay), early: from + daysFor(running, left, 1), late: from + daysFor(running, left, -1) };
}

/** Days in which so many hours are run at the best (1) or the worst (-1), both the pace and what is to come being in doubt. */
function daysFor({ perDay, scatter, spanDays, points }: RunningHours, hours: number, side: 1 | -1): number {
  const k = quantileFor(Math.min(points.length, MOST_POINTS) - 1);
  const run = (t: number) => perDay * t + side * k * Math.sqrt(scatter! * (t + (SLOPE_OF_WALK * t * t) / spanDays));
  // At the worst it first falls behind and then gains: the last day on which it comes up is looked for from beyond.
  let [low, high] = side === 1 ? [0, hours / Math.max(perDay, 1e-9)] : [hours / Math.max(perDay, 1e-9), FAR_DAYS];
  if (side === 1 ? perDay === 0 && scatter === 0 : !(run(high) >= hours)) return Infinity;
  for (let n = 0; n < 60; n++) {
    const middle = (low + high) / 2;
    if (run(middle) >= hours) high = middle;
    else low = middle;
  }
  return high;
}

/** It has run them already: between two readings, and nobody doubts more than that. */
function passed({ points }: RunningHours, doneOnDay: number, target: number) {
  const i = points.findIndex((p) => p.total >= target);
  const [a, b] = [points[i - 1] ?? points[i]!, points[i]!];
  const [early, late] = [Math.max(a.day, doneOnDay), b.day];
  const share = b.total > a.total ? (target - a.total) / (b.total - a.total) : 1;
  return { day: Math.min(late, Math.max(early, a.day + share * (b.day - a.day))), early, late };
}
