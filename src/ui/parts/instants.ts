import { dayWords } from './dayWords';

/** Calendar date of an instant in the shop's zone, as ISO. */
export function dayAt(iso: string, zone: string): string {
  return new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' }).format(new Date(iso));
}

/** Time of day of an instant in the shop's zone: `14:05`. */
export function timeAt(iso: string, zone: string): string {
  return new Intl.DateTimeFormat('sv-SE', { timeZone: zone, timeStyle: 'short' }).format(new Date(iso));
}

/** Date and time of an instant in the shop's zone: `2026-11-25 14:05`. */
export function instantAt(iso: string, zone: string): string {
  return `${dayAt(iso, zone)} ${timeAt(iso, zone)}`;
}

/** An instant for people: `today 14:05`, `tomorrow 05:30`, `Fri 27 Nov 09:00`. */
export function momentWords(iso: string, today: string, zone: string): string {
  return `${dayWords(dayAt(iso, zone), today)} ${timeAt(iso, zone)}`;
}
