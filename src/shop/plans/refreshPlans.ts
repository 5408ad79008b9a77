import { setActor, tellAsOne } from '@/data/audit';
import { database, inTransaction, type Db } from '@/data/database';
import {
  beginPlanDay,
  planInputs,
  planWorkWaits,
  putDue,
  putWeeks,
  takeStale,
  type DueRow,
  type PlanInputs,
} from '@/data/plans';
import { shopSettings } from '@/data/shopSettings';
import { dayInZone } from '../settings/day';
import { dueOfMachine } from './dueOfMachine';
import { waitingOf, weekOfAll } from './waiting';

const BATCH = 200;

/** Works out anew when everything falls due on some machines, from all that is known of them: two statements. */
export async function refreshPlans(db: Db, machines: readonly number[]): Promise<void> {
  await putDue(db, machines, (await planInputs(db, machines)).flatMap(dueRows));
}

function dueRows(inputs: PlanInputs): DueRow[] {
  return dueOfMachine(inputs, dayInZone(new Date(), inputs.zone)).flatMap(({ item, rule, due }): DueRow[] =>
    due === null
      ? []
      : [
          {
            machine_id: inputs.machine.id,
            item: item.id,
            due_on: due.on,
            due_early: due.early,
            due_late: due.late,
            due_by: due.by,
            by_its_people: rule.byItsPeople === true,
          },
        ],
  );
}

/**
 * Works through some of what a new day or a new rule left to be worked out: days, and what waiting costs.
 * @returns how many machines; nought when all is done
 */
export async function refreshStale(): Promise<number> {
  if (!(await planWorkWaits(database()))) return 0;
  return inTransaction(database(), async (db) => {
    await setActor(db, 0, 'plans');
    await tellAsOne(db);
    const shop = await shopSettings(db);
    const today = dayInZone(new Date(), shop.zone);
    await beginPlanDay(db, today);
    const machines = await takeStale(db, BATCH);
    if (machines.length === 0) return 0;
    const inputs = await planInputs(db, machines);
    const waiting = await waitingOf(db, [...new Set(inputs.map((i) => i.kind))], shop);
    await putDue(db, machines, inputs.flatMap(dueRows));
    await putWeeks(
      db,
      inputs.map((i) => ({ id: i.machine.id, minor: weekOfAll(i, today, waiting) })),
    );
    return machines.length;
  });
}
