import type { Db } from './database';

export type StripState = 'done' | 'not-here';

/** Keeps how a step stands; done again later, it stands where it was done first. */
export async function putStripStep(db: Db, jobId: number, step: string, state: StripState, personId: number) {
  await db('strip_step')
    .insert({ job_id: jobId, step, state, person_id: personId })
    .onConflict(['job_id', 'step'])
    .merge({ state, person_id: personId });
}

export async function takeBackStripStep(db: Db, jobId: number, step: string): Promise<void> {
  await db('strip_step').where({ job_id: jobId, step }).delete();
}

export async function insertLoss(
  db: Db,
  row: { job_id: number; step: string; what: string; count: number; person_id: number },
): Promise<void> {
  await db('fastener_loss').insert(row);
}

/** @returns whether it stood unsettled, or otherwise settled, in this job */
export async function settleLoss(db: Db, jobId: number, id: number, how: string): Promise<boolean> {
  return (await db('fastener_loss').where({ job_id: jobId, id }).update({ settled: how })) === 1;
}
