import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';

const REFUSED = new Set(['', 'secret', 'changeme', 'change-me', 'default', 'gritkeeper']);

/**
 * The secret that keys what is stored of sessions and tokens.
 * @throws Error when GRITKEEPER_SECRET is missing, a default, or shorter than 32 characters
 */
export function shopSecret(env: Record<string, string | undefined> = process.env): string {
  const secret = env.GRITKEEPER_SECRET ?? '';
  if (REFUSED.has(secret.toLowerCase()) || secret.length < 32)
    throw new Error(
      'GRITKEEPER_SECRET must be a secret of your own, 32 characters or more (for instance: openssl rand -hex 32).',
    );
  return secret;
}

/** What is kept of a token: its keyed hash, from which it cannot be made again. */
export function tokenHash(token: string): Buffer {
  return createHmac('sha256', shopSecret()).update(`token:${token}`).digest();
}

/** A token of 256 random bits, safe in a cookie and a header. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

function sign(text: string): string {
  return createHmac('sha256', shopSecret()).update(`person:${text}`).digest('base64url');
}

/** Packs what the guard found out, so that nothing behind it can be told otherwise. */
export function seal(value: object): string {
  const text = Buffer.from(JSON.stringify(value)).toString('base64url');
  return `${text}.${sign(text)}`;
}

/** @returns what was sealed, or null when it was not sealed here */
export function unseal<T>(sealed: string | null | undefined): T | null {
  const [text, signature] = (sealed ?? '').split('.');
  if (!text || !signature) return null;
  const expected = Buffer.from(sign(text));
  const given = Buffer.from(signature);
  if (expected.length !== given.length || !timingSafeEqual(expected, given)) return null;
  return JSON.parse(Buffer.from(text, 'base64url').toString()) as T;
}
