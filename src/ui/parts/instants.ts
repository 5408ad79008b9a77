import { minutesAhead, type ZoneOffsets } from '@/core/units/zoneOffsets';
import { dayWords } from './dayWords';

/** By zone, as the server told it with the page: the browser's own formats cost a phone a fifth of a second to begin with. */
const clocks = new Map<string, ZoneOffsets>();

/** From now on instants of this zone are told by what the server knows of its clock. */
export function knowClock(offsets: ZoneOffsets): void {
  clocks.set(offsets.zone, offsets);
}

/** By zone. To make one takes longer than to use it a hundred times, and a page writes hundreds of days. */
const formats = new Map<string, Intl.DateTimeFormat>();

function formatOf(zone: string): Intl.DateTimeFormat {
  const known = formats.get(zone);
  if (known) return known;
  // Swedish writes what ISO 8601 has, with a space between.
  const made = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' });
  formats.set(zone, made);
  return made;
}

/** Date and time of an instant in the shop's zone: `2026-11-25 14:05`. */
export function instantAt(iso: string, zone: string): string {
  const at = new Date(iso);
  const clock = clocks.get(zone);
  const ahead = clock ? minutesAhead(clock, at.getTime()) : null;
  if (ahead === null) return formatOf(zone).format(at);
  return new Date(at.getTime() + ahead * 60_000).toISOString().slice(0, 16).replace('T', ' ');
}

/** Calendar date of an instant in the shop's zone, as ISO. */
export function dayAt(iso: string, zone: string): string {
  return instantAt(iso, zone).slice(0, 10);
}

/** Time of day of an instant in the shop's zone: `14:05`. */
export function timeAt(iso: string, zone: string): string {
  return instantAt(iso, zone).slice(11);
}

/** An instant for people: `today 14:05`, `tomorrow 05:30`, `Fri 27 Nov 09:00`. */
export function momentWords(iso: string, today: string, zone: string): string {
  return `${dayWords(dayAt(iso, zone), today)} ${timeAt(iso, zone)}`;
}
