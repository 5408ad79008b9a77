import type { Db } from './database';

export interface MessageRow {
  id: number;
  job_id: number | null;
  address: string;
  subject: string;
  body: string;
  state: 'waiting' | 'sent' | 'failed';
  tries: number;
  last_error: string;
  at: Date;
  sent_at: Date | null;
}

export async function insertMessage(
  db: Db,
  row: { job_id: number | null; address: string; subject: string; body: string; person_id: number },
): Promise<void> {
  await db('message').insert(row);
}

/**
 * Takes the next messages whose time has come, whichever server asks first; they come up again when nobody says what became
 * of them.
 */
export async function takeMessages(db: Db, limit: number, againMinutes: number): Promise<MessageRow[]> {
  const { rows } = await db.raw<{ rows: MessageRow[] }>(
    `update message set tries = tries + 1, next_try_at = now() + :again * interval '1 minute'
     where id in (
       select id from message where state = 'waiting' and next_try_at <= now()
       order by next_try_at limit :limit for update skip locked
     ) returning *`,
    { limit, again: againMinutes },
  );
  return rows;
}

export async function messageSent(db: Db, id: number): Promise<void> {
  await db('message').where({ id }).update({ state: 'sent', sent_at: db.fn.now(), last_error: '' });
}

/** @param againS seconds to the next try; null when it is given up */
export async function messageFailed(db: Db, id: number, why: string, againS: number | null): Promise<void> {
  await db('message')
    .where({ id })
    .update({
      last_error: why.slice(0, 500),
      ...(againS === null ? { state: 'failed' } : { next_try_at: db.raw("now() + ? * interval '1 second'", [againS]) }),
    });
}

/** A message that was given up is tried again, from the beginning. */
export async function retryMessage(db: Db, id: number): Promise<boolean> {
  const changed = await db('message')
    .where({ id, state: 'failed' })
    .update({ state: 'waiting', tries: 0, next_try_at: db.fn.now() });
  return changed > 0;
}

/** Newest first. */
export async function messages(db: Db, limit: number, before?: number): Promise<MessageRow[]> {
  const list = db('message').orderBy('id', 'desc').limit(limit).select('*');
  return before === undefined ? list : list.where('id', '<', before);
}

export async function mailSecret(db: Db): Promise<Buffer | null> {
  return (await db('mail_secret').first('sealed'))?.sealed ?? null;
}

export async function putMailSecret(db: Db, sealed: Buffer | null): Promise<void> {
  if (sealed === null) await db('mail_secret').delete();
  else await db('mail_secret').insert({ sealed }).onConflict('only_one').merge({ sealed });
}

/** What the simulated mail server took. */
export async function insertStandInMail(db: Db, recipients: string[], raw: string): Promise<void> {
  await db('stand_in_mail').insert({ recipients, raw });
}

/** Newest first. */
export async function standInMail(
  db: Db,
  limit: number,
): Promise<{ id: number; recipients: string[]; raw: string; at: Date }[]> {
  return db('stand_in_mail').orderBy('id', 'desc').limit(limit).select('id', 'recipients', 'raw', 'at');
}
