import type { Db } from './database';

export interface PracticeRow {
  job_id: number;
  faults: string[];
  seed: number;
  readings: number;
}

export async function practiceOf(db: Db, jobId: number): Promise<PracticeRow | undefined> {
  return db('practice').where({ job_id: jobId }).first();
}

export async function insertPractice(db: Db, row: Omit<PracticeRow, 'readings'>): Promise<void> {
  await db('practice').insert(row);
}

/** Counts one more reading. @returns how many there were before; undefined when the job is no practice */
export async function countReading(db: Db, jobId: number): Promise<number | undefined> {
  const [row] = await db('practice')
    .where({ job_id: jobId })
    .increment('readings', 1)
    .returning<PracticeRow[]>('readings');
  return row && row.readings - 1;
}

export async function deletePractice(db: Db, jobId: number): Promise<void> {
  await db('practice').where({ job_id: jobId }).del();
}
