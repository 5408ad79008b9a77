import { dateOfDay } from '@/core/service/days';
import { intervalDays, isPlanned, type Habit } from '@/core/service/planDue';
import type { PlanInputs } from '@/data/plans';
import type { PlanView, RunningView } from './dto';
import { dueOfMachine, runningOf, machineUse, type ItemDue } from './dueOfMachine';

/**
 * A machine's plan for its card: by its day, then what nobody knows, then what its people do themselves. What is not planned
 * for its use, and was never measured, is left out.
 */
export function planViews(
  inputs: PlanInputs,
  today: string,
  weekMinor: (item: string, lastDoneOn: string | null) => number | null,
): PlanView[] {
  const views = dueOfMachine(inputs, today).flatMap(({ item, rule, row, due }): PlanView[] => {
    if (due === null && !isPlanned(rule, machineUse(inputs), inputs.frostMonth)) return [];
    const lastDoneOn = row?.last_done_on ?? null;
    return [
      {
        item: item.id,
        label: item.label,
        station: item.stations[inputs.kind]!,
        lastDoneOn,
        dueOn: due?.on ?? null,
        early: due?.early ?? null,
        late: due?.late ?? null,
        by: due?.by ?? null,
        overdue: due !== null && due.on < today,
        maker: rule.maker ?? null,
        bench: benchOf(rule, inputs),
        byItsPeople: rule.byItsPeople === true,
        own: inputs.own.some((o) => o.item === item.id),
        lookAgainOn: row?.look_again_on ?? null,
        weekMinor: due === null ? null : weekMinor(item.id, lastDoneOn),
      },
    ];
  });
  const key = (v: PlanView) => `${v.byItsPeople ? 1 : 0}${v.dueOn ?? '9999'}`;
  return views.sort((a, b) => key(a).localeCompare(key(b)));
}

/** The bench's habit with its days as this use shortens them. */
function benchOf({ maker: _, ...rule }: ItemDue['rule'], inputs: PlanInputs): Habit | null {
  if (!rule.bench) return null;
  const days = rule.bench.days === undefined ? null : intervalDays(rule, machineUse(inputs));
  return { ...rule.bench, ...(days === null ? {} : { days }) };
}

export function runningView(inputs: PlanInputs): RunningView {
  const { perDay, low, high, from, points, events } = runningOf(inputs);
  const week = (perDayHours: number) => Math.round(perDayHours * 70) / 10;
  return {
    hoursPerWeek: week(perDay),
    low: week(low),
    high: week(high),
    from,
    totalHours: points.length === 0 ? null : Math.round(points.at(-1)!.total * 10) / 10,
    events: events.map(({ day, ...e }) => ({ ...e, on: dateOfDay(day) })),
  };
}
