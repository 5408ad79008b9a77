import type { Db } from './database';

export interface EstimateRow {
  id: number;
  number: number;
  /** As they were decided, priced and set: what they mean is not known here. */
  lines: object[];
  offers: object[];
  terms: object;
  at: string;
  person: string | null;
}

/** Writes the next estimate of a job; the job is held by who calls. @returns its number in the job */
export async function insertEstimate(
  db: Db,
  row: { jobId: number; lines: readonly object[]; offers: readonly object[]; terms: object; personId: number },
): Promise<number> {
  const [made] = await db('estimate')
    .insert({
      job_id: row.jobId,
      number: db('estimate')
        .where({ job_id: row.jobId })
        .select(db.raw('coalesce(max(number), 0) + 1')) as unknown as number,
      lines: JSON.stringify(row.lines),
      offers: JSON.stringify(row.offers),
      terms: JSON.stringify(row.terms),
      person_id: row.personId,
    })
    .returning<{ number: number }[]>('number');
  return made!.number;
}

export type Says = 'yes' | 'as-is' | 'scrap' | 'ask-again' | 'limit';
export type AnswerWay = 'counter' | 'phone' | 'message' | 'paper' | 'link';

export interface AnswerToInsert {
  job_id: number;
  estimate_id: number | null;
  says: Says;
  offer: string | null;
  way: AnswerWay;
  who: string;
  words: string;
  declined: readonly object[];
  known: readonly string[];
  signed: string;
  limit_minor: number | null;
  ask_on: string | null;
  person_id: number | null;
  link_id?: number | null;
}

export async function insertAnswer(db: Db, row: AnswerToInsert): Promise<void> {
  await db('answer').insert({ ...row, declined: JSON.stringify(row.declined), known: JSON.stringify(row.known) });
}

/** What this model, else its kind, was last said to cost new and used, in smallest units; null when nobody said. */
export async function lastReplacement(
  db: Db,
  modelId: number,
  kind: string,
): Promise<{ newMinor: number | null; usedMinor: number | null } | null> {
  const { rows } = await db.raw<{ rows: { replacement: { newMinor: number | null; usedMinor: number | null } }[] }>(
    `select e.terms -> 'replacement' as replacement
     from estimate e join job on job.id = e.job_id join machine on machine.id = job.machine_id
     join model on model.id = machine.model_id
     where model.kind = :kind and e.terms -> 'replacement' ->> 'newMinor' is not null
     order by (model.id = :modelId) desc, e.id desc limit 1`,
    { modelId, kind },
  );
  return rows[0]?.replacement ?? null;
}

export async function insertBridge(
  db: Db,
  row: {
    machine_id: number;
    job_id: number;
    fault: string;
    who: string;
    words: string;
    rule: string;
    person_id: number;
  },
): Promise<void> {
  await db('bridge').insert(row);
}

export async function putJobSchools(db: Db, jobId: number, choices: object): Promise<void> {
  await db('job')
    .where({ id: jobId })
    .update({ schools: JSON.stringify(choices) });
}
