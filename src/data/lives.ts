import type { Db } from './database';

/** A life that the shop took over from its own history. */
export interface OwnLife {
  kind: string;
  fault: string;
  shape: number;
  scale_years: number;
  failures: number;
  still_whole: number;
}

export async function ownLives(db: Db, kind?: string): Promise<OwnLife[]> {
  const query = db('own_life').orderBy(['kind', 'fault']);
  if (kind !== undefined) query.where({ kind });
  return query.select('kind', 'fault', 'shape', 'scale_years', 'failures', 'still_whole');
}

export async function putOwnLife(
  db: Db,
  row: OwnLife & { person_id: number },
): Promise<void> {
  await db('own_life').insert(row).onConflict(['kind', 'fault']).merge({ ...row, at: db.fn.now() });
}

export async function dropOwnLife(db: Db, kind: string, fault: string): Promise<void> {
  await db('own_life').where({ kind, fault }).delete();
}

/** How long one part was seen, in days: it failed, was found failed at a look, or was whole when it was last seen. */
export interface SeenPart {
  fault: string;
  machine: number;
  from_days: number;
  /** Null: still whole. */
  to_days: number | null;
}

const LIVES = `
with visit as (
  select j.id, j.machine_id, j.closed_at, j.visit, j.ending,
    lag(j.closed_at) over (partition by j.machine_id order by j.closed_at, j.id) as before
  from job j join machine m on m.id = j.machine_id join model on model.id = m.model_id
  where model.kind = :kind and j.closed_at is not null and m.merged_into is null
    and not exists (select from practice where job_id = j.id) :model
), failed as (
  select v.machine_id, c.fault, v.closed_at as at,
    -- Nobody complained of it: it failed at some time since the last visit.
    case when v.visit = 'service' or not exists (select from job_complaint k where k.job_id = v.id and k.struck_at is null) then v.before end as since
  from visit v join confirmed_fault c on c.job_id = v.id
), watched as (
  select machine_id, min(closed_at) as first, max(closed_at) as last from visit group by machine_id
), fault as (
  select distinct fault from failed
), born as (
  select w.machine_id, coalesce(m.purchased_on::timestamptz, case when m.made_year is not null then make_date(m.made_year, 7, 1)::timestamptz end) as at, w.first, w.last
  from watched w join machine m on m.id = w.machine_id
), event as (
  select machine_id, fault, at, since, lag(at) over (partition by machine_id, fault order by at) as start from failed
), life as (
  -- From one failure to the next, or from when the machine was new.
  select e.fault, e.machine_id, coalesce(e.start, b.at) as start, e.since, e.at as "end", true as dead
  from event e join born b on b.machine_id = e.machine_id
  union all
  -- What is in it now, whole when it was last here.
  select f.fault, b.machine_id, coalesce((select max(at) from failed x where x.machine_id = b.machine_id and x.fault = f.fault), b.at), null, b.last, false
  from fault f cross join born b
)
select fault, machine_id::int as machine,
  extract(epoch from coalesce(greatest(since, start), "end") - start) / 86400 as from_days,
  case when dead then extract(epoch from "end" - start) / 86400 end as to_days
from life
where start is not null and "end" > start + interval '12 hours' :fault
order by fault, machine_id, start
limit :most`;

/**
 * The lives of the parts of a kind, as the shop saw them: between two failures of the same fault, or from when the machine
 * was new; what had not failed when the machine was last here counts as long as it was seen. A failure that nobody complained
 * of lies somewhere between two visits.
 */
export async function seenParts(
  db: Db,
  of: { kind: string; fault?: string; model?: number },
  most: number,
): Promise<SeenPart[]> {
  const sql = LIVES.replace(':model', of.model === undefined ? '' : 'and m.model_id = :modelId').replace(
    ':fault',
    of.fault === undefined ? '' : 'and fault = :faultId',
  );
  const { rows } = await db.raw<{ rows: SeenPart[] }>(sql, {
    kind: of.kind,
    most,
    ...(of.model === undefined ? {} : { modelId: of.model }),
    ...(of.fault === undefined ? {} : { faultId: of.fault }),
  });
  return rows.map((r) => ({ ...r, from_days: Number(r.from_days), to_days: r.to_days === null ? null : Number(r.to_days) }));
}
