import { dayWords } from './dayWords';

/** By zone and style. To make one takes longer than to use it a hundred times, and a page writes hundreds of days. */
const formats = new Map<string, Intl.DateTimeFormat>();

function formatOf(zone: string, style: 'date' | 'time'): Intl.DateTimeFormat {
  const key = `${style} ${zone}`;
  const known = formats.get(key);
  if (known) return known;
  const made = new Intl.DateTimeFormat('sv-SE', {
    timeZone: zone,
    ...(style === 'date' ? { dateStyle: 'short' } : { timeStyle: 'short' }),
  });
  formats.set(key, made);
  return made;
}

/** Calendar date of an instant in the shop's zone, as ISO. */
export function dayAt(iso: string, zone: string): string {
  return formatOf(zone, 'date').format(new Date(iso));
}

/** Time of day of an instant in the shop's zone: `14:05`. */
export function timeAt(iso: string, zone: string): string {
  return formatOf(zone, 'time').format(new Date(iso));
}

/** Date and time of an instant in the shop's zone: `2026-11-25 14:05`. */
export function instantAt(iso: string, zone: string): string {
  return `${dayAt(iso, zone)} ${timeAt(iso, zone)}`;
}

/** An instant for people: `today 14:05`, `tomorrow 05:30`, `Fri 27 Nov 09:00`. */
export function momentWords(iso: string, today: string, zone: string): string {
  return `${dayWords(dayAt(iso, zone), today)} ${timeAt(iso, zone)}`;
}
