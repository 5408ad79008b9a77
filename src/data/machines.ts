import type { Db } from './database';
import type { Ending, Visit } from './jobs';
import { movePlans } from './plans';
import { rankedMachines, type Forgiving } from './search';

/** A station that this model has and its kind does not: on which line, after which station. */
export interface AddedStation {
  line: string;
  after: string;
  id: string;
  label: string;
}

export interface ModelRow {
  id: number;
  maker: string;
  name: string;
  kind: string;
  mains_v: number;
  dropped_stations: string[];
  added_stations: AddedStation[];
  warranty_months: number;
  belts: string[];
  bearings: string[];
  filters: string[];
  note: string;
  /** Item of the plan → what its plate or its papers say. */
  plates: Record<string, { days?: number; hours?: number; uses?: number }>;
  /** Its batteries are closed; null when nobody said. */
  sealed_battery: boolean | null;
  version: number;
}

export interface MachineRow {
  id: number;
  tag: string;
  model_id: number;
  customer_id: number;
  site_id: number | null;
  serial: string;
  made_year: number | null;
  purchased_on: string | null;
  warranty_until: string | null;
  pets: boolean;
  hours_per_week: number;
  note: string;
  next_due_on: string | null;
  merged_into: number | null;
  /** When it was scrapped: nothing falls due on it any more. */
  scrapped_on: string | null;
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
  /** What falls due on that day. */
  due_items: string[] | null;
  open_faults: string[] | null;
  open_job: number | null;
  last_job_at: Date | null;
  /** The day of it in the shop's zone. */
  last_here_on: string | null;
  phone: string;
  warranty_until: string | null;
  note: string;
  standing: string;
}

export async function models(db: Db): Promise<(ModelRow & { machines: number })[]> {
  return db('model')
    .select('model.*')
    .select({ machines: db('machine').count().whereRaw('model_id = model.id').whereNull('merged_into') })
    .orderBy(['maker', 'name']);
}

export async function modelById(db: Db, id: number): Promise<ModelRow | undefined> {
  return db('model').where({ id }).first();
}

export async function lockModel(db: Db, id: number): Promise<ModelRow | undefined> {
  return db('model').where({ id }).forUpdate().first();
}

/** Adds a model, or changes the one with this id. @returns its id, or null when another has its maker and name */
export async function putModel(
  db: Db,
  id: number | null,
  row: Omit<ModelRow, 'id' | 'version'>,
): Promise<number | null> {
  const same = await db('model').where({ maker: row.maker, name: row.name }).first('id');
  if (same && same.id !== id) return null;
  const stored = {
    ...row,
    added_stations: JSON.stringify(row.added_stations),
    plates: JSON.stringify(row.plates),
  };
  if (id === null) return (await db('model').insert(stored).returning('id'))[0].id;
  await db('model')
    .where({ id })
    .update({ ...stored, version: db.raw('version + 1') });
  await db.raw('select refresh_machine_search(variadic array(select id from machine where model_id = ?))', [id]);
  return id;
}

/** The model of a plate, whatever its letters; inside a transaction nobody else makes one of that name meanwhile. */
export async function modelNamed(db: Db, maker: string, name: string): Promise<ModelRow | undefined> {
  await db.raw(`select pg_advisory_xact_lock(hashtext(lower(?)))`, [`model ${maker} ${name}`]);
  return db('model')
    .whereRaw('lower(maker) = lower(?) and lower(name) = lower(?)', [maker, name])
    .orderBy('id')
    .first();
}

