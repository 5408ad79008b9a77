import { dayNumber } from '@/core/service/days';
import { planItem, renews } from '@/knowledge/plans';

const DAY_MS = 86_400_000;

/**
 * How old the parts of a machine are that this shop made new: fitted from the list, or renewed by a service that takes one every
 * time, whether the part was written down with it or not.
 * @param fitted station and instant, milliseconds
 * @param served items of the service and the day on which each was done last, ISO; null for never
 * @param now milliseconds
 * @param today in the shop's zone, ISO
 * @returns station → whole days
 */
export function partAgeDays(
  kind: string,
  fitted: readonly { station: string; at: number }[],
  served: readonly { item: string; on: string | null }[],
  now: number,
  today: string,
): Record<string, number> {
  const ages: Record<string, number> = {};
  const tell = (station: string, days: number) => (ages[station] = Math.min(ages[station] ?? Infinity, days));
  for (const { station, at } of fitted) tell(station, Math.floor((now - at) / DAY_MS));
  for (const { item, on } of served) {
    const plan = planItem(item);
    const station = plan?.stations[kind];
    // What takes a part now and then may have been only cleaned.
    if (on !== null && plan && renews(plan) && station !== undefined) tell(station, dayNumber(today) - dayNumber(on));
  }
  return ages;
}
