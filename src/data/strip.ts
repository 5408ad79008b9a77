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

export interface ProcedureRow {
  version: number;
  /** As they were written: what they mean is not known here. */
  changes: object[];
  why: string;
  at: Date;
  person: string | null;
}

/** Every version of how a model’s procedure differs, newest first. */
export async function procedureVersions(db: Db, modelId: number): Promise<ProcedureRow[]> {
  return db('model_procedure')
    .leftJoin('person', 'person.id', 'model_procedure.person_id')
    .where({ model_id: modelId })
    .orderBy('version', 'desc')
    .limit(50)
    .select('model_procedure.version', 'changes', 'why', 'at', { person: 'person.name' });
}

/**
 * Writes the next version. Two writers of one model wait for each other: the model’s row is held.
 * @returns the version that was written
 */
export async function insertProcedure(
  db: Db,
  modelId: number,
  changes: readonly object[],
  why: string,
  personId: number,
): Promise<number> {
  await db('model').where({ id: modelId }).forUpdate().first('id');
  const [row] = await db('model_procedure')
    .insert({
      model_id: modelId,
      version: db('model_procedure')
        .where({ model_id: modelId })
        .select(db.raw('coalesce(max(version), 0) + 1')) as unknown as number,
      changes: JSON.stringify(changes),
      why,
      person_id: personId,
    })
    .returning<{ version: number }[]>('version');
  return row!.version;
}

/** Longer than this is no work but a pause, shorter a step that was pressed together with another, minutes. */
const [LEAST_MINUTES, MOST_MINUTES] = [0.03, 20];
const LATEST_JOBS = 300;

export interface StepTime {
  step: string;
  /** Between this press and the one before it: the median. */
  minutes: number;
  /** How many presses stand behind it. */
  presses: number;
}

/** How long steps take on a model, from the presses of its latest jobs. */
export async function stepTimes(db: Db, modelId: number): Promise<StepTime[]> {
  const { rows } = await db.raw<{ rows: StepTime[] }>(
    `with latest as (
       select job.id from job join machine on machine.id = job.machine_id
       where machine.model_id = :modelId order by job.id desc limit :jobs
     ), spent as (
       select step, extract(epoch from at - lag(at) over (partition by job_id order by at)) / 60 as minutes
       from strip_step where state = 'done' and job_id in (select id from latest)
     )
     select step, round((percentile_cont(0.5) within group (order by minutes))::numeric, 2)::float8 as minutes,
       count(*)::int as presses
     from spent where minutes between :least and :most group by step order by step`,
    { modelId, jobs: LATEST_JOBS, least: LEAST_MINUTES, most: MOST_MINUTES },
  );
  return rows;
}
