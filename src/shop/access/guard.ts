import { database } from '@/data/database';
import { personByApiToken, personBySession, touchSession, type SessionPerson } from '@/data/people';
import { tokenHash } from './secrets';

export const SESSION_COOKIE = 'gk_session';
/** Set by the guard for what stands behind it; what a client sends under this name is thrown away. */
export const PERSON_HEADER = 'x-gritkeeper-person';

/** The only doors without a key. */
const OPEN: ReadonlySet<string> = new Set(['/sign-in', '/api/sign-in', '/healthz', '/readyz', '/icon.svg']);

export type Verdict =
  { pass: 'open' } | { pass: 'person'; person: SessionPerson } | { refuse: 401 | 403; because: string };

export interface Knock {
  method: string;
  path: string;
  host: string;
  origin: string | null;
  fetchSite: string | null;
  cookie: string | undefined;
  authorization: string | null;
}

/**
 * Decides about every request, whatever it asks for: the one place where it is decided.
 * A write must come from our own pages, unless it carries a bearer token (which no other site can make a browser send).
 */
export async function guard(knock: Knock): Promise<Verdict> {
  const isWrite = !['GET', 'HEAD', 'OPTIONS'].includes(knock.method);
  const bearer = /^Bearer (\S+)$/.exec(knock.authorization ?? '')?.[1];
  if (bearer !== undefined) {
    if (!knock.path.startsWith('/api/v1/')) return { refuse: 403, because: 'A token opens /api/v1 only.' };
    const person = await personByApiToken(database(), tokenHash(bearer));
    return person ? { pass: 'person', person } : { refuse: 401, because: 'This token is not known or was revoked.' };
  }
  if (isWrite && !isSameOrigin(knock)) return { refuse: 403, because: 'Writes are taken from our own pages only.' };
  if (OPEN.has(knock.path)) return { pass: 'open' };
  if (!knock.cookie) return { refuse: 401, because: 'Sign in first.' };
  const hash = tokenHash(knock.cookie);
  const session = await personBySession(database(), hash);
  // Told to the minute: not every look at a page is a write.
  if (session?.unseenForAMinute) await touchSession(database(), hash);
  return session
    ? { pass: 'person', person: session.person }
    : { refuse: 401, because: 'The session has ended: sign in again.' };
}

function isSameOrigin({ origin, fetchSite, host }: Knock): boolean {
  if (origin !== null) {
    try {
      return new URL(origin).host === host;
    } catch {
      return false;
    }
  }
  return fetchSite === 'same-origin';
}
