const DAY_MS = 86_400_000;

/** Calendar date `days` after an ISO date (`2026-02-27` and 2 give `2026-03-01`). */
export function addDays(isoDate: string, days: number): string {
  return dateOfDay(dayNumber(isoDate) + days);
}

/** Whole days from one ISO date to another (negative when the second is earlier). */
export function daysBetween(from: string, to: string): number {
  return dayNumber(to) - dayNumber(from);
}

/** Days from 1970-01-01 to an ISO date. @throws RangeError for what is no date */
export function dayNumber(isoDate: string): number {
  const at = Date.parse(`${isoDate}T00:00:00Z`);
  if (Number.isNaN(at)) throw new RangeError(`${isoDate} is not a date.`);
  return Math.round(at / DAY_MS);
}

/** The ISO date of a count of days since 1970-01-01; parts of a day are cut off. */
export function dateOfDay(day: number): string {
  return new Date(Math.floor(day) * DAY_MS).toISOString().slice(0, 10);
}
