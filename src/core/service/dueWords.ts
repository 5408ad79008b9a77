import type { DueBy, Habit } from './planDue';

const BY: Record<DueBy, string> = {
  days: '',
  plate: 'by its plate',
  hours: 'by its hours',
  uses: 'by how often it is used',
  times: 'by how often it was washed',
  wear: 'by measured wear',
  frost: 'before the frost',
  finding: 'as was said last time',
};

/** By what it falls due; empty where that is the calendar. */
export const byWords = (by: DueBy | null): string => (by === null ? '' : BY[by]);

/** From when to when it may fall due; one day where that is certain. */
export function spanWords({ on, early, late }: { on: string; early: string | null; late: string | null }): string {
  if (early === null || (early === on && late === on)) return on;
  return late === null ? `from ${early} on` : `${early} to ${late}`;
}

const UNITS: Record<string, string> = { days: 'days', hours: 'h', uses: 'uses', times: 'washes' };

/** An interval in words: whichever comes first. @example habitWords({ days: 30, hours: 50 }) // → '30 days or 50 h' */
export function habitWords(habit: Habit | null): string {
  if (!habit) return '';
  return Object.entries(habit)
    .map(([unit, n]) => `${n} ${UNITS[unit]}`)
    .join(' or ');
}
