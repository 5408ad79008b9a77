import { intervalDays } from '@/core/service/planDue';
import type { Kind } from '@/core/diagnosis/knowledge';

import { planItems } from '@/knowledge/plans';
import type { ServiceLine } from './dto';

/** Due within so many days counts as due now: the machine is here. Common practice, no source. */
const SOON_DAYS = 30;
const DAY_MS = 86_400_000;

/** What the list is made from: a job's state, or a machine's card. */
export interface Serviced {
  plans: { item: string; last_done_on: string | null; due_on: string }[];
  model: { dropped_stations: string[] };
  machine: { pets: boolean; hours_per_week: number };
  customer: { kind: string };
  /** Items done at this visit. */
  served: string[];
}

/**
 * What a visit of this machine has on its list: past due first, then what nobody knows, then what falls due soon. What falls
 * due later is not on it.
 * @param today in the shop's zone, ISO 8601
 */
export function serviceList(
  kind: Kind,
  { plans, model, machine, customer, served }: Serviced,
  today: string,
): ServiceLine[] {
  const known = new Map(plans.map((p) => [p.item, p]));
  const soon = new Date(Date.parse(today) + SOON_DAYS * DAY_MS).toISOString().slice(0, 10);
  const lines = planItems.flatMap((item): ServiceLine[] => {
    const station = item.stations[kind.id];
    if (!station || model.dropped_stations.includes(station)) return [];
    const plan = known.get(item.id);
    const done = served.includes(item.id);
    const use = { pets: machine.pets, hoursPerWeek: machine.hours_per_week, trade: customer.kind === 'business' };
    // By measured wear, or not for this use: nothing is due that was never planned.
    if (!plan && !done && intervalDays(item, use) === null) return [];
    const state = !plan ? 'unknown' : plan.due_on < today ? 'past' : plan.due_on <= soon ? 'soon' : 'later';
    if (state === 'later' && !done) return [];
    return [
      {
        item: item.id,
        label: item.label,
        station,
        state,
        lastDoneOn: plan?.last_done_on ?? null,
        dueOn: plan?.due_on ?? null,
        done,
      },
    ];
  });
  const order = ['past', 'unknown', 'soon', 'later'];
  return lines.sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state));
}
