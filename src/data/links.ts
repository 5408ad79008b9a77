import type { Db } from './database';

export interface LinkRow {
  id: number;
  job_id: number;
  /** Who made it. */
  person_id: number | null;
}

export async function insertLink(
  db: Db,
  row: { job_id: number; token_hash: Buffer; days: number; person_id: number },
): Promise<void> {
  const { days, ...rest } = row;
  await db('customer_link').insert({ ...rest, expires_at: db.raw("now() + ? * interval '1 day'", [days]) });
}

/** The link that a token opens, while it does: neither revoked nor run out. */
export async function openLink(db: Db, tokenHash: Buffer): Promise<LinkRow | undefined> {
  return db('customer_link')
    .where({ token_hash: tokenHash })
    .whereNull('revoked_at')
    .whereRaw('expires_at > now()')
    .first('id', 'job_id', 'person_id');
}

export async function sawLink(db: Db, id: number): Promise<void> {
  await db('customer_link').where({ id }).update({ seen_at: db.fn.now() });
}

/** @returns how many were open */
export async function revokeLinks(db: Db, jobId: number): Promise<number> {
  return db('customer_link').where({ job_id: jobId }).whereNull('revoked_at').update({ revoked_at: db.fn.now() });
}

/** Counts a wrong token from an address before the next is looked at. @returns wrong ones of the last minutes */
export async function countWrongLinks(db: Db, address: string, minutes: number): Promise<number> {
  const { rows } = await db.raw<{ rows: { count: number }[] }>(
    `select count(*)::int as count from (
       select from link_try where address = ? and at > now() - ? * interval '1 minute' limit 1000) t`,
    [address, minutes],
  );
  return rows[0]!.count;
}

export async function insertWrongLink(db: Db, address: string): Promise<void> {
  await db('link_try').insert({ address });
}

export async function deleteOldLinkTries(db: Db): Promise<void> {
  await db('link_try').whereRaw("at < now() - interval '1 day'").delete();
}
