import type { Db } from './database';

export interface Tallies {
  kindJobs: number;
  modelJobs: number;
  /** Jobs of other shops, each by its weight. */
  lentJobs: number;
  lentFaults: Map<string, number>;
  /** Fault → confirmed in the kind's and in the model's finished jobs. */
  faults: Map<string, { kind: number; model: number }>;
}

/** How often each fault was confirmed, for a kind and for one model of it. */
export async function talliesFor(db: Db, kind: string, modelId: number | null): Promise<Tallies> {
  const model = modelId ?? -1;
  const jobs = await db('job_tally')
    .where({ kind })
    .first<{ all: number | null; own: number | null }>(
      db.raw('sum(jobs)::integer as all, sum(jobs) filter (where model_id = ?)::integer as own', [model]),
    );
  const rows = await db('fault_tally')
    .where({ kind })
    .groupBy('fault')
    .select<{ fault: string; all: number; own: number | null }[]>(
      'fault',
      db.raw('sum(confirmed)::integer as all, sum(confirmed) filter (where model_id = ?)::integer as own', [model]),
    );
  const lent = await lentFor(db, kind);
  return {
    kindJobs: jobs?.all ?? 0,
    modelJobs: jobs?.own ?? 0,
    lentJobs: lent.jobs,
    lentFaults: lent.faults,
    faults: new Map(rows.map((r) => [r.fault, { kind: r.all, model: r.own ?? 0 }])),
  };
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

/** What other shops found of a kind, by their weights. */
async function lentFor(db: Db, kind: string): Promise<{ jobs: number; faults: Map<string, number> }> {
  const rows = await db('lent_tally')
    .where('weight', '>', 0)
    .select<Pick<LentRow, 'weight' | 'book'>[]>('weight', 'book');
  const faults = new Map<string, number>();
  let jobs = 0;
  for (const { weight, book } of rows)
    for (const k of book.kinds.filter((x) => x.kind === kind)) {
      jobs += weight * k.jobs;
      for (const f of k.faults) faults.set(f.fault, (faults.get(f.fault) ?? 0) + weight * f.confirmed);
    }
  return { jobs, faults };
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
