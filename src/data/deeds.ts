import type { Db } from './database';

/** One deed by its key: who does what, and the mark of what was sent for it. */
export interface Claim {
  key: string;
  personId: number;
  /** Name and subject. */
  deed: string;
  mark: Buffer;
}

/**
 * Claims an idempotency key inside a transaction. A second writer with the same key waits here for the first.
 * @returns 'new' when the key is; 'other' when it was used for something else; else the answer that the first gave
 */
export async function claimDeed(db: Db, claim: Claim): Promise<'new' | 'other' | { answer: unknown }> {
  const { key, personId, deed, mark } = claim;
  const inserted = await db('done_deed')
    .insert({ key, person_id: personId, deed, mark })
    .onConflict('key')
    .ignore()
    .returning('key');
  return inserted.length > 0 ? 'new' : earlierDeed(db, claim);
}

/** What was done under this key before. */
export async function earlierDeed(
  db: Db,
  { key, personId, deed, mark }: Claim,
): Promise<'other' | { answer: unknown }> {
  const row = await db('done_deed')
    .where({ key, person_id: personId, deed })
    .first<{ answer: unknown; mark: Buffer | null } | undefined>('answer', 'mark');
  // Keys of before the mark was kept are taken at their word.
  return !row || (row.mark !== null && !row.mark.equals(mark)) ? 'other' : { answer: row.answer };
}

/** Whether this person did something under this key, and when. */
export async function deedDoneAt(db: Db, key: string, personId: number): Promise<Date | null> {
  const row = await db('done_deed').where({ key, person_id: personId }).first<{ at: Date } | undefined>('at');
  return row?.at ?? null;
}

export async function storeDeedAnswer(db: Db, key: string, answer: unknown): Promise<void> {
  await db('done_deed')
    .where({ key })
    .update({ answer: JSON.stringify(answer) });
}

/** A draft with the instant at which it was kept, as exact as the database has it: it tells one keeping from the next. */
export interface KeptDraft {
  content: unknown;
  at: string | null;
}

const AT = `to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as at`;

export async function draftOf(db: Db, personId: number, form: string): Promise<KeptDraft> {
  const row = await db('draft').where({ person_id: personId, form }).first<KeptDraft>('content', db.raw(AT));
  return row ?? { content: null, at: null };
}

/** @returns the instant at which it was kept */
export async function putDraft(db: Db, personId: number, form: string, content: unknown): Promise<string> {
  const [row] = await db('draft')
    .insert({ person_id: personId, form, content: JSON.stringify(content) })
    .onConflict(['person_id', 'form'])
    .merge({ content: JSON.stringify(content), at: db.fn.now() })
    .returning<{ at: string }[]>(db.raw(AT));
  return row!.at;
}

export async function deleteDraft(db: Db, personId: number, form: string): Promise<void> {
  await db('draft').where({ person_id: personId, form }).delete();
}

/** Keys that nobody sends again, sessions that have ended, tries that no longer count, browsers and lines of the door from last year. */
export async function deleteStale(db: Db): Promise<void> {
  await db('done_deed').where('at', '<', db.raw(`now() - interval '30 days'`)).delete();
  await db('session').where('expires_at', '<', db.fn.now()).delete();
  await db('failed_sign_in').where('at', '<', db.raw(`now() - interval '1 day'`)).delete();
  await db('known_browser').where('last_at', '<', db.raw(`now() - interval '400 days'`)).delete();
  await db('door_event').where('at', '<', db.raw(`now() - interval '400 days'`)).delete();
}
