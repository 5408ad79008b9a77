import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto';
import { shopSecret } from '@/environment';

/** What is sealed: each has a key of its own, made from the shop’s secret (HKDF, RFC 5869). */
type Sealed = 'second factor' | 'mail';

const keyOf = (what: Sealed) => Buffer.from(hkdfSync('sha256', shopSecret(), '', what, 32));

/** AES-256-GCM: 12 bytes of nonce, 16 of tag, then what was sealed. */
export function sealUp(what: Sealed, secret: Buffer): Buffer {
  const nonce = randomBytes(12);
  const cipher = createCipheriv('aes-256-gcm', keyOf(what), nonce);
  const sealed = Buffer.concat([cipher.update(secret), cipher.final()]);
  return Buffer.concat([nonce, cipher.getAuthTag(), sealed]);
}

/** @throws Error when it was sealed with another secret, for something else, or changed */
export function openSealed(what: Sealed, sealed: Buffer): Buffer {
  const decipher = createDecipheriv('aes-256-gcm', keyOf(what), sealed.subarray(0, 12));
  decipher.setAuthTag(sealed.subarray(12, 28));
  return Buffer.concat([decipher.update(sealed.subarray(28)), decipher.final()]);
}
