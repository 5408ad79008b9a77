import { countOdds } from '@/core/service/countOdds';
import { addDays, daysBetween } from '@/core/service/days';
import { database } from '@/data/database';
import { partsFor } from '@/data/jobs';
import { models } from '@/data/machines';
import { doneAndWaiting, dueByModel } from '@/data/rounds';
import { shopSettings } from '@/data/shopSettings';
import { planItem, planItems } from '@/knowledge/plans';
import { isOwnPart } from '../jobView/ownPart';
import { dayInZone } from '../settings/day';
import type { PartsWanted } from './dto';

/** The exact odds of so many services; beyond, the first of them are counted. */
const MOST_CHANCES = 1500;

/**
 * Parts that what falls due will take in the days ahead, with odds: for each service the chance that it falls due by then, by its
 * interval, times the share of what fell due lately that was done.
 */
export async function partsWanted(ahead: number): Promise<PartsWanted> {
  const db = database();
  const shop = await shopSettings(db);
  const today = dayInZone(new Date(), shop.zone);
  const until = addDays(today, ahead);
  const taking = planItems.filter((i) => i.partShare !== undefined);
  const [due, { done, waiting }, own] = await Promise.all([
    dueByModel(
      db,
      until,
      taking.map((i) => i.id),
    ),
    doneAndWaiting(db, today),
    models(db),
  ]);
  // One of each is taken for granted: nothing is known of a shop that has just begun.
  const doneShare = (done + 1) / (done + waiting + 2);
  const lists = new Map(
    await Promise.all(
      [...new Set(due.map((d) => d.kind))].map(async (kind) => [kind, await partsFor(db, kind)] as const),
    ),
  );
  const chances = new Map<string, number[]>();
  for (const d of due) {
    const item = planItem(d.item)!;
    const model = own.find((m) => m.id === d.model_id);
    const fits = lists
      .get(d.kind)!
      .filter((p) => item.parts.includes(p.part_group) && p.station === item.stations[d.kind])
      .sort((a, b) => a.price_minor - b.price_minor);
    const sizes = model ? [...model.belts, ...model.bearings, ...model.filters] : [];
    const part = fits.find((p) => isOwnPart(p.label, sizes)) ?? fits[0];
    if (!part) continue;
    const chance = doneShare * item.partShare! * dueBy(d, until);
    const list = chances.get(part.code) ?? [];
    list.push(...Array.from({ length: d.count }, () => chance));
    chances.set(part.code, list);
  }
  const parts = [...lists.values()].flat();
  return {
    until,
    doneShare,
    parts: [...chances]
      .map(([code, list]) => {
        const { label, stock } = parts.find((p) => p.code === code)!;
        return { code, label, stock, services: list.length, ...countOdds(list.slice(0, MOST_CHANCES)) };
      })
      .sort((a, b) => b.high - b.stock - (a.high - a.stock) || b.expected - a.expected),
  };
}

/** The chance that it falls due by a day: any day of its interval is as likely as another. */
function dueBy({ due_on, early, late }: { due_on: string; early: string; late: string | null }, until: string): number {
  if (late === null) return due_on <= until ? 0.5 : 0.25;
  const span = daysBetween(early, late);
  return span <= 0 ? (due_on <= until ? 1 : 0) : Math.min(1, Math.max(0, daysBetween(early, until) / span));
}
