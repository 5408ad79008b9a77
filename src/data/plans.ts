import { prepared, type Db } from './database';

export type DueByName = 'days' | 'plate' | 'hours' | 'uses' | 'times' | 'wear' | 'frost' | 'finding';

/** An item of one machine’s plan: what is known of it, and when it falls due by that. */
export interface PlanRow {
  item: string;
  last_done_on: string | null;
  due_on: string | null;
  due_early: string | null;
  due_late: string | null;
  due_by: DueByName;
  /** How often what the item counts was done since, and when last. */
  times: number;
  times_on: string | null;
  look_again_on: string | null;
  /** By a gauge: when measured wear reaches its limit. */
  wear_on: string | null;
  /** Its people do it themselves: it brings no machine here. */
  by_its_people: boolean;
}

const COLUMNS = [
  'item',
  'last_done_on',
  'due_on',
  'due_early',
  'due_late',
  'due_by',
  'times',
  'times_on',
  'look_again_on',
  'wear_on',
  'by_its_people',
] as const;

/** Earliest due first; what has no day stands last. */
export async function plansOf(db: Db, machineId: number): Promise<PlanRow[]> {
  return db('plan')
    .where({ machine_id: machineId })
    .orderByRaw('due_on nulls last, item')
    .select(...COLUMNS);
}

/** Items that were done on a day: what was counted, found or measured before is over. */
export async function putPlansDone(db: Db, machineId: number, items: readonly string[], day: string): Promise<void> {
  if (items.length === 0) return;
  const fresh = { last_done_on: day, times: 0, times_on: null, look_again_on: null, wear_on: null };
  await db('plan')
    .insert(items.map((item) => ({ machine_id: machineId, item, ...fresh })))
    .onConflict(['machine_id', 'item'])
    .merge();
}

/** What an item counts was done once more. */
export async function countForPlan(db: Db, machineId: number, item: string, day: string): Promise<void> {
  await db('plan')
    .insert({ machine_id: machineId, item, times: 1, times_on: day })
    .onConflict(['machine_id', 'item'])
    .merge({ times: db.raw('plan.times + 1'), times_on: day });
}

/** It was found worn or left, and is to be looked at again by a day. */
export async function lookAgain(db: Db, machineId: number, item: string, day: string): Promise<void> {
  await db('plan')
    .insert({ machine_id: machineId, item, look_again_on: day })
    .onConflict(['machine_id', 'item'])
    .merge({ look_again_on: day });
}

/** A day from measured wear: when it was last done is not touched by it. */
export async function putMeasuredDue(db: Db, machineId: number, item: string, day: string): Promise<void> {
  await db('plan')
    .insert({ machine_id: machineId, item, wear_on: day })
    .onConflict(['machine_id', 'item'])
    .merge({ wear_on: day });
}

/** All that a machine’s plans are worked out from, as it stands. */
export interface PlanInputs {
  machine: { id: number; pets: boolean; hours_per_week: number; scrapped_on: string | null };
  kind: string;
  dropped: string[];
  plates: Record<string, { days?: number; hours?: number; uses?: number }>;
  sealedBattery: boolean | null;
  trade: boolean;
  zone: string;
  frostMonth: number | null;
  own: { item: string; days: number | null; hours: number | null; uses: number | null }[];
  plans: PlanRow[];
  /** In the shop’s days, oldest first. */
  meter: { day: string; hours: number }[];
  readings: { item: string; place: string; value: number; day: string }[];
  /** Suction after repairs, kilopascals. */
  suction: { day: string; after: number }[];
}

const rows = (columns: string, from: string, order: string) =>
  `(select coalesce(json_agg(x order by x.${order}), '[]') from (select ${columns} from ${from}) x)`;
const DAY = (at: string) => `(${at} at time zone coalesce(shop.zone, 'UTC'))::date`;

