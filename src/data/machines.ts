import type { Db } from './database';

export interface ModelRow {
  id: number;
  maker: string;
  name: string;
  kind: string;
  mains_v: number;
  dropped_stations: string[];
  warranty_months: number;
}

export interface MachineRow {
  id: number;
  tag: string;
  model_id: number;
  customer_id: number;
  serial: string;
  made_year: number | null;
  pets: boolean;
  hours_per_week: number;
  note: string;
  next_due_on: string | null;
  version: number;
}

/** A machine with the names that every list shows. */
export interface MachineListRow {
  id: number;
  tag: string;
  serial: string;
  made_year: number | null;
  maker: string;
  model: string;
  kind: string;
  owner: string;
  owner_kind: string;
  next_due_on: string | null;
  open_job: number | null;
  last_job_at: Date | null;
}

export async function models(db: Db): Promise<ModelRow[]> {
  return db('model').orderBy(['maker', 'name']);
}

export async function modelById(db: Db, id: number): Promise<ModelRow | undefined> {
  return db('model').where({ id }).first();
}

export async function machineById(db: Db, id: number): Promise<MachineRow | undefined> {
  return db('machine').where({ id }).first();
}

export async function machineByTag(db: Db, tag: string): Promise<MachineRow | undefined> {
  return db('machine').where({ tag: tag.toUpperCase() }).first();
}

export async function insertMachine(
  db: Db,
  row: Pick<MachineRow, 'tag' | 'model_id' | 'customer_id' | 'serial' | 'made_year' | 'pets' | 'hours_per_week'>,
): Promise<number> {
  const [inserted] = await db('machine').insert(row).returning('id');
  await refreshSearch(db, inserted.id);
  return inserted.id;
}

/** What the search box looks through: tag, serial, maker, model, owner, phone, the last job's words. */
export async function refreshSearch(db: Db, machineId: number): Promise<void> {
  await db.raw(
    `update machine set search = lower(concat_ws(' ', machine.tag, machine.serial, model.maker, model.name, customer.name,
       customer.phone, (select words from job where job.machine_id = machine.id order by taken_in_at desc limit 1)))
     from model, customer
     where model.id = machine.model_id and customer.id = machine.customer_id and machine.id = ?`,
    [machineId],
  );
}

const TAG_LOCK = 7_204_114;

/** The next free tag. Tags are given out one at a time, until the transaction ends: two counters never take the same. */
export async function nextTag(db: Db): Promise<string> {
  await db.raw('select pg_advisory_xact_lock(?)', [TAG_LOCK]);
  const { rows } = await db.raw(
    `select coalesce(max(substring(tag from '^GK-([0-9]+)$')::integer), 0) + 1 as next from machine where tag ~ '^GK-[0-9]{1,8}$'`,
  );
  return `GK-${String(rows[0].next).padStart(4, '0')}`;
}

function listQuery(db: Db) {
  return db('machine')
    .join('model', 'model.id', 'machine.model_id')
    .join('customer', 'customer.id', 'machine.customer_id')
    .leftJoin('job as open_job', (on) => on.on('open_job.machine_id', 'machine.id').andOnNull('open_job.closed_at'))
    .select<MachineListRow[]>(
      'machine.id',
      'machine.tag',
      'machine.serial',
      'machine.made_year',
      'model.maker',
      { model: 'model.name' },
      'model.kind',
      { owner: 'customer.name' },
      { owner_kind: 'customer.kind' },
      'machine.next_due_on',
      { open_job: 'open_job.id' },
      db.raw('(select max(taken_in_at) from job where job.machine_id = machine.id) as last_job_at'),
    );
}

/** Machines whose search text holds every word; the exact tag first, then by likeness. Paged. */
export async function searchMachines(db: Db, words: string, limit: number, offset: number): Promise<MachineListRow[]> {
  const query = listQuery(db).limit(limit).offset(offset);
  const parts = words.toLowerCase().split(/\s+/).filter(Boolean);
  for (const word of parts) query.where('machine.search', 'like', `%${word.replace(/[\\%_]/g, '\\$&')}%`);
  if (parts.length > 0)
    query.orderByRaw('(lower(machine.tag) = ?) desc, word_similarity(?, machine.search) desc', [
      words.trim().toLowerCase(),
      words.trim().toLowerCase(),
    ]);
  return query.orderBy('machine.id', 'desc');
}

export async function machineListRow(db: Db, id: number): Promise<MachineListRow | undefined> {
  return listQuery(db).where('machine.id', id).first();
}

export async function plansOf(db: Db, machineId: number) {
  return db('plan')
    .where({ machine_id: machineId })
    .orderBy('due_on')
    .select<{ item: string; last_done_on: string; due_on: string }[]>('item', 'last_done_on', 'due_on');
}

export async function putPlan(db: Db, row: { machine_id: number; item: string; last_done_on: string; due_on: string }) {
  await db('plan').insert(row).onConflict(['machine_id', 'item']).merge(['last_done_on', 'due_on']);
}

export async function refreshNextDue(db: Db, machineId: number): Promise<void> {
  await db.raw(
    'update machine set next_due_on = (select min(due_on) from plan where machine_id = machine.id), version = version + 1 where id = ?',
    [machineId],
  );
}

export async function partAges(db: Db, machineId: number) {
  return db('fitted_part')
    .where({ machine_id: machineId })
    .whereNull('taken_back_at')
    .groupBy('station')
    .select<{ station: string; at: Date }[]>('station', db.raw('max(at) as at'));
}

/** What happened to a machine, newest first. `before` pages through. */
export async function timelineOf(db: Db, machineId: number, limit: number, before?: number) {
  const query = db('timeline')
    .leftJoin('person', 'person.id', 'timeline.person_id')
    .where('timeline.machine_id', machineId)
    .orderBy('timeline.at', 'desc')
    .orderBy('timeline.id', 'desc')
    .limit(limit);
  if (before !== undefined)
    query.whereRaw('(timeline.at, timeline.id) < (select at, id from timeline where id = ?)', [before]);
  return query.select<
    { id: number; at: Date; what: string; text: string; job_id: number | null; person: string | null }[]
  >('timeline.id', 'timeline.at', 'timeline.what', 'timeline.text', 'timeline.job_id', { person: 'person.name' });
}

/** Readings of a machine over all its jobs, oldest first, for the chart. */
export async function readingsOf(db: Db, machineId: number) {
  return db('proof')
    .join('job', 'job.id', 'proof.job_id')
    .where('job.machine_id', machineId)
    .whereNotNull('proof.after_value')
    .orderBy('proof.at')
    .limit(200)
    .select<{ item: string; before_value: number | null; after_value: number; unit: string; at: Date }[]>(
      'proof.item',
      'proof.before_value',
      'proof.after_value',
      'proof.unit',
      'proof.at',
    );
}

export async function jobsOf(db: Db, machineId: number) {
  return db('job')
    .where({ machine_id: machineId })
    .orderBy('taken_in_at', 'desc')
    .limit(50)
    .select<
      { id: number; stage: string; taken_in_at: Date; closed_at: Date | null; words: string; faults: string[] | null }[]
    >(
      'id',
      'stage',
      'taken_in_at',
      'closed_at',
      'words',
      db.raw('(select array_agg(fault order by fault) from confirmed_fault where job_id = job.id) as faults'),
    );
}
