import type { Db } from './database';

export interface PhotographRow {
  id: number;
  machine_id: number | null;
  job_id: number | null;
  at: Date;
  caption: string;
  /** What it shows: `step:`, `item:`, `check:` or `fault:` and which; empty for none of them. */
  shows: string;
  width: number;
  height: number;
  person: string | null;
}

function list(db: Db) {
  return db('photograph')
    .leftJoin('person', 'person.id', 'photograph.person_id')
    .whereNull('photograph.removed_at')
    .orderBy('photograph.id')
    .select<PhotographRow[]>(
      'photograph.id',
      'photograph.machine_id',
      'photograph.job_id',
      'photograph.at',
      'photograph.caption',
      'photograph.shows',
      'photograph.width',
      'photograph.height',
      { person: 'person.name' },
    );
}

export function photographsOfMachine(db: Db, machineId: number, limit: number): Promise<PhotographRow[]> {
  return list(db)
    .clearOrder()
    .where('photograph.machine_id', machineId)
    .orderBy('photograph.at', 'desc')
    .orderBy('photograph.id', 'desc')
    .limit(limit);
}

/** The photographs of a machine, oldest first. */
export async function photographIds(db: Db, tag: string): Promise<number[]> {
  return db('photograph')
    .join('machine', 'machine.id', 'photograph.machine_id')
    .where('machine.tag', tag)
    .whereNull('removed_at')
    .orderBy('photograph.id')
    .pluck('photograph.id');
}

/** One photograph with its large picture. */
export async function wholePhotograph(
  db: Db,
  id: number,
): Promise<Omit<PhotographRow, 'person' | 'machine_id' | 'shows'> & { sha256: Buffer; bytes: Buffer }> {
  return db('photograph').where({ id }).first('id', 'job_id', 'at', 'caption', 'width', 'height', 'sha256', 'bytes');
}

/** Keeps a photograph that belongs to no machine yet. */
export async function insertPhotograph(
  db: Db,
  row: { person_id: number; width: number; height: number; sha256: Buffer; bytes: Buffer; small: Buffer },
): Promise<number> {
  const [inserted] = await db('photograph')
    .insert({ ...row, mime: 'image/jpeg' })
    .returning('id');
  return inserted.id;
}

/** Gives loose photographs of this person to a job. @returns how many were given */
export async function attachPhotographs(
  db: Db,
  ids: number[],
  personId: number,
  to: { machine_id: number; job_id: number | null; caption?: string; shows?: string },
): Promise<number> {
  if (ids.length === 0) return 0;
  return db('photograph').whereIn('id', ids).whereNull('machine_id').where({ person_id: personId }).update(to);
}

/** One that was not taken out; one that belongs to no machine yet only for who sent it. */
export async function photographBytes(
  db: Db,
  id: number,
  small: boolean,
  personId: number,
): Promise<{ bytes: Buffer; sha256: Buffer } | undefined> {
  return db('photograph')
    .where({ id })
    .whereNull('removed_at')
    .where((w) => w.whereNotNull('machine_id').orWhere({ person_id: personId }))
    .first({ bytes: small ? 'small' : 'bytes' }, 'sha256');
}

/** Large pictures of some photographs, as they may be seen still: one that was taken out is left out. */
export async function largePhotographs(db: Db, ids: readonly number[]): Promise<{ id: number; bytes: Buffer }[]> {
  return db('photograph').whereIn('id', ids).whereNull('removed_at').orderBy('id').select('id', 'bytes');
}

/** Those of some photographs that may be seen still. */
export async function seenPhotographs(db: Db, ids: readonly number[]): Promise<number[]> {
  if (ids.length === 0) return [];
  return db('photograph').whereIn('id', ids).whereNull('removed_at').pluck('id');
}

/** The small one of a job's own photograph. */
export async function smallPhotographOfJob(db: Db, id: number, jobId: number): Promise<Buffer | undefined> {
  const row = await db('photograph').where({ id, job_id: jobId }).whereNull('removed_at').first('small');
  return row?.small;
}

export async function removePhotograph(db: Db, id: number, jobId: number): Promise<boolean> {
  const changed = await db('photograph')
    .where({ id, job_id: jobId })
    .whereNull('removed_at')
    .update({ removed_at: db.fn.now() });
  return changed === 1;
}

/** A photograph of a job that shows a step, at that step of a model; once. @returns whether the job has it */
export async function putModelPhotograph(
  db: Db,
  at: { model_id: number; step: string; person_id: number },
  photograph: number,
  jobId: number,
): Promise<boolean> {
  const own = await db('photograph').where({ id: photograph, job_id: jobId }).whereNull('removed_at').first('id');
  if (!own) return false;
  await db('model_photograph')
    .insert({ ...at, photograph_id: photograph })
    .onConflict(['model_id', 'step', 'photograph_id'])
    .ignore();
  return true;
}

/** A model has no photograph of its own at a step any more; of the machine it was taken of it stays. */
export async function dropModelPhotographs(db: Db, modelId: number, step: string): Promise<void> {
  await db('model_photograph').where({ model_id: modelId, step }).delete();
}

/** Photographs that nobody took in with a machine within the day are thrown away. */
export async function deleteLoosePhotographs(db: Db): Promise<number> {
  return db('photograph').whereNull('machine_id').where('at', '<', db.raw(`now() - interval '2 days'`)).delete();
}