const INPUTS = `select json_build_object('id', m.id, 'pets', m.pets, 'hours_per_week', m.hours_per_week,
    'scrapped_on', m.scrapped_on) as machine,
  model.kind, model.dropped_stations as dropped, model.plates, model.sealed_battery as "sealedBattery",
  customer.kind = 'business' as trade, coalesce(shop.zone, 'UTC') as zone, shop.frost_month as "frostMonth",
  ${rows('item, days, hours, uses', 'own_interval where kind = model.kind', 'item')} as own,
  ${rows(COLUMNS.join(', '), 'plan where machine_id = m.id', 'item')} as plans,
  ${rows(`${DAY('at')} as day, hours::float8 as hours, at`, 'meter_reading where machine_id = m.id', 'at')} as meter,
  ${rows(`item, place, value, ${DAY('at')} as day, at`, 'service_reading where machine_id = m.id', 'at')} as readings,
  ${rows(
    `${DAY('p.at')} as day, p.after_value as after, p.at`,
    `proof p join job j on j.id = p.job_id
     where j.machine_id = m.id and p.item = 'sealed-vacuum' and p.after_value is not null and p.unit = 'kPa'`,
    'at',
  )} as suction
from machine m join model on model.id = m.model_id join customer on customer.id = m.customer_id left join shop on true
where m.id = any (?)`;

/** What the plans of some machines are worked out from; one statement. */
export async function planInputs(db: Db, machines: readonly number[]): Promise<PlanInputs[]> {
  const found = await db.raw<{ rows: PlanInputs[] }>(INPUTS, [[...machines]]).options(prepared('plan-inputs'));
  return found.rows;
}

export type DueRow = Pick<PlanRow, 'item' | 'due_on' | 'due_early' | 'due_late' | 'due_by' | 'by_its_people'> & {
  machine_id: number;
};

/** What another week of waiting costs of all that is due on some machines. */
export async function putWeeks(db: Db, weeks: readonly { id: number; minor: number }[]): Promise<void> {
  await db.raw(
    `update machine m set week_minor = w.minor from json_to_recordset(?) as w(id bigint, minor integer)
     where m.id = w.id and m.week_minor <> w.minor`,
    [JSON.stringify(weeks)],
  );
}

/** Whether a new day or a new rule left plans to be worked out: asked every moment, so in one statement. */
export async function planWorkWaits(db: Db): Promise<boolean> {
  const { rows: found } = await db
    .raw<{ rows: { waits: boolean }[] }>(
      `select exists (select from plan_stale) or not exists (
         select from plan_day where day = (now() at time zone coalesce((select zone from shop), 'UTC'))::date) as waits`,
    )
    .options(prepared('plan-work-waits'));
  return found[0]!.waits;
}

/** Once a day, whichever server comes first: the plans of all machines are to be worked out anew. */
export async function beginPlanDay(db: Db, day: string): Promise<void> {
  const { rows: begun } = await db.raw('insert into plan_day (day) values (?) on conflict do nothing returning day', [
    day,
  ]);
  if (begun.length === 0) return;
  await db('plan_day').where('day', '<', day).delete();
  await markStale(db, 'all');
}

/** When the items of some machines fall due; an item that is not named falls due no more. The machines’ own day follows. */
export async function putDue(db: Db, machines: readonly number[], due: readonly DueRow[]): Promise<void> {
  await db.raw(
    `with given as (
       select * from json_to_recordset(:due) as g(machine_id bigint, item text, due_on date, due_early date, due_late date, due_by text, by_its_people boolean)
     ), gone as (
       update plan set due_on = null, due_early = null, due_late = null
       where machine_id = any (:machines) and due_on is not null
         and not exists (select from given g where g.machine_id = plan.machine_id and g.item = plan.item)
     ), put as (
       insert into plan (machine_id, item, due_on, due_early, due_late, due_by, by_its_people) select * from given
       on conflict (machine_id, item) do update set due_on = excluded.due_on, due_early = excluded.due_early,
         due_late = excluded.due_late, due_by = excluded.due_by, by_its_people = excluded.by_its_people
       where (plan.due_on, plan.due_early, plan.due_late, plan.due_by, plan.by_its_people)
         is distinct from (excluded.due_on, excluded.due_early, excluded.due_late, excluded.due_by, excluded.by_its_people)
     )
     update machine set next_due_on = d.next_due_on
     from (select m.id, case when m.scrapped_on is null then (select min(due_on) from given where machine_id = m.id and not by_its_people) end as next_due_on
       from machine m where m.id = any (:machines)) d
     where d.id = machine.id and machine.next_due_on is distinct from d.next_due_on`,
    { machines: [...machines], due: JSON.stringify(due) },
  );
}

