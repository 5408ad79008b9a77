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

/** Of each kind and group of parts the price in the middle. */
export async function middlePrices(
  db: Db,
  kinds: readonly string[],
): Promise<{ kind: string; part_group: string; price_minor: number }[]> {
  const { rows } = await db.raw(
    `select s.kind, p.part_group, (array_agg(p.price_minor order by p.price_minor))[count(*) / 2 + 1] as price_minor
     from part p join part_station s on s.code = p.code where s.kind = any (?) group by 1, 2`,
    [[...kinds]],
  );
  return rows;
}

export async function putOwnLife(db: Db, row: OwnLife & { person_id: number }): Promise<void> {
  await db('own_life')
    .insert(row)
    .onConflict(['kind', 'fault'])
    .merge({ ...row, at: db.fn.now() });
}

export async function dropOwnLife(db: Db, kind: string, fault: string): Promise<void> {
  await db('own_life').where({ kind, fault }).delete();
}

/** How long one part was seen, in days: it failed, was found failed at a look, or was whole when it was last seen. */
export interface SeenPart {
  model: string;
  trade: boolean;
  from_days: number;
  /** Null: still whole. */
  to_days: number | null;
}

/** A fault, where its part sits on the kind, and of which groups the part is that ends it. */
export interface PartWatched {
  fault: string;
  station: string;
  groups: readonly string[];
}

const LIVES = `
with visit as (
  select j.id, j.machine_id, j.closed_at, j.visit,
    lag(j.closed_at) over (partition by j.machine_id order by j.closed_at, j.id) as before
  from job j join machine m on m.id = j.machine_id join model on model.id = m.model_id
  where model.kind = :kind and j.closed_at is not null and m.merged_into is null
    and not exists (select from practice where job_id = j.id)
), watched as (
  select machine_id, max(closed_at) as last from visit group by machine_id
), failed as (
  select v.machine_id, v.closed_at as at,
    -- Nobody complained of it: it failed at some time since the last visit.
    case when v.visit = 'service' or not exists (
      select from job_complaint k where k.job_id = v.id and k.struck_at is null) then v.before end as since
  from visit v join confirmed_fault c on c.job_id = v.id and c.fault = :fault
), renewed as (
  -- A new one went in though the old had not this fault: done while it was open, or for another fault of the same part.
  select v.machine_id, v.closed_at as at
  from visit v
  where exists (
      select from fitted_part f join part p on p.code = f.code
      where f.job_id = v.id and f.taken_back_at is null and f.station = :station and p.part_group = any (:groups))
    and not exists (select from confirmed_fault c where c.job_id = v.id and c.fault = :fault)
), ended as (
  select machine_id, at, since, dead, lag(at) over (partition by machine_id order by at) as start
  from (select machine_id, at, since, true as dead from failed
    union all select machine_id, at, null, false from renewed) e
), born as (
  -- By its year alone nobody knows what was replaced elsewhere before it first came.
  select w.machine_id, w.last, m.purchased_on::timestamptz as at
  from watched w join machine m on m.id = w.machine_id
), life as (
  -- From one end to the next, or from when the machine was bought new; what was renewed in time had lasted so long, and no more is known.
  select e.machine_id, coalesce(e.start, b.at) as start, e.since, e.at as until, e.dead
  from ended e join born b on b.machine_id = e.machine_id
  union all
  -- What is in it now, whole when it was last here.
  select b.machine_id, coalesce((select max(at) from ended x where x.machine_id = b.machine_id), b.at), null, b.last, false
  from born b
)
select model.maker || ' ' || model.name as model, c.kind = 'business' as trade,
  (extract(epoch from case when since is null then until else greatest(since, start) end - start) / 86400)::float8 as from_days,
  case when dead then (extract(epoch from until - start) / 86400)::float8 end as to_days
from life join machine m on m.id = life.machine_id join model on model.id = m.model_id join customer c on c.id = m.customer_id
where start is not null and until > start + interval '12 hours'
order by life.machine_id desc limit :most`;

/**
 * The lives of a part of a kind, as the shop saw them: between two failures of the same fault, or from when the machine was
 * bought; what was renewed before it had the fault, and what had not failed when the machine was last here, counts as long as it
 * was seen. A failure that nobody complained of lies somewhere between two visits. The newest machines first, so many lives at
 * most.
 */
