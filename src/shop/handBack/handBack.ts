import { addDays, intervalDays, type MachineUse } from '@/core/service/planDue';
import { closeJob, insertConfirmedFaults } from '@/data/jobs';
import { dropPlan, plansOf, putPlan, refreshNextDue, refreshSearch } from '@/data/machines';
import { shopSettings } from '@/data/shopSettings';
import { keepForecasts } from '@/data/forecasts';
import { practiceOf } from '@/data/practice';
import { tallyJob } from '@/data/tallies';
import { customerById } from '@/data/customers';
import { knowledge } from '@/knowledge';
import { planItems, type PlanItem } from '@/knowledge/plans';
import type { Person } from '../access/person';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import type { JobView } from '../jobView/dto';
import { jobView } from '../jobView/jobView';
import { standsInTheWay } from '../moveStage/moveStage';
import { refuseIf } from '../problem';
import { dayInZone } from '../settings/day';
import { forecastsOfJob } from '../learning/forecasts';
import type { HandBackDto } from './dto';

/**
 * Closes a job: history entry, plans reset by what was done, next due computed, the finding counted for the odds.
 * @throws ProblemError 400 while something is not proved, or for a fault that the kind does not have
 */
export function handBack(person: Person, jobId: number, dto: HandBackDto) {
  return jobDeed('hand-back', person, jobId, dto, async (scene) => {
    const { db, job, machine, model, kind, tell } = scene;
    const view = await jobView(db, job.id);
    const unknown = dto.faults.filter((id) => !knowledge.faults.some((f) => f.id === id && kind.id in f.kinds));
    refuseIf([
      ...standsInTheWay(view, 'hand-back'),
      ...unknown.map((id) => ({ field: 'faults', message: `${kind.id} has no fault ${id}.` })),
    ]);
    const faults = [...new Set(dto.faults)];
    await insertConfirmedFaults(db, job.id, faults);
    const practice = await practiceOf(db, job.id);
    if (!practice) {
      await keepForecasts(db, job.id, await forecastsOfJob(db, view, kind, model.id, faults));
      await tallyJob(db, kind.id, model.id, faults);
    }
    await closeJob(db, job.id, dto.advice.trim());
    await resetPlans(scene, view);
    await refreshNextDue(db, machine.id);
    await refreshSearch(db, machine.id);
    if (practice) await tell('note', `Practice: hidden were ${practice.faults.map(labelOf).join(', ')}. Not counted.`);
    const found = faults.map(labelOf);
    await tell(
      'handed-back',
      `Handed back. Found: ${found.join(', ') || 'no cause named'}.${dto.advice.trim() ? ` Advice: ${dto.advice.trim()}` : ''}`,
    );
  });
}

const labelOf = (id: string) => knowledge.faults.find((f) => f.id === id)?.label ?? id;

/** What this job counts as done: a part of the item's group at its station, or one of its rebuild steps. */
export function isDoneBy(item: PlanItem, view: JobView): boolean {
  const station = item.stations[view.machine.kind];
  const fitted = view.fitted.some(
    (f) => f.station === station && view.parts.some((p) => p.code === f.code && item.parts.includes(p.group)),
  );
  const stepped = view.rebuild.some((s) => s.done && item.steps.includes(s.id));
  const proved = view.proofs.some((p) => p.result === 'pass' && item.steps.includes(p.item));
  return fitted || stepped || proved;
}

async function resetPlans({ db, machine, job, kind }: DeedScene, view: JobView): Promise<void> {
  const customer = (await customerById(db, job.customer_id))!;
  const use: MachineUse = {
    pets: machine.pets,
    hoursPerWeek: machine.hours_per_week,
    trade: customer.kind === 'business',
  };
  const today = dayInZone(new Date(), (await shopSettings(db)).zone);
  const standing = new Map((await plansOf(db, machine.id)).map((p) => [p.item, p]));
  for (const item of planItems) {
    const station = item.stations[kind.id];
    if (!station || view.machine.droppedStations.includes(station)) continue;
    const days = intervalDays(item, use);
    const done = isDoneBy(item, view);
    const before = standing.get(item.id);
    if (days === null) {
      // Due by measured wear: what is new has not been measured yet.
      if (before && done) await dropPlan(db, machine.id, item.id);
      continue;
    }
    if (before && !done) continue;
    // A first visit starts every plan: nobody knows when an item was last done, so its interval counts from today.
    await putPlan(db, { machine_id: machine.id, item: item.id, last_done_on: today, due_on: addDays(today, days) });
  }
}