/** Makes one model of two: machines and what was learned go over, the other is gone. */
export async function mergeModelRows(db: Db, from: number, to: number): Promise<void> {
  await db('machine').where({ model_id: from }).update({ model_id: to });
  await db.raw(
    `insert into job_tally (kind, model_id, jobs) select kind, :to, jobs from job_tally where model_id = :from
       on conflict (kind, model_id) do update set jobs = job_tally.jobs + excluded.jobs`,
    { from, to },
  );
  await db.raw(
    `insert into fault_tally (kind, model_id, fault, confirmed) select kind, :to, fault, confirmed from fault_tally where model_id = :from
       on conflict (kind, model_id, fault) do update set confirmed = fault_tally.confirmed + excluded.confirmed`,
    { from, to },
  );
  for (const table of ['job_tally', 'fault_tally']) await db(table).where({ model_id: from }).delete();
  // What was written of the way into the one that goes is not lost; where both were written, the kept one’s holds.
  await db('model_procedure')
    .where({ model_id: from })
    .whereNotExists(db('model_procedure').where({ model_id: to }))
    .update({ model_id: to });
  await db.raw(
    `insert into model_photograph (model_id, step, photograph_id, person_id, at)
       select :to, step, photograph_id, person_id, at from model_photograph where model_id = :from
     on conflict do nothing`,
    { from, to },
  );
  await db.raw(
    `update model kept set plates = gone.plates || kept.plates, sealed_battery = coalesce(kept.sealed_battery, gone.sealed_battery)
     from model gone where kept.id = :to and gone.id = :from
       and (gone.plates <> '{}' or (kept.sealed_battery is null and gone.sealed_battery is not null))`,
    { from, to },
  );
  await db('model').where({ id: from }).delete();
  await db.raw('select refresh_machine_search(variadic array(select id from machine where model_id = ?))', [to]);
}

export async function machineById(db: Db, id: number): Promise<MachineRow | undefined> {
  return db('machine').where({ id }).first();
}

export async function machineByTag(db: Db, tag: string): Promise<MachineRow | undefined> {
  return db('machine').where({ tag: tag.toUpperCase() }).first();
}

export async function lockMachine(db: Db, id: number): Promise<MachineRow | undefined> {
  return db('machine').where({ id }).forUpdate().first();
}

/** The machine that is kept, this one or the one that it was merged into, held until the transaction ends. */
export async function lockKeptMachine(db: Db, id: number): Promise<MachineRow | undefined> {
  for (;;) {
    const row = await db('machine').whereRaw('id = kept_machine(?)', [id]).forUpdate().first();
    // Merged while it was waited for: the way leads on.
    if (!row?.merged_into) return row;
  }
}

/** Holds machines until the transaction ends, always in the same order. */
export async function lockMachines(db: Db, ids: number[]): Promise<MachineRow[]> {
  return db('machine').whereIn('id', ids).orderBy('id').forUpdate();
}

/** The tag under which a machine is found now: its own, or that of the one it was merged into. */
export async function tagNow(db: Db, tag: string): Promise<string | undefined> {
  const row = await db('machine')
    .leftJoin('machine as kept', (on) => on.on('kept.id', db.raw('kept_machine(machine.id)')))
    .where('machine.tag', tag.toUpperCase())
    .first({ own: 'machine.tag', kept: 'kept.tag' });
  return row && (row.kept ?? row.own);
}

export async function updateMachine(
  db: Db,
  id: number,
  change: Partial<
    Pick<
      MachineRow,
      | 'model_id'
      | 'customer_id'
      | 'site_id'
      | 'serial'
      | 'made_year'
      | 'purchased_on'
      | 'warranty_until'
      | 'pets'
      | 'hours_per_week'
      | 'note'
      | 'merged_into'
      | 'scrapped_on'
    >
  >,
): Promise<void> {
  await db('machine')
    .where({ id })
    .update({ ...change, version: db.raw('version + 1') });
  await refreshSearch(db, id);
}

/** Everything that happened to one machine becomes another's; of its plans what was done last counts. */
export async function moveMachineRows(db: Db, from: number, to: number): Promise<void> {
  for (const table of ['job', 'timeline', 'fitted_part', 'meter_reading', 'photograph', 'bridge', 'service_reading'])
    await db(table).where({ machine_id: from }).update({ machine_id: to });
  await movePlans(db, from, to);
  // One that is open on both stays open once.
  await db.raw(
    `delete from open_fault o where machine_id = ? and mended_in is null
       and exists (select from open_fault k where k.machine_id = ? and k.fault = o.fault and k.mended_in is null)`,
    [from, to],
  );
  await db('open_fault').where({ machine_id: from }).update({ machine_id: to });
}