export async function seenParts(
  db: Db,
  kind: string,
  { fault, station, groups }: PartWatched,
  most: number,
): Promise<SeenPart[]> {
  const { rows } = await db.raw<{ rows: SeenPart[] }>(LIVES, { kind, fault, station, groups: [...groups], most });
  return rows;
}

/** Fault → how often it was confirmed on machines of a kind. */
export async function confirmedOf(db: Db, kind: string): Promise<Map<string, number>> {
  const rows: { fault: string; confirmed: string }[] = await db('fault_tally')
    .where({ kind })
    .groupBy('fault')
    .select('fault', db.raw('sum(confirmed) as confirmed'));
  return new Map(rows.map((r) => [r.fault, Number(r.confirmed)]));
}

/** Machines of a kind with the days, since they were first here, on which they came failed; the newest ones, so many at most. */
export async function watchedFleet(
  db: Db,
  kind: string,
  most: number,
): Promise<{ failures: number[]; until: number }[]> {
  const { rows } = await db.raw<{ rows: { failures: number[]; until: number }[] }>(
    `select m.failures, m.until from (
       select machine.id,
         (array_agg(round(extract(epoch from j.taken_in_at - f.at) / 86400)::int order by j.taken_in_at)
           filter (where exists (select from confirmed_fault c where c.job_id = j.id))) as failures,
         round(extract(epoch from max(j.closed_at) - f.at) / 86400)::int as until
       from machine join model on model.id = machine.model_id
       join lateral (select min(taken_in_at) as at from job where machine_id = machine.id) f on true
       join job j on j.machine_id = machine.id and j.closed_at is not null
       where model.kind = ? and machine.merged_into is null
         and not exists (select from practice where job_id = j.id)
       group by machine.id, f.at order by machine.id desc limit ?) m
     where m.until > 0`,
    [kind, most],
  );
  return rows.map((r) => ({ failures: (r.failures ?? []).filter((d) => d <= r.until), until: r.until }));
}

/** Complaint → how many jobs were handed back with it, and how many of them came back with it within 90 days. */
export async function comebacksOf(db: Db, kind: string): Promise<{ complaint: string; often: number; of: number }[]> {
  const { rows } = await db.raw<{ rows: { complaint: string; often: number; of: number }[] }>(
    `select c.complaint, count(*)::int as of,
       (count(*) filter (where exists (
         select from job again join job_complaint k on k.job_id = again.id
         where again.comeback_of = j.id and k.complaint = c.complaint)))::int as often
     from job j join job_complaint c on c.job_id = j.id and c.struck_at is null
     join machine m on m.id = j.machine_id join model on model.id = m.model_id
     where model.kind = ? and j.closed_at is not null and j.ending = 'repaired'
       and not exists (select from practice where job_id = j.id)
     group by c.complaint`,
    [kind],
  );
  return rows;
}

/** Machines that were handed back repaired, until they came again, in days, and with which fault; null while they did not. */
export async function watchedUntilBack(
  db: Db,
  kind: string,
  most: number,
): Promise<{ time: number; cause: string | null }[]> {
  const { rows } = await db.raw<{ rows: { time: number; cause: string | null }[] }>(
    `with done as (
       select j.id, j.machine_id, j.closed_at from job j
       join machine m on m.id = j.machine_id join model on model.id = m.model_id
       where model.kind = ? and j.closed_at is not null and j.ending = 'repaired'
         and not exists (select from practice where job_id = j.id)
       order by j.id desc limit ?
     )
     select extract(epoch from coalesce(b.at, now()) - d.closed_at)::float8 / 86400 as time, b.cause
     from done d left join lateral (
       select again.taken_in_at as at,
         (select min(fault) from confirmed_fault where job_id = again.id) as cause
       from job again where again.machine_id = d.machine_id and again.taken_in_at > d.closed_at
         and exists (select from confirmed_fault where job_id = again.id)
       order by again.taken_in_at limit 1) b on true`,
    [kind, most],
  );
  return rows;
}

export async function kindOfMostJobs(db: Db): Promise<string | undefined> {
  const row = await db('job_tally').groupBy('kind').orderByRaw('sum(jobs) desc').first('kind');
  return row?.kind;
}
