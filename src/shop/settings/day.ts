import { DateTime } from 'luxon';

/** Calendar date of an instant in the shop's zone, as ISO. */
export function dayInZone(at: Date, zone: string): string {
  return DateTime.fromJSDate(at, { zone }).toISODate()!;
}

/** The calendar day `days` after a date, with the instant at which it starts in the shop's zone. */
export function dayStart(date: string, days: number, zone: string): { date: string; startsAt: string } {
  const at = DateTime.fromISO(date, { zone }).plus({ days }).startOf('day');
  return { date: at.toISODate()!, startsAt: at.toUTC().toISO()! };
}

/** Whether a text is a day of the calendar, as ISO has it. @example isCalendarDate('2023-02-29') // → false */
export function isCalendarDate(text: string): boolean {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && DateTime.fromISO(text).isValid;
}
