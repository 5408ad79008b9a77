import { addDays, intervalDays, type MachineUse } from '@/core/service/planDue';
import { customerById } from '@/data/customers';
import { keepForecasts } from '@/data/forecasts';
import { insertConfirmedFaults } from '@/data/jobs';
import { dropPlan, plansOf, putPlan, refreshNextDue, refreshSearch } from '@/data/machines';
import { practiceOf } from '@/data/practice';
import { tallyJob } from '@/data/tallies';
import { knowledge } from '@/knowledge';
import { planItems, type PlanItem } from '@/knowledge/plans';
import { everyone } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import type { JobFacts } from '../jobView/dto';
import { partsOfJob, type WrittenFacts } from '../jobView/jobFacts';
import { foretold } from '../odds/odds';
import { standsInTheWay } from '../moveStage/moveStage';
import { refuseIf } from '../problem';
import { dayInZone } from '../settings/day';
import { HandBackDto } from './dto';

/**
 * Closes a job: history entry, plans reset by what was done, next due computed, the finding counted for the odds. Refused while
 * something is not proved, or for a fault that the kind does not have.
 */
export const handBack = jobDeed({
  name: 'hand-back',
  roles: everyone,
  summary: 'Hand the machine back',
  dto: HandBackDto,
  // What was foretold is worked out before anything is held, with the priors as they were before this job was counted.
  prepare: (state, dto) => foretold(state, dto.faults),
  async work(scene, dto, forecasts) {
    const { db, jobId, machineId, state, facts, kind, tell, change, onceWritten } = scene;
    const unknown = dto.faults.filter((id) => !knowledge.faults.some((f) => f.id === id && kind.id in f.kinds));
    refuseIf([
      ...standsInTheWay(facts, 'hand-back'),
      ...unknown.map((id) => ({ field: 'faults', message: `${kind.id} has no fault ${id}.` })),
    ]);
    const faults = [...new Set(dto.faults)];
    await insertConfirmedFaults(db, jobId, faults);
    const practice = await practiceOf(db, jobId);
    if (!practice) {
      await keepForecasts(db, jobId, forecasts);
      await tallyJob(db, kind.id, state.model.id, faults);
    }
    const advice = dto.advice.trim();
    change({ stage: 'closed', closed: true, advice, place: 'door-shelf' });
    await resetPlans(scene, { ...facts, parts: await partsOfJob(db, state) });
    await refreshNextDue(db, machineId);
    if (practice) tell('note', `Practice: hidden were ${practice.faults.map(labelOf).join(', ')}. Not counted.`);
    const found = faults.map(labelOf);
    tell(
      'handed-back',
      `Handed back. Found: ${found.join(', ') || 'no cause named'}.${advice ? ` Advice: ${advice}` : ''}`,
    );
    onceWritten((now) => refreshSearch(now, machineId));
  },
});

const labelOf = (id: string) => knowledge.faults.find((f) => f.id === id)?.label ?? id;

/** What this job counts as done: a part of the item's group at its station, or one of its rebuild steps. */
export function isDoneBy(item: PlanItem, job: WrittenFacts & Pick<JobFacts, 'parts'>): boolean {
  const station = item.stations[job.machine.kind];
  const fitted = job.fitted.some(
    (f) => f.station === station && job.parts.some((p) => p.code === f.code && item.parts.includes(p.group)),
  );
  const stepped = job.rebuild.some((s) => s.done && item.steps.includes(s.id));
  const proved = job.proofs.some((p) => p.result === 'pass' && item.steps.includes(p.item));
  return fitted || stepped || proved;
}

async function resetPlans(
  { db, machineId, state, kind }: DeedScene,
  job: WrittenFacts & Pick<JobFacts, 'parts'>,
): Promise<void> {
  const { machine } = state;
  const customer = (await customerById(db, job.customer.id))!;
  const use: MachineUse = {
    pets: machine.pets,
    hoursPerWeek: machine.hours_per_week,
    trade: customer.kind === 'business',
  };
  const today = dayInZone(new Date(), state.shop.zone);
  const standing = new Map((await plansOf(db, machineId)).map((p) => [p.item, p]));
  for (const item of planItems) {
    const station = item.stations[kind.id];
    if (!station || job.machine.droppedStations.includes(station)) continue;
    const days = intervalDays(item, use);
    const done = isDoneBy(item, job);
    const before = standing.get(item.id);
    if (days === null) {
      // Due by measured wear: what is new has not been measured yet.
      if (before && done) await dropPlan(db, machineId, item.id);
      continue;
    }
    if (before && !done) continue;
    // A first visit starts every plan: nobody knows when an item was last done, so its interval counts from today.
    await putPlan(db, { machine_id: machineId, item: item.id, last_done_on: today, due_on: addDays(today, days) });
  }
}