export async function insertMachine(
  db: Db,
  row: Pick<MachineRow, 'tag' | 'model_id' | 'customer_id' | 'serial' | 'made_year' | 'pets' | 'hours_per_week'> &
    Partial<Pick<MachineRow, 'site_id' | 'purchased_on' | 'warranty_until'>>,
): Promise<number> {
  const [inserted] = await db('machine').insert(row).returning('id');
  await refreshSearch(db, inserted.id);
  return inserted.id;
}

/** What the search box looks through: tag, serial, maker, model, owner, phone, site, the last job's words. */
export async function refreshSearch(db: Db, machineId: number): Promise<void> {
  await db.raw('select refresh_machine_search(?)', [machineId]);
}

/** The next free tag: two counters never take the same, and neither waits for the other. */
export async function nextTag(db: Db): Promise<string> {
  const { rows } = await db.raw('select next_machine_tag() as tag');
  return rows[0].tag;
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
      'customer.phone',
      'customer.standing',
      'machine.note',
      'machine.warranty_until',
      'machine.next_due_on',
      db.raw(
        `(select array_agg(item order by item) from plan where machine_id = machine.id and due_on = machine.next_due_on
           and not by_its_people) as due_items`,
      ),
      { open_job: 'open_job.id' },
      db.raw(
        `(select array_agg(fault order by fault) from open_fault where machine_id = machine.id and mended_in is null) as open_faults`,
      ),
      db.raw('(select max(taken_in_at) from job where job.machine_id = machine.id) as last_job_at'),
      db.raw(
        `(select (max(taken_in_at) at time zone coalesce((select zone from shop), 'UTC'))::date from job
          where job.machine_id = machine.id) as last_here_on`,
      ),
    );
}

/** Columns by which machines can be ordered. */
export const MACHINE_ORDERS = {
  tag: ['machine.tag'],
  machine: ['model.maker', 'model.name'],
  owner: ['customer.name'],
  serial: ['machine.serial'],
  due: ['machine.next_due_on'],
} as const;
export type MachineOrder = keyof typeof MACHINE_ORDERS;

/** Of those that answer to words, so many are put in order: who looks for more knows a better word. */
const MOST_ORDERED = 1000;

/** Machines that answer to the words, best first; the newest when there are none; or in an order of one's own. Paged. */
export async function searchMachines(
  db: Db,
  words: string,
  limit: number,
  offset: number,
  how: Forgiving & { order?: { by: MachineOrder; desc: boolean } | null } = { forgiving: true },
): Promise<MachineListRow[]> {
  const { order } = how;
  const isAsked = words.trim() !== '';
  const query = listQuery(db);
  if (isAsked && order) query.whereIn('machine.id', await rankedMachines(db, words, MOST_ORDERED, 0, how));
  if (isAsked && !order) {
    const ids = await rankedMachines(db, words, limit, offset, how);
    return query.whereIn('machine.id', ids).orderByRaw('array_position(?::bigint[], machine.id)', [ids]);
  }
  query.whereNull('machine.merged_into').limit(limit).offset(offset);
  for (const column of order ? MACHINE_ORDERS[order.by] : [])
    query.orderByRaw(`?? ${order!.desc ? 'desc' : 'asc'} nulls last`, [column]);
  return query.orderBy('machine.id', 'desc');
}

/** How many machines answer to the words, counted up to a limit; all when there are none. */
export async function countMachines(db: Db, words: string, most: number): Promise<number> {
  if (words.trim() !== '') return (await rankedMachines(db, words, most, 0, { forgiving: false })).length;
  const { rows } = await db.raw(
    'select count(*)::integer as count from (select from machine where merged_into is null limit ?) m',
    [most],
  );
  return rows[0].count;
}

export async function machinesOfCustomer(db: Db, customerId: number, limit: number): Promise<MachineListRow[]> {
  return listQuery(db)
    .where('machine.customer_id', customerId)
    .whereNull('machine.merged_into')
    .orderBy('machine.id', 'desc')
    .limit(limit);
}

