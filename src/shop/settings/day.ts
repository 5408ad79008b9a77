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
