import { dayNumber } from '@/core/service/days';
import { dueOf, type Due, type MachineUse, type PlanRule } from '@/core/service/planDue';
import { runningHours, type RunningHours } from '@/core/service/runningHours';
import { sinceRenewed, wearDue, type WearDay } from '@/core/service/wearDue';
import type { PlanInputs, PlanRow } from '@/data/plans';
import { kindById } from '@/knowledge';
import { ordinaryUseOf } from '@/knowledge/ordinaryUse';
import { planItemsOn, type PlanItem } from '@/knowledge/plans';

/** An item of one machine: the rule that holds for it, what is known, and when it falls due. */
export interface ItemDue {
  item: PlanItem;
  rule: PlanRule;
  row: PlanRow | null;
  due: Due | null;
}

/** What of a machine and its owner bears on its plans. */
export type PlanFacts = Pick<PlanInputs, 'kind' | 'dropped' | 'plates' | 'own' | 'frostMonth'>;

/** The rule of an item here: a model’s plate in place of the maker’s habit, the shop’s own interval in place of the bench’s. */
export function ruleHere(item: PlanItem, { plates, own }: Pick<PlanFacts, 'plates' | 'own'>): PlanRule {
  const plate = plates[item.id];
  const ours = own.find((o) => o.item === item.id);
  const { heavyDays, ...rule } = item;
  return {
    ...rule,
    ...(plate ? { maker: plate } : {}),
    ...(ours
      ? {
          bench: {
            ...(ours.days === null ? {} : { days: ours.days }),
            ...(ours.hours === null ? {} : { hours: ours.hours }),
            ...(ours.uses === null ? {} : { uses: ours.uses }),
            ...(item.bench?.times === undefined ? {} : { times: item.bench.times }),
          },
        }
      : {}),
    ...(heavyDays === undefined ? {} : { heavyDays: Math.min(heavyDays, ours?.days ?? Infinity) }),
  };
}

/** How a machine is used: by its meter where that tells a pace, otherwise as its owner says. */
export function machineUse(inputs: PlanInputs, running = runningOf(inputs)): MachineUse {
  const { kind, machine, trade, sealedBattery } = inputs;
  return {
    pets: machine.pets,
    hoursPerWeek: 7 * running.perDay,
    ...ordinaryUseOf(kind),
    trade,
    sealedBattery,
  };
}

export function runningOf({ meter, machine }: Pick<PlanInputs, 'meter' | 'machine'>): RunningHours {
  const readings = meter.map((m) => ({ day: dayNumber(m.day), hours: m.hours }));
  return runningHours(readings, Number(machine.hours_per_week));
}

/** When every item of a machine falls due, by all that is known of it. @param today in the shop’s zone, ISO 8601 */
export function dueOfMachine(inputs: PlanInputs, today: string): ItemDue[] {
  const running = runningOf(inputs);
  const use = machineUse(inputs, running);
  const rows = new Map(inputs.plans.map((p) => [p.item, p]));
  return planItemsOn(inputs.kind, inputs.dropped).map((item) => {
    const rule = ruleHere(item, inputs);
    const row = rows.get(item.id) ?? null;
    const known = {
      doneOn: row?.last_done_on ?? null,
      times: row?.times ?? 0,
      timesOn: row?.times_on ?? null,
      lookAgainOn: row?.look_again_on ?? null,
      wear: wearOf(item, row, inputs),
    };
    return {
      item,
      rule,
      row,
      due: dueOf(rule, use, known, running, { today, frostMonth: inputs.frostMonth }),
    };
  });
}

/** Two repairs may differ by where the gauge was held. */
const LEAST_SUCTION = 3;

/** The day of an item’s measured line: a gauge’s, the earliest of its places, or that of the suction. */
function wearOf(item: PlanItem, row: PlanRow | null, inputs: PlanInputs): WearDay | null {
  const days: WearDay[] = [];
  if (row?.wear_on) {
    const day = dayNumber(row.wear_on);
    days.push({ day, early: day, late: day });
  }
  const wear = item.reading?.wear;
  if (wear) {
    // Done is a new part here: to measure it renews nothing.
    const since = row?.last_done_on ?? '';
    const own = inputs.readings.filter((r) => r.item === item.id && r.day >= since);
    for (const place of new Set(own.map((r) => r.place))) {
      const line = own.filter((r) => r.place === place).map((r) => ({ day: dayNumber(r.day), value: r.value }));
      const day = wearDue(sinceRenewed(line, wear.limit, wear.towards), wear.limit, wear.towards);
      if (day) days.push(day);
    }
  }
  if (item.suctionBelow !== undefined) {
    const day = suctionDue(inputs, item.suctionBelow * kindById(inputs.kind).healthyVacuumKpa);
    if (day) days.push(day);
  }
  return days.length === 0 ? null : days.reduce((a, b) => (b.day < a.day ? b : a));
}

/**
 * What a repaired machine reaches: it falls as motor, fan and seals wear. What it had before a repair is of the fault that was
 * repaired, and says nothing of them.
 */
function suctionDue({ suction }: PlanInputs, limit: number): WearDay | null {
  const days = new Map(suction.map((s) => [s.day, { day: dayNumber(s.day), value: s.after }]));
  return days.size < LEAST_SUCTION ? null : wearDue([...days.values()], limit, 'down');
}