/** Other machines that may be the same one: the same serial, or model and owner. */
export async function alikeMachines(db: Db, machine: MachineRow): Promise<MachineListRow[]> {
  return listQuery(db)
    .whereNull('machine.merged_into')
    .whereNot('machine.id', machine.id)
    .where((w) => {
      w.where({ 'machine.model_id': machine.model_id, 'machine.customer_id': machine.customer_id });
      if (machine.serial !== '')
        w.orWhereRaw(`(machine.serial <> '' and lower(machine.serial) = lower(?))`, [machine.serial]);
    })
    .orderByRaw('(lower(machine.serial) = lower(?)) desc, machine.id', [machine.serial])
    .limit(6);
}

export async function machineListRow(db: Db, id: number): Promise<MachineListRow | undefined> {
  return listQuery(db).where('machine.id', id).first();
}

/** What was found on a machine and not mended, oldest first. */
export async function openFaultsOf(db: Db, machineId: number): Promise<{ fault: string; job_id: number; at: Date }[]> {
  return db('open_fault')
    .where({ machine_id: machineId })
    .whereNull('mended_in')
    .orderBy(['at', 'id'])
    .select('fault', 'job_id', 'at');
}

export async function partAges(db: Db, machineId: number) {
  return db('fitted_part as f')
    .leftJoin('part', 'part.code', 'f.code')
    .where({ machine_id: machineId })
    .whereNull('taken_back_at')
    .groupBy('station', 'part_group')
    .select<{ station: string; group: string | null; at: Date }[]>(
      'station',
      'part_group as group',
      db.raw('max(f.at) as at'),
    );
}

export interface TimelineRow {
  id: number;
  at: Date;
  what: string;
  text: string;
  job_id: number | null;
  person: string | null;
}

/** What happened to a machine, newest first: of some sorts, with some words. `before` pages through. */
export async function timelineOf(
  db: Db,
  machineId: number,
  limit: number,
  { before, what, words }: { before?: number; what?: string[]; words?: string } = {},
): Promise<TimelineRow[]> {
  const query = db('timeline')
    .leftJoin('person', 'person.id', 'timeline.person_id')
    .where('timeline.machine_id', machineId)
    .orderBy('timeline.at', 'desc')
    .orderBy('timeline.id', 'desc')
    .limit(limit)
    .select<TimelineRow[]>('timeline.id', 'timeline.at', 'timeline.what', 'timeline.text', 'timeline.job_id', {
      person: 'person.name',
    });
  if (before !== undefined)
    query.whereRaw('(timeline.at, timeline.id) < (select at, id from timeline where id = ?)', [before]);
  if (what && what.length > 0) query.whereIn('timeline.what', what);
  for (const word of (words ?? '').split(/\s+/).filter(Boolean))
    query.whereRaw(`search_words(timeline.text) like '%' || search_words(?) || '%'`, [word]);
  return query;
}

export async function insertMeterReading(
  db: Db,
  row: { machine_id: number; job_id: number | null; hours: number; person_id: number },
): Promise<void> {
  await db('meter_reading').insert(row);
}

export async function meterReadingsOf(db: Db, machineId: number): Promise<{ hours: number; at: Date }[]> {
  return db('meter_reading').where({ machine_id: machineId }).orderBy('at', 'desc').limit(200).select('hours', 'at');
}

/** What was read at its services, oldest first. */
export async function serviceReadingsOf(
  db: Db,
  machineId: number,
): Promise<{ item: string; reading: string; place: string; value: number; at: Date }[]> {
  return db('service_reading')
    .where({ machine_id: machineId })
    .orderBy([
      { column: 'at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(400)
    .select('item', 'reading', 'place', 'value', 'at');
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

export async function jobsOf(db: Db, machineId: number, limit = 50) {
  return db('job').where({ machine_id: machineId }).orderBy('taken_in_at', 'desc').limit(limit).select<
    {
      id: number;
      stage: string;
      taken_in_at: Date;
      closed_at: Date | null;
      words: string;
      comeback_of: number | null;
      ending: Ending | null;
      visit: Visit;
      found_words: string;
      faults: string[] | null;
    }[]
  >('id', 'stage', 'ending', 'visit', 'found_words', 'comeback_of', 'taken_in_at', 'closed_at', 'words', db.raw('(select array_agg(fault order by fault) from confirmed_fault where job_id = job.id) as faults'));
}
