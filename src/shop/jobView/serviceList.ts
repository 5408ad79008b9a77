import type { Kind } from '@/core/diagnosis/knowledge';
import { addDays } from '@/core/service/days';
import { isPlanned, type MachineUse } from '@/core/service/planDue';
import type { JobState } from '@/data/jobState';
import type { PlanRow } from '@/data/plans';
import { ordinaryUseOf } from '@/knowledge/ordinaryUse';
import { planItemsOn, type PlanItem } from '@/knowledge/plans';
import type { ServiceLine } from './dto';

/** Due within so many days counts as due now: the machine is here. Common practice, no source. */
const SOON_DAYS = 30;

/** What the list is made from: a job's state, or a machine's card. */
export interface Serviced {
  job: { visit: string };
  plans: PlanRow[];
  model: { dropped_stations: string[]; sealed_battery: boolean | null };
  machine: { pets: boolean; hours_per_week: number };
  customer: { kind: string };
  shop: { frostMonth: number | null };
  /** What was said at this visit. */
  service: JobState['service'];
  serviceReadings: JobState['serviceReadings'];
  readBefore: JobState['readBefore'];
}

/**
 * What a visit of this machine has on its list: what it came for first, then what is past due, then what nobody knows, then what falls due soon, then the
 * rest. What may fall due within a month by its interval is soon.
 * @param today in the shop's zone, ISO 8601
 * @param isDone whether an item was done at this visit
 */
export function serviceList(
  kind: Kind,
  of: Serviced,
  today: string,
  isDone: (item: PlanItem) => boolean,
): ServiceLine[] {
  const { job, plans, model, machine, customer, shop, service, serviceReadings, readBefore } = of;
  const known = new Map(plans.map((p) => [p.item, p]));
  const soon = addDays(today, SOON_DAYS);
  const use: MachineUse = {
    pets: machine.pets,
    hoursPerWeek: Number(machine.hours_per_week),
    ...ordinaryUseOf(kind.id),
    trade: customer.kind === 'business',
    sealedBattery: model.sealed_battery,
  };
  const lines = planItemsOn(kind.id, model.dropped_stations).flatMap((item): ServiceLine[] => {
    const plan = known.get(item.id);
    const said = service.find((s) => s.item === item.id);
    const due = plan?.due_on ?? null;
    const readings = serviceReadings.filter((r) => r.item === item.id);
    // By measured wear, or not for this use: nothing is due that was never planned. What is read is always offered.
    if (due === null && !said && !item.reading && !isPlanned(item, use, shop.frostMonth)) return [];
    return [
      {
        item: item.id,
        label: item.label,
        station: item.stations[kind.id]!,
        state: item.askedAt?.includes(job.visit)
          ? 'asked'
          : due !== null
            ? stateOf(due, plan!.due_early)
            : isPlanned(item, use, shop.frostMonth) && !item.onlyWhenDue
              ? 'unknown'
              : 'later',
        lastDoneOn: plan?.last_done_on ?? null,
        dueOn: due,
        early: plan?.due_early ?? null,
        late: plan?.due_late ?? null,
        by: plan?.due_by ?? 'days',
        byItsPeople: item.byItsPeople === true,
        done: isDone(item),
        said: said?.state ?? null,
        words: said?.words ?? '',
        lookAgainOn: said ? said.look_again_on : (plan?.look_again_on ?? null),
        minutes: said?.minutes ?? null,
        readings: readings.map(({ place, value }) => ({ place, value })),
        before: readBefore
          .filter((r) => r.item === item.id)
          .map(({ place, value, at }) => ({ place, value, on: at.slice(0, 10) })),
      },
    ];
  });
  const order = ['asked', 'past', 'unknown', 'soon', 'later'];
  return lines.sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state));

  function stateOf(due: string, early: string | null): ServiceLine['state'] {
    if (due < today) return 'past';
    return (early ?? due) <= soon ? 'soon' : 'later';
  }
}
