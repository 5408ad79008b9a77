import { hash, verify } from '@node-rs/argon2';
import pLimit from 'p-limit';
import { ProblemError } from '../problem';

/** Each takes 19 MiB and a core for a moment: so many at once, the others wait, and no more than these wait. */
const AT_ONCE = 2;
const MOST_WAITING = 30;

const limit = pLimit(AT_ONCE);

function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (limit.pendingCount >= MOST_WAITING)
    throw new ProblemError(503, 'Too many are at the door just now: try again in a moment.');
  return limit(work);
}

/** argon2id with the package's defaults (19 MiB, 2 passes), as OWASP's cheat sheet asks: from memory. @throws ProblemError 503 */
export async function hashPassphrase(passphrase: string): Promise<string> {
  return inTurn(() => hash(passphrase));
}

/** @throws ProblemError 503 when too many wait already */
export async function isPassphrase(hashed: string, passphrase: string): Promise<boolean> {
  return inTurn(() => verify(hashed, passphrase));
}
