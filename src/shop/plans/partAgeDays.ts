import { dayNumber } from '@/core/service/days';
import { isMadeNew, isStationNew, type NewPart } from '@/knowledge/madeNew';
import { planItem, renews } from '@/knowledge/plans';

const DAY_MS = 86_400_000;

/** A part of a machine that this shop made new. */
export interface AgedPart extends NewPart {
  /** Whole days since. */
  days: number;
}

/**
 * What this shop made new on a machine: fitted, or renewed by a service that takes a part every time, whether the part was written
 * down with it or not.
 * @param fitted station, group of the part and instant, milliseconds
 * @param served items of the service and the day on which each was done last, ISO; null for never
 * @param now milliseconds
 * @param today in the shop's zone, ISO
 */
export function agedParts(
  kind: string,
  fitted: readonly (NewPart & { at: number })[],
  served: readonly { item: string; on: string | null }[],
  now: number,
  today: string,
): AgedPart[] {
  return [
    ...fitted.map(({ at, ...part }) => ({ ...part, days: Math.floor((now - at) / DAY_MS) })),
    ...served.flatMap(({ item, on }) => {
      const plan = planItem(item);
      const station = plan?.stations[kind];
      // What takes a part now and then may have been only cleaned.
      if (on === null || !plan || !renews(plan) || station === undefined) return [];
      const days = dayNumber(today) - dayNumber(on);
      return plan.parts.map((group) => ({ station, group, days }));
    }),
  ];
}

/** Station → whole days since all of it that fails was made new. */
export function partAgeDays(kind: string, parts: readonly AgedPart[]): Record<string, number> {
  const ages: Record<string, number> = {};
  for (const part of parts)
    if (isStationNew(kind, part)) ages[part.station] = Math.min(ages[part.station] ?? Infinity, part.days);
  return ages;
}

/** Whole days since the part that a fault wears out was made new; undefined where this shop never did. */
export function faultAgeDays(kind: string, fault: string, parts: readonly AgedPart[]): number | undefined {
  const days = parts.filter((part) => isMadeNew(kind, fault, part)).map((part) => part.days);
  return days.length > 0 ? Math.min(...days) : undefined;
}
