import type { Db } from './database';

export interface ForecastRow {
  fault: string;
  said: number;
  was: boolean;
}

/** Keeps what was said of a job before it was known. */
export async function keepForecasts(db: Db, jobId: number, rows: ForecastRow[]): Promise<void> {
  if (rows.length > 0)
    await db('forecast')
      .insert(rows.map((r) => ({ job_id: jobId, ...r })))
      .onConflict(['job_id', 'fault'])
      .merge();
}

/** The newest forecasts, oldest first. */
export async function forecastsSince(db: Db, most: number): Promise<(ForecastRow & { at: Date; job_id: number })[]> {
  const rows = await db('forecast').orderBy('at', 'desc').limit(most).select('job_id', 'fault', 'said', 'was', 'at');
  return rows.reverse();
}

/** Of the finished jobs whose owner named a cause: how many, and in how many it was among the confirmed. */
export async function guesses(db: Db): Promise<{ made: number; right: number }> {
  const row = await db('job')
    .whereNotNull('closed_at')
    .whereNotNull('customer_diagnosis')
    .first<{ made: number; right: number }>(
      db.raw(
        `count(*)::integer as made,
         count(*) filter (where exists (select 1 from confirmed_fault c where c.job_id = job.id and c.fault = job.customer_diagnosis))::integer as right`,
      ),
    );
  return row ?? { made: 0, right: 0 };
}
