import { prepared, type Db } from './database';

export interface Tallies {
  kindJobs: number;
  modelJobs: number;
  /** Jobs of other shops, each by its weight. */
  lentJobs: number;
  /** Fault → confirmed in other shops, by weight. */
  lentFaults: Record<string, number>;
  /** Fault → confirmed in the kind's and in the model's finished jobs. */
  faults: Record<string, { kind: number; model: number }>;
}

/** How often each fault was confirmed, for a kind and for one model of it; one statement. */
export async function talliesFor(db: Db, kind: string, modelId: number | null): Promise<Tallies> {
  const { rows } = await db
    .raw(
      `with own as (
       select fault, sum(confirmed)::integer as kind, coalesce(sum(confirmed) filter (where model_id = :model), 0)::integer as model
       from fault_tally where kind = :kind group by fault
     ), lent as (
       select weight, b.value as kind from lent_tally, jsonb_array_elements(book -> 'kinds') b
       where weight > 0 and b.value ->> 'kind' = :kind
     ), lent_fault as (
       select f.value ->> 'fault' as fault, sum(weight * (f.value ->> 'confirmed')::float8) as confirmed
       from lent, jsonb_array_elements(kind -> 'faults') f group by 1
     )
     select
       coalesce((select sum(jobs) from job_tally where kind = :kind), 0)::integer as "kindJobs",
       coalesce((select sum(jobs) from job_tally where kind = :kind and model_id = :model), 0)::integer as "modelJobs",
       coalesce((select sum(weight * (kind ->> 'jobs')::float8) from lent), 0)::float8 as "lentJobs",
       coalesce((select jsonb_object_agg(fault, confirmed) from lent_fault), '{}') as "lentFaults",
       coalesce((select jsonb_object_agg(fault, jsonb_build_object('kind', kind, 'model', model)) from own), '{}') as faults`,
      { kind, model: modelId ?? -1 },
    )
    .options(prepared('tallies'));
  return rows[0] as Tallies;
}

/** Counts one finished job and the faults confirmed in it. */
export async function tallyJob(db: Db, kind: string, modelId: number, faults: string[]): Promise<void> {
  await db.raw(
    'insert into job_tally (kind, model_id, jobs) values (?, ?, 1) on conflict (kind, model_id) do update set jobs = job_tally.jobs + 1',
    [kind, modelId],
  );
  for (const fault of faults)
    await db.raw(
      `insert into fault_tally (kind, model_id, fault, confirmed) values (?, ?, ?, 1)
       on conflict (kind, model_id, fault) do update set confirmed = fault_tally.confirmed + 1`,
      [kind, modelId, fault],
    );
}

/** Confirmed faults by kind, as they are handed from shop to shop. */
export interface TallyBook {
  kinds: { kind: string; jobs: number; faults: { fault: string; confirmed: number }[] }[];
}

export interface LentRow {
  id: number;
  shop_name: string;
  weight: number;
  book: TallyBook;
  at: Date;
  version: number;
}

export async function ownTallies(db: Db): Promise<TallyBook> {
  const jobs = await db('job_tally')
    .groupBy('kind')
    .orderBy('kind')
    .select<{ kind: string; jobs: number }[]>('kind', db.raw('sum(jobs)::integer as jobs'));
  const faults = await db('fault_tally')
    .groupBy('kind', 'fault')
    .orderBy(['kind', 'fault'])
    .select<{ kind: string; fault: string; confirmed: number }[]>(
      'kind',
      'fault',
      db.raw('sum(confirmed)::integer as confirmed'),
    );
  return {
    kinds: jobs.map((j) => ({
      ...j,
      faults: faults.filter((f) => f.kind === j.kind).map(({ fault, confirmed }) => ({ fault, confirmed })),
    })),
  };
}

export async function lentTallies(db: Db): Promise<LentRow[]> {
  return db('lent_tally').orderBy('id');
}

export async function lockLent(db: Db, id: number): Promise<LentRow | undefined> {
  return db('lent_tally').where({ id }).forUpdate().first();
}

export async function insertLent(
  db: Db,
  row: { shop_name: string; weight: number; book: TallyBook; person_id: number },
) {
  await db('lent_tally').insert({ ...row, book: JSON.stringify(row.book) });
}

export async function weighLent(db: Db, id: number, weight: number): Promise<void> {
  await db('lent_tally')
    .where({ id })
    .update({ weight, version: db.raw('version + 1') });
}
