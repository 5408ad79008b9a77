import { prepared, type Db } from './database';

export interface PersonRow {
  id: number;
  sign_in: string;
  name: string;
  role: 'owner' | 'technician' | 'counter';
  passphrase_hash: string;
  locked_at: Date | null;
  version: number;
}

export async function personBySignIn(db: Db, signIn: string): Promise<PersonRow | undefined> {
  return db('person').whereRaw('lower(sign_in) = lower(?)', [signIn]).first();
}

export async function insertPerson(db: Db, row: Omit<PersonRow, 'id' | 'locked_at' | 'version'>): Promise<number> {
  const [inserted] = await db('person').insert(row).returning('id');
  return inserted.id;
}

export async function people(db: Db): Promise<(PersonRow & { sessions: number; last_seen_at: Date | null })[]> {
  return db('person')
    .leftJoin('session', (on) =>
      on.on('session.person_id', 'person.id').andOnVal('session.expires_at', '>', db.fn.now()),
    )
    .groupBy('person.id')
    .orderBy('person.name')
    .select('person.*', db.raw('count(session.id)::integer as sessions, max(session.last_seen_at) as last_seen_at'));
}

/** Names of those who may be given work, for choosing. */
export async function workers(db: Db): Promise<{ id: number; name: string; role: PersonRow['role'] }[]> {
  return db('person').whereNull('locked_at').orderBy('name').select('id', 'name', 'role');
}

export async function lockPerson(db: Db, id: number): Promise<PersonRow | undefined> {
  return db('person').where({ id }).forUpdate().first();
}

export async function updatePerson(
  db: Db,
  id: number,
  change: Partial<Pick<PersonRow, 'name' | 'role' | 'locked_at' | 'passphrase_hash'>>,
): Promise<void> {
  await db('person')
    .where({ id })
    .update({ ...change, version: db.raw('version + 1') });
}

/** Owners who can sign in; held until the transaction ends, so that the last one cannot be locked twice at once. */
export async function lockOwners(db: Db): Promise<number[]> {
  return db('person').where({ role: 'owner' }).whereNull('locked_at').orderBy('id').forUpdate().pluck('id');
}

export interface SessionRow {
  id: number;
  agent: string;
  created_at: Date;
  last_seen_at: Date;
  expires_at: Date;
}

export async function sessionsOf(db: Db, personId: number): Promise<SessionRow[]> {
  return db('session')
    .where({ person_id: personId })
    .where('expires_at', '>', db.fn.now())
    .orderBy('last_seen_at', 'desc')
    .limit(50)
    .select('id', 'agent', 'created_at', 'last_seen_at', 'expires_at');
}

/** Ends one session of a person, or all of them. @returns how many ended */
export async function endSessions(db: Db, personId: number, id?: number): Promise<number> {
  const query = db('session').where({ person_id: personId });
  if (id !== undefined) query.where({ id });
  return query.delete();
}

/** Locks the screen of a session, or unlocks it. */
export async function lockSession(db: Db, personId: number, id: number, locked: boolean): Promise<void> {
  await db('session')
    .where({ id, person_id: personId })
    .update({ locked_at: locked ? db.raw('coalesce(locked_at, now())') : null });
}

export async function personById(db: Db, id: number): Promise<PersonRow | undefined> {
  return db('person').where({ id }).first();
}

/** Ends all sessions of a person but one. */
export async function endOtherSessions(db: Db, personId: number, but: number): Promise<number> {
  return db('session').where({ person_id: personId }).whereNot({ id: but }).delete();
}

/** Whether a session still opens the shop: neither ended nor locked, nor its person. */
export async function sessionStands(db: Db, id: number): Promise<boolean> {
  const row = await db('session')
    .join('person', 'person.id', 'session.person_id')
    .where('session.id', id)
    .whereNull('session.locked_at')
    .whereNull('person.locked_at')
    .where('session.expires_at', '>', db.fn.now())
    .first('session.id');
  return row !== undefined;
}

/** Marks a session as used. */
export async function touchSession(db: Db, tokenHash: Buffer): Promise<void> {
  await db('session').where({ token_hash: tokenHash }).update({ last_seen_at: db.fn.now() });
}

export type SessionPerson = Pick<PersonRow, 'id' | 'name' | 'role'>;

/** The person of a session that has neither ended nor belongs to a locked person. */
export async function personBySession(
  db: Db,
  tokenHash: Buffer,
): Promise<{ person: SessionPerson; session: number; locked: boolean; unseenForAMinute: boolean } | undefined> {
  // Asked of every request: its plan is kept.
  const { rows } = await db
    .raw<{ rows: (SessionPerson & { unseen: boolean; session: number; locked: boolean })[] }>(
      `select person.id, person.name, person.role, session.id as session, session.locked_at is not null as locked,
         session.last_seen_at < now() - interval '1 minute' as unseen
       from session join person on person.id = session.person_id
       where session.token_hash = ? and person.locked_at is null and session.expires_at > now()`,
      [tokenHash],
    )
    .options(prepared('person-by-session'));
  const [row] = rows;
  if (!row) return undefined;
  const { unseen, session, locked, ...person } = row;
  return { person, session, locked, unseenForAMinute: unseen };
}

/** Opens a session that ends after so many days, by the database's own time. */
export async function insertSession(db: Db, personId: number, tokenHash: Buffer, agent: string, days: number) {
  await db('session').insert({
    person_id: personId,
    token_hash: tokenHash,
    agent,
    expires_at: db.raw(`now() + ? * interval '1 day'`, [days]),
  });
}

export async function deleteSession(db: Db, tokenHash: Buffer): Promise<void> {
  await db('session').where({ token_hash: tokenHash }).delete();
}
