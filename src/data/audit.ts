import type { Db } from './database';

/** Names who acts and in which deed, until the transaction ends: the schema's own audit writes it beside each change. */
export async function setActor(db: Db, personId: number, deed: string): Promise<void> {
  await db.raw(`select set_config('gritkeeper.person', ?, true), set_config('gritkeeper.deed', ?, true)`, [
    String(personId),
    deed,
  ]);
}

/** A transaction that looks at a hundred thousand rows between its statements is not one that was forgotten. */
export async function takeTime(db: Db): Promise<void> {
  await db.raw(`set local idle_in_transaction_session_timeout = '300s'`);
}

/** Until the transaction ends, its changes are told to the benches as one piece of news. */
export async function tellAsOne(db: Db): Promise<void> {
  await db.raw(`select set_config('gritkeeper.many', 'yes', true)`);
}

export interface AuditRow {
  id: number;
  at: Date;
  person: string | null;
  deed: string;
  row_of: string;
  row_id: string;
  machine_id: number | null;
  job_id: number | null;
  before: Record<string, unknown> | null;
  after: Record<string, unknown> | null;
}

export interface AuditOf {
  machine?: number;
  job?: number;
  person?: number;
  customer?: number;
}

/** Changes, newest first, of one machine (with those merged into it), job, person or customer, or of all. */
export async function auditOf(db: Db, of: AuditOf, limit: number, before?: number): Promise<AuditRow[]> {
  const query = db
    .from(of.machine === undefined ? 'audit' : ofMachines(db, of.machine, limit, before))
    .leftJoin('person', 'person.id', 'audit.person_id')
    .orderBy('audit.id', 'desc')
    .limit(limit)
    .select('audit.*', { person: 'person.name' });
  if (of.job !== undefined) query.where('audit.job_id', of.job);
  if (of.person !== undefined) query.where('audit.person_id', of.person);
  if (of.customer !== undefined) query.where('audit.customer_id', of.customer);
  if (before !== undefined) query.where('audit.id', '<', before);
  return query;
}

/** The newest of each machine by itself, so that the index is read from its end and no more than is shown. */
function ofMachines(db: Db, machine: number, limit: number, before: number | undefined) {
  return db.raw(
    `(select own.* from (select id from machine where id = :machine or merged_into = :machine) m
      cross join lateral (
        select * from audit where machine_id = m.id and id < :before order by id desc limit :limit
      ) own) as audit`,
    { machine, limit, before: before ?? Number.MAX_SAFE_INTEGER },
  );
}
