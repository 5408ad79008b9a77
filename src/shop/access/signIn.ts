import { hash, verify } from '@node-rs/argon2';
import { database } from '@/data/database';
import {
  clearFailedSignIns,
  deleteSession,
  failedSignIns,
  insertFailedSignIn,
  insertSession,
  personBySignIn,
} from '@/data/people';
import { ProblemError } from '../problem';
import type { SignInDto } from './dto';
import { newToken, tokenHash } from './secrets';

const WINDOW_MINUTES = 15;
const MOST_BY_NAME = 8;
const MOST_BY_ADDRESS = 60;
export const SESSION_DAYS = 14;

/** argon2id with the package's defaults (19 MiB, 2 passes), as OWASP's cheat sheet asks: from memory. */
export function hashPassphrase(passphrase: string): Promise<string> {
  return hash(passphrase);
}

let decoy: Promise<string> | null = null;

/**
 * Opens a session.
 * @throws ProblemError 400 for a wrong name or passphrase (not said which), 429 after too many wrong ones
 */
export async function signIn(dto: SignInDto, from: { address: string; agent: string }) {
  const db = database();
  const failed = await failedSignIns(db, dto.signIn, from.address, WINDOW_MINUTES);
  if (failed.byName >= MOST_BY_NAME || failed.byAddress >= MOST_BY_ADDRESS)
    throw new ProblemError(429, `Too many wrong tries. Wait ${WINDOW_MINUTES} minutes, then try again.`);
  const person = await personBySignIn(db, dto.signIn);
  // A name that is not known takes as long as one that is.
  decoy ??= hashPassphrase(newToken());
  const right = await verify(person?.passphrase_hash ?? (await decoy), dto.passphrase);
  if (!person || !right || person.locked_at) {
    await insertFailedSignIn(db, dto.signIn, from.address);
    throw new ProblemError(400, 'Name or passphrase is wrong.', [
      { field: 'passphrase', message: 'Name or passphrase is wrong.' },
    ]);
  }
  await clearFailedSignIns(db, dto.signIn);
  const token = newToken();
  await insertSession(db, person.id, tokenHash(token), from.agent.slice(0, 300), SESSION_DAYS);
  return { token };
}

export async function signOut(token: string): Promise<void> {
  await deleteSession(database(), tokenHash(token));
}
