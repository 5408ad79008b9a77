import { database, type Db } from '@/data/database';
import { insertDoorEvent } from '@/data/doorEvents';
import { forgiveTries, insertBrowser, knowsBrowser, type Try } from '@/data/doorKeys';
import { deleteSession, insertSession, personBySession, personBySignIn, type PersonRow } from '@/data/people';
import { tellDoor } from './tellDoor';
import { ProblemError } from '../problem';
import type { SignInDto } from './dto';
import { hashPassphrase, isPassphrase } from './passphrases';
import { showsSecond } from './secondFactor';
import { newToken, tokenHash } from './secrets';
import { countTry } from './throttle';

export const SESSION_DAYS = 14;

/** Where a try comes from. */
export interface From {
  address: string;
  agent: string;
  /** What this browser was given when it signed in before. */
  browser?: string | undefined;
}

const A_TOKEN = /^[\w-]{43}$/;

let decoy: Promise<string> | null = null;

/**
 * Opens a session.
 * @returns its token, and what the browser keeps to be known by
 * @throws ProblemError 400 for a wrong name or passphrase (not said which), or at `code` when a second factor is asked for; 429
 * after too many wrong ones; 503 when too many are at the door
 */
export async function signIn(dto: SignInDto, from: From): Promise<{ token: string; browser: string }> {
  const db = database();
  const person = await personBySignIn(db, dto.signIn);
  const one: Try = {
    signIn: dto.signIn,
    address: from.address.slice(0, 80),
    browser: await browserOf(db, person, from.browser),
  };
  const tell = (what: string, detail = '') =>
    insertDoorEvent(db, {
      what,
      personId: person?.id ?? null,
      ...(person ? {} : { signIn: dto.signIn }),
      address: one.address,
      detail,
    });
  const number = await countTry(db, one).catch(async (error: unknown) => {
    const { signIn: name, address } = one;
    await tellDoor({ what: 'turned-away', personId: person?.id ?? null, signIn: person ? '' : name, address });
    throw error;
  });
  // A name that is not known takes as long as one that is.
  decoy ??= hashPassphrase(newToken());
  const right = await isPassphrase(person?.passphrase_hash ?? (await decoy), dto.passphrase);
  if (!person || !right || person.locked_at) {
    await tell('refused', person?.locked_at ? 'locked' : 'name or passphrase');
    throw new ProblemError(400, 'Name or passphrase is wrong.', [
      { field: 'passphrase', message: 'Name or passphrase is wrong.' },
    ]);
  }
  const second = await showsSecond(db, person.id, dto.code);
  if (second === 'missing')
    throw new ProblemError(400, 'And the code of your authenticator.', [
      { field: 'code', message: 'Its six digits, or one of your recovery codes.' },
    ]);
  if (second === 'wrong') {
    await tell('refused', 'second factor');
    throw new ProblemError(400, 'The code is wrong, or was used already.', [
      { field: 'code', message: 'Wait for the next code, or take a recovery code that you have not used.' },
    ]);
  }
  await forgiveTries(db, number, one);
  const token = newToken();
  await insertSession(db, person.id, tokenHash(token), from.agent.slice(0, 300), SESSION_DAYS);
  const browser = from.browser && A_TOKEN.test(from.browser) ? from.browser : newToken();
  await insertBrowser(db, person.id, tokenHash(browser));
  await tell('signed-in', second === 'recovery' ? 'with a recovery code' : second === 'code' ? 'with a code' : '');
  return { token, browser };
}

/** The mark of a browser that has signed in as this person before. */
async function browserOf(db: Db, person: PersonRow | undefined, browser: string | undefined): Promise<Buffer | null> {
  if (!person || !browser) return null;
  const hash = tokenHash(browser);
  return (await knowsBrowser(db, person.id, hash)) ? hash : null;
}

export async function signOut(token: string): Promise<void> {
  const db = database();
  const session = await personBySession(db, tokenHash(token));
  await deleteSession(db, tokenHash(token));
  if (session) await insertDoorEvent(db, { what: 'signed-out', personId: session.person.id });
}
