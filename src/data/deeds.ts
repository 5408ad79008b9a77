import type { Db } from './database';

/**
 * Claims an idempotency key inside a transaction. A second writer with the same key waits here for the first.
 * @returns null when the key is new, else the answer that the first gave
 */
export async function claimDeed(
  db: Db,
  key: string,
  personId: number,
  deed: string,
): Promise<{ answer: unknown } | null> {
  const inserted = await db('done_deed')
    .insert({ key, person_id: personId, deed })
    .onConflict('key')
    .ignore()
    .returning('key');
  if (inserted.length > 0) return null;
  return (await db('done_deed').where({ key, person_id: personId, deed }).first('answer')) ?? { answer: null };
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

/** Keys that nobody sends again, sessions that have ended, tries to sign in that no longer count. */
export async function deleteStale(db: Db): Promise<void> {
  await db('done_deed').where('at', '<', db.raw(`now() - interval '30 days'`)).delete();
  await db('session').where('expires_at', '<', db.fn.now()).delete();
  await db('failed_sign_in').where('at', '<', db.raw(`now() - interval '1 day'`)).delete();
}
