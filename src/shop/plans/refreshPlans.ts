import { setActor, tellAsOne } from '@/data/audit';
import { database, inTransaction, type Db } from '@/data/database';
import { planInputs, putDue, takeStale, type DueRow } from '@/data/plans';
import { dayInZone } from '../settings/day';
import { dueOfMachine } from './dueOfMachine';

const BATCH = 200;

/** Works out anew when everything falls due on some machines, from all that is known of them: two statements. */
export async function refreshPlans(db: Db, machines: readonly number[]): Promise<void> {
  const now = new Date();
  const due = (await planInputs(db, machines)).flatMap((inputs) =>
    dueOfMachine(inputs, dayInZone(now, inputs.zone)).flatMap(({ item, rule, due: d }): DueRow[] =>
      d === null
        ? []
        : [
            {
              machine_id: inputs.machine.id,
              item: item.id,
              due_on: d.on,
              due_early: d.early,
              due_late: d.late,
              due_by: d.by,
              by_its_people: rule.byItsPeople === true,
            },
          ],
    ),
  );
  await putDue(db, machines, due);
}

/** Works through some of what a new rule left to be worked out. @returns how many machines; nought when all is done */
export async function refreshStale(): Promise<number> {
  return inTransaction(database(), async (db) => {
    await setActor(db, 0, 'plans');
    await tellAsOne(db);
    const machines = await takeStale(db, BATCH);
    if (machines.length > 0) await refreshPlans(db, machines);
    return machines.length;
  });
}
