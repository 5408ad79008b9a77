import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { shopSecret } from '@/environment';

/** What is kept of a token: its keyed hash, from which it cannot be made again. */
export function tokenHash(token: string): Buffer {
  return createHmac('sha256', shopSecret()).update(`token:${token}`).digest();
}

/** A token of 256 random bits, safe in a cookie and a header. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** A token that the same press makes again: an answer that is lost loses no token, and none is kept in clear. */
export function tokenOfPress(personId: number, key: string): string {
  return createHmac('sha256', shopSecret()).update(`token-of-press:${personId}:${key}`).digest('base64url');
}

function sign(text: string): string {
  return createHmac('sha256', shopSecret()).update(`person:${text}`).digest('base64url');
}

const MARK_BYTES = 16;

/** What tells one body from another, keyed, so that nothing of it can be guessed from what is kept. The order of names is nothing. */
export function bodyMark(body: object): Buffer {
  const text = JSON.stringify(body, (_name, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
  return createHmac('sha256', shopSecret()).update(`body:${text}`).digest().subarray(0, MARK_BYTES);
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