/** The plans of a kind’s, of a model’s or of all machines are to be worked out anew. */
export async function markStale(db: Db, which: { kind: string } | { model: number } | 'all'): Promise<void> {
  const machines = db('machine').select('machine.id').whereNull('merged_into');
  if (which !== 'all')
    machines
      .join('model', 'model.id', 'machine.model_id')
      .where('kind' in which ? { 'model.kind': which.kind } : { 'model.id': which.model });
  await db.raw('insert into plan_stale ? on conflict do nothing', [machines]);
}

/** Some machines whose plans are to be worked out anew; until the transaction ends no other server takes them. */
export async function takeStale(db: Db, most: number): Promise<number[]> {
  const { rows: taken } = await db.raw<{ rows: { machine_id: number }[] }>(
    `delete from plan_stale where machine_id in (select machine_id from plan_stale order by machine_id limit ? for update skip locked)
     returning machine_id`,
    [most],
  );
  return taken.map((t) => t.machine_id);
}

/** What is known of one machine’s plans goes over to another’s: of each item what was done last. */
export async function movePlans(db: Db, from: number, to: number): Promise<void> {
  await db.raw(
    `insert into plan (machine_id, item, last_done_on, times, times_on, look_again_on, wear_on)
       select ?, item, last_done_on, times, times_on, look_again_on, wear_on from plan where machine_id = ?
     on conflict (machine_id, item) do update set
       times = case when excluded.last_done_on > plan.last_done_on or plan.last_done_on is null then excluded.times else plan.times end,
       times_on = case when excluded.last_done_on > plan.last_done_on or plan.last_done_on is null then excluded.times_on else plan.times_on end,
       look_again_on = least(plan.look_again_on, excluded.look_again_on),
       wear_on = least(plan.wear_on, excluded.wear_on),
       last_done_on = greatest(plan.last_done_on, excluded.last_done_on)`,
    [to, from],
  );
  await db('plan').where({ machine_id: from }).delete();
}

/** What the operator of a machine was said to have done, when it was last taken down. */
export async function lastCare(
  db: Db,
  machineId: number,
): Promise<{ item: string; done_days: number; of_days: number }[]> {
  const newest = db('operator_care as c')
    .join('job as j', 'j.id', 'c.job_id')
    .where('j.machine_id', machineId)
    .orderBy('j.taken_in_at', 'desc')
    .limit(1)
    .select('c.job_id');
  return db('operator_care').where('job_id', newest).orderBy('item').select('item', 'done_days', 'of_days');
}

export interface OwnInterval {
  kind: string;
  item: string;
  days: number | null;
  hours: number | null;
  uses: number | null;
  why: string;
  at: Date;
  person: string | null;
}

export async function ownIntervals(db: Db): Promise<OwnInterval[]> {
  return db('own_interval as o')
    .leftJoin('person as p', 'p.id', 'o.person_id')
    .orderBy(['o.kind', 'o.item'])
    .select('o.kind', 'o.item', 'o.days', 'o.hours', 'o.uses', 'o.why', 'o.at', { person: 'p.name' });
}

/** The shop’s own interval of an item; without one the bench’s habit holds again. */
export async function putOwnInterval(
  db: Db,
  kind: string,
  item: string,
  row: { days: number | null; hours: number | null; uses: number | null; why: string; person_id: number } | null,
): Promise<void> {
  if (row === null) await db('own_interval').where({ kind, item }).delete();
  else
    await db('own_interval')
      .insert({ kind, item, ...row })
      .onConflict(['kind', 'item'])
      .merge({ ...row, at: db.fn.now() });
}
