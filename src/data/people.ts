import type { Db } from './database';

export interface PersonRow {
  id: number;
  sign_in: string;
  name: string;
  role: 'owner' | 'technician' | 'counter';
  passphrase_hash: string;
  locked_at: Date | null;
}

export async function personBySignIn(db: Db, signIn: string): Promise<PersonRow | undefined> {
  return db('person').whereRaw('lower(sign_in) = lower(?)', [signIn]).first();
}

export async function insertPerson(db: Db, row: Omit<PersonRow, 'id' | 'locked_at'>): Promise<number> {
  const [inserted] = await db('person').insert(row).returning('id');
  return inserted.id;
}

export type SessionPerson = Pick<PersonRow, 'id' | 'name' | 'role'>;

/** The person of a session that has neither ended nor belongs to a locked person. */
export async function personBySession(db: Db, tokenHash: Buffer): Promise<SessionPerson | undefined> {
  return db('session')
    .join('person', 'person.id', 'session.person_id')
    .where('session.token_hash', tokenHash)
    .whereNull('person.locked_at')
    .where('session.expires_at', '>', db.fn.now())
    .first('person.id', 'person.name', 'person.role');
}

export async function personByApiToken(db: Db, tokenHash: Buffer): Promise<SessionPerson | undefined> {
  return db('api_token')
    .join('person', 'person.id', 'api_token.person_id')
    .where('api_token.token_hash', tokenHash)
    .whereNull('api_token.revoked_at')
    .whereNull('person.locked_at')
    .first('person.id', 'person.name', 'person.role');
}

export async function insertSession(db: Db, personId: number, tokenHash: Buffer, agent: string, expiresAt: Date) {
  await db('session').insert({ person_id: personId, token_hash: tokenHash, agent, expires_at: expiresAt });
}

export async function deleteSession(db: Db, tokenHash: Buffer): Promise<void> {
  await db('session').where({ token_hash: tokenHash }).delete();
}

export async function insertApiToken(db: Db, personId: number, label: string, tokenHash: Buffer): Promise<void> {
  await db('api_token').insert({ person_id: personId, label, token_hash: tokenHash });
}

export async function insertFailedSignIn(db: Db, signIn: string, address: string): Promise<void> {
  await db('failed_sign_in').insert({ sign_in: signIn.toLowerCase(), address });
}

/** Failed sign-ins of the last `minutes`, for this name and from this address. */
export async function failedSignIns(db: Db, signIn: string, address: string, minutes: number) {
  const since = db.raw(`now() - ? * interval '1 minute'`, [minutes]);
  const [byName] = await db('failed_sign_in').where({ sign_in: signIn.toLowerCase() }).where('at', '>', since).count();
  const [byAddress] = await db('failed_sign_in').where({ address }).where('at', '>', since).count();
  return { byName: Number(byName!.count), byAddress: Number(byAddress!.count) };
}

export async function clearFailedSignIns(db: Db, signIn: string): Promise<void> {
  await db('failed_sign_in').where({ sign_in: signIn.toLowerCase() }).delete();
}
