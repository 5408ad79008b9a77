const HOUR_MS = 3_600_000;

/** What the clock of a zone is ahead of UTC, for a span of years: enough to tell an instant without the browser's own formats. */
export interface ZoneOffsets {
  zone: string;
  /** Hours, or quarters of them, since 1970 UTC from when each offset holds, ascending; the first is where the span begins. */
  fromHours: number[];
  /** Minutes ahead of UTC, one for each of `fromHours`. */
  minutes: number[];
  /** Hours since 1970 UTC where the span ends. */
  untilHours: number;
}

/**
 * Minutes that the clock of a zone is ahead of UTC.
 * @param at an instant, ms since 1970 UTC
 * @returns null outside the span that was told
 */
export function minutesAhead({ fromHours, minutes, untilHours }: ZoneOffsets, at: number): number | null {
  const hours = at / HOUR_MS;
  if (!(hours >= fromHours[0]!) || hours >= untilHours) return null;
  return minutes[fromHours.findLastIndex((from) => from <= hours)]!;
}
