import type { Db } from './database';

export interface Tallies {
  kindJobs: number;
  modelJobs: number;
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
  return {
    kindJobs: jobs?.all ?? 0,
    modelJobs: jobs?.own ?? 0,
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
