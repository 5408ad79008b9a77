import { IANAZone } from 'luxon';
import type { ZoneOffsets } from '@/core/units/zoneOffsets';

const HOUR_MS = 3_600_000;
/** Clocks are put forward or back at a full, half or quarter hour of UTC. */
const STEP_MS = HOUR_MS / 4;
const YEARS_BACK = 15;
const YEARS_AHEAD = 2;

const known = new Map<string, ZoneOffsets>();

/**
 * The offsets of a zone from 15 years back to the end of the year after next.
 *
 * @param zone name of the IANA time zone database
 * @throws RangeError for a zone that is not there
 */
export function zoneOffsets(zone: string, now = new Date()): ZoneOffsets {
  const year = now.getUTCFullYear();
  const key = `${zone} ${year}`;
  const kept = known.get(key);
  if (kept) return kept;
  if (!IANAZone.isValidZone(zone)) throw new RangeError(`There is no time zone ${zone}.`);
  const found = search(IANAZone.create(zone), Date.UTC(year - YEARS_BACK, 0), Date.UTC(year + YEARS_AHEAD, 0));
  known.set(key, found);
  return found;
}

function search(zone: IANAZone, begin: number, end: number): ZoneOffsets {
  const fromHours = [begin / HOUR_MS];
  const minutes = [zone.offset(begin)];
  // The shortest stay of a clock is a month (Ramadan): steps of a week miss no move.
  for (let at = begin; at < end; at += 7 * 24 * HOUR_MS) {
    const next = Math.min(end, at + 7 * 24 * HOUR_MS);
    if (zone.offset(next) === minutes.at(-1)) continue;
    let [before, after] = [at, next];
    while (after - before > STEP_MS) {
      const middle = before + STEP_MS * Math.round((after - before) / STEP_MS / 2);
      if (zone.offset(middle) === minutes.at(-1)) before = middle;
      else after = middle;
    }
    fromHours.push(after / HOUR_MS);
    minutes.push(zone.offset(after));
  }
  return { zone: zone.name, fromHours, minutes, untilHours: end / HOUR_MS };
}
