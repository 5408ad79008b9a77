import { database } from '@/data/database';
import { personBySession, touchSession } from '@/data/people';
import { personByApiToken, touchToken } from '@/data/tokens';
import type { Person } from './person';
import { tokenHash } from './secrets';

export const SESSION_COOKIE = 'gk_session';
/** What a browser is known by that has signed in before. */
export const BROWSER_COOKIE = 'gk_browser';
/** Set by the guard for what stands behind it; what a client sends under this name is thrown away. */
export const PERSON_HEADER = 'x-gritkeeper-person';

/** The only doors without a key. */
const OPEN: ReadonlySet<string> = new Set(['/sign-in', '/api/sign-in', '/healthz', '/readyz', '/icon.svg']);

/** The owner’s page of one job, and a calendar: the token is the key, and is judged behind the door. */
const BY_LINK = /^\/((api\/)?o\/[A-Za-z0-9_-]{1,100}(\/photographs\/\d{1,9})?|cal\/[A-Za-z0-9_-]{1,100}\.ics)$/;

/** What a locked screen may still do: be unlocked by the same person, or be left. */
const WHILE_LOCKED: ReadonlySet<string> = new Set(['/locked', '/api/v1/me/unlock', '/api/sign-out']);
/** Reckoned and stored nowhere: a token that may only read may ask for it. */
const RECKONED = /^\/api\/v1\/(finding|parts\/match|gauges\/(?!usual$)[^/]+)$/;

export type Verdict =
  { pass: 'open' } | { pass: 'person'; person: Person } | { refuse: 401 | 403 | 423; because: string };

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
    const known = await personByApiToken(database(), tokenHash(bearer));
    if (!known) return { refuse: 401, because: 'This token is not known, has ended or was revoked.' };
    if (known.scope === 'read' && isWrite && !RECKONED.test(knock.path))
      return { refuse: 403, because: 'This token may only read.' };
    if (known.unusedForAMinute) await touchToken(database(), known.id);
    return { pass: 'person', person: known.person };
  }
  if (isWrite && !isSameOrigin(knock)) return { refuse: 403, because: 'Writes are taken from our own pages only.' };
  if (OPEN.has(knock.path) || BY_LINK.test(knock.path)) return { pass: 'open' };
  if (!knock.cookie) return { refuse: 401, because: 'Sign in first.' };
  const hash = tokenHash(knock.cookie);
  const session = await personBySession(database(), hash);
  // Told to the minute: not every look at a page is a write.
  if (session?.unseenForAMinute) await touchSession(database(), hash);
  if (!session) return { refuse: 401, because: 'The session has ended: sign in again.' };
  if (session.locked && !WHILE_LOCKED.has(knock.path))
    return { refuse: 423, because: 'The screen is locked: give the passphrase.' };
  return { pass: 'person', person: { ...session.person, session: session.session } };
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
