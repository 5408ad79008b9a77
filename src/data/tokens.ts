import type { Db } from './database';
import type { SessionPerson } from './people';

export type TokenScope = 'read' | 'write';

export interface TokenRow {
  id: number;
  label: string;
  scope: TokenScope;
  created_at: Date;
  last_used_at: Date | null;
  expires_at: Date | null;
}

/** The person of a token that has neither ended nor was revoked, and what it may do. */
export async function personByApiToken(
  db: Db,
  tokenHash: Buffer,
): Promise<{ person: SessionPerson; scope: TokenScope; id: number; unusedForAMinute: boolean } | undefined> {
  const row = await db('api_token')
    .join('person', 'person.id', 'api_token.person_id')
    .where('api_token.token_hash', tokenHash)
    .whereNull('api_token.revoked_at')
    .whereNull('person.locked_at')
    .where((w) => w.whereNull('api_token.expires_at').orWhere('api_token.expires_at', '>', db.fn.now()))
    .first<(SessionPerson & { scope: TokenScope; token: number; unused: boolean }) | undefined>(
      'person.id',
      'person.name',
      'person.role',
      'api_token.scope',
      { token: 'api_token.id' },
      db.raw(`coalesce(api_token.last_used_at < now() - interval '1 minute', true) as unused`),
    );
  if (!row) return undefined;
  const { scope, token, unused, ...person } = row;
  return { person, scope, id: token, unusedForAMinute: unused };
}

export async function touchToken(db: Db, id: number): Promise<void> {
  await db('api_token').where({ id }).update({ last_used_at: db.fn.now() });
}

/** @param days until it ends; null for one that does not end by itself. @returns its number */
export async function insertApiToken(
  db: Db,
  personId: number,
  label: string,
  tokenHash: Buffer,
  { scope = 'write', days = null }: { scope?: TokenScope; days?: number | null } = {},
): Promise<number> {
  const [row] = await db('api_token')
    .insert({
      person_id: personId,
      label,
      token_hash: tokenHash,
      scope,
      expires_at: days === null ? null : db.raw(`now() + ? * interval '1 day'`, [days]),
    })
    .returning('id');
  return row.id;
}

/** Those of a person that are still good, newest first. */
export async function tokensOf(db: Db, personId: number): Promise<TokenRow[]> {
  return db('api_token')
    .where({ person_id: personId })
    .whereNull('revoked_at')
    .where((w) => w.whereNull('expires_at').orWhere('expires_at', '>', db.fn.now()))
    .orderBy('id', 'desc')
    .limit(100)
    .select('id', 'label', 'scope', 'created_at', 'last_used_at', 'expires_at');
}

/** Revokes one token of a person, or all of them. @returns how many */
export async function revokeTokens(db: Db, personId: number, id?: number): Promise<number> {
  const query = db('api_token').where({ person_id: personId }).whereNull('revoked_at');
  if (id !== undefined) query.where({ id });
  return query.update({ revoked_at: db.fn.now() });
}
