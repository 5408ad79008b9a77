import { createHmac, randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import type { Db } from '@/data/database';
import { secondFactorOf, takeRecoveryCode, takeStep } from '@/data/doorKeys';
import { shopSecret } from '@/environment';
import { openSealed } from './sealed';

const ISSUER = 'Grit Keeper';
const STEP_S = 30;
const SECRET_BYTES = 20;
/** The step before and after are taken too: clocks differ, and fingers are slow (RFC 6238, section 5.2). */
const WINDOW = 1;
const CODES = 10;

function totp(secret: Buffer, label = ''): TOTP {
  const bytes = new Uint8Array(secret).buffer;
  return new TOTP({ issuer: ISSUER, label, secret: new Secret({ buffer: bytes }), period: STEP_S, digits: 6 });
}

export function newFactor(): Buffer {
  return randomBytes(SECRET_BYTES);
}

/** The address that an authenticator reads from a square code, and the secret in letters for one that has no camera. */
export function factorAddress(secret: Buffer, signIn: string): { uri: string; letters: string } {
  const made = totp(secret, signIn);
  return { uri: made.toString(), letters: made.secret.base32 };
}

/**
 * The step of a code: time-based one-time password as RFC 6238 has it, HMAC-SHA-1, 30 s, six digits.
 * @param atMs milliseconds since 1970
 * @returns null when it is no code of now, or of a step before or after
 */
export function stepOfCode(secret: Buffer, code: string, atMs: number): number | null {
  const delta = totp(secret).validate({ token: code, timestamp: atMs, window: WINDOW });
  return delta === null ? null : Math.floor(atMs / 1000 / STEP_S) + delta;
}

/** Recovery codes of a person: ten, each good once. The same key gives the same ones, so that a lost answer loses none. */
export function recoveryCodes(personId: number, key: string): string[] {
  return Array.from({ length: CODES }, (_, i) => {
    const made = createHmac('sha256', shopSecret()).update(`recovery:${personId}:${key}:${i}`).digest('hex');
    return `${made.slice(0, 5)}-${made.slice(5, 10)}`;
  });
}

/** What is kept of a recovery code. Spaces and capitals are nothing: it is read from paper. */
export function recoveryHash(personId: number, code: string): Buffer {
  const plain = code.toLowerCase().replace(/[^0-9a-f]/g, '');
  return createHmac('sha256', shopSecret()).update(`recovery-code:${personId}:${plain}`).digest();
}

export type Second = 'not-asked' | 'missing' | 'wrong' | 'code' | 'recovery';

/** Whether a person shows their second factor: six digits of now, or a recovery code; each is good once. */
export async function showsSecond(db: Db, personId: number, code: string | undefined): Promise<Second> {
  const factor = await secondFactorOf(db, personId);
  if (!factor?.confirmed_at) return 'not-asked';
  const given = (code ?? '').replace(/\s/g, '');
  if (given === '') return 'missing';
  if (/^\d{6}$/.test(given)) {
    const step = stepOfCode(openSealed('second factor', factor.sealed), given, Date.now());
    return step !== null && (await takeStep(db, personId, step)) ? 'code' : 'wrong';
  }
  return (await takeRecoveryCode(db, personId, recoveryHash(personId, given))) ? 'recovery' : 'wrong';
}
