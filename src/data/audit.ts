import type { Db } from './database';

/** Names who acts and in which deed, until the transaction ends: the schema's own audit writes it beside each change. */
export async function setActor(db: Db, personId: number, deed: string): Promise<void> {
  await db.raw(`select set_config('gritkeeper.person', ?, true), set_config('gritkeeper.deed', ?, true)`, [
    String(personId),
    deed,
  ]);
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
  const query = db('audit')
    .leftJoin('person', 'person.id', 'audit.person_id')
    .orderBy('audit.id', 'desc')
    .limit(limit)
    .select('audit.*', { person: 'person.name' });
  if (of.machine !== undefined)
    query.whereIn(
      'audit.machine_id',
      db('machine').where({ id: of.machine }).orWhere({ merged_into: of.machine }).select('id'),
    );
  if (of.job !== undefined) query.where('audit.job_id', of.job);
  if (of.person !== undefined) query.where('audit.person_id', of.person);
  if (of.customer !== undefined) query.where('audit.customer_id', of.customer);
  if (before !== undefined) query.where('audit.id', '<', before);
  return query;
}
