import { DateTime } from 'luxon';

/** Calendar date of an instant in the shop's zone, as ISO. */
export function dayInZone(at: Date, zone: string): string {
  return DateTime.fromJSDate(at, { zone }).toISODate()!;
}
