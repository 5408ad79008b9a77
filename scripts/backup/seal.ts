import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';
import { createReadStream, createWriteStream, openSync, readSync, closeSync, statSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { Transform } from 'node:stream';

/**
 * A sealed backup, from its first byte: the 16 letters `gritkeeper-seal1`, 16 bytes of salt, 12 bytes of nonce, the backup
 * enciphered with AES-256-GCM (NIST SP 800-38D) under scrypt (RFC 7914) of the passphrase and the salt (N 2^17, r 8, p 1), and
 * the 16 bytes of its tag. Salt and nonce are authenticated with it.
 */
const MAGIC = Buffer.from('gritkeeper-seal1');
const SALT = 16;
const NONCE = 12;
const TAG = 16;
const HEAD = MAGIC.length + SALT + NONCE;
const SCRYPT = { N: 2 ** 17, r: 8, p: 1, maxmem: 256 * 2 ** 20 };
/** Nobody else on the machine reads a backup. */
const OWN = 0o600;

const keyOf = (passphrase: string, salt: Buffer) => scryptSync(passphrase.normalize('NFC'), salt, 32, SCRYPT);

/** Whether a file is a sealed backup. */
export function isSealed(file: string): boolean {
  const head = Buffer.alloc(MAGIC.length);
  const handle = openSync(file, 'r');
  try {
    readSync(handle, head, 0, head.length, 0);
  } finally {
    closeSync(handle);
  }
  return head.equals(MAGIC);
}

/** Seals a file into another, which must not be there. */
export async function seal(from: string, to: string, passphrase: string): Promise<void> {
  const [salt, nonce] = [randomBytes(SALT), randomBytes(NONCE)];
  const cipher = createCipheriv('aes-256-gcm', keyOf(passphrase, salt), nonce);
  const head = Buffer.concat([MAGIC, salt, nonce]);
  cipher.setAAD(head);
  let isFirst = true;
  const framed = new Transform({
    transform(piece: Buffer, _encoding, done) {
      if (isFirst) this.push(head);
      isFirst = false;
      done(null, piece);
    },
    flush(done) {
      if (isFirst) this.push(head);
      this.push(cipher.getAuthTag());
      done();
    },
  });
  await pipeline(createReadStream(from), cipher, framed, createWriteStream(to, { flags: 'wx', mode: OWN }));
}

/**
 * Opens a sealed file into another, which must not be there; what was written is only to be used when this ends well.
 * @throws Error for another passphrase, or a file that was changed
 */
export async function open(from: string, to: string, passphrase: string): Promise<void> {
  const size = statSync(from).size;
  if (size < HEAD + TAG || !isSealed(from)) throw new Error('This is no sealed backup.');
  const head = Buffer.alloc(HEAD);
  const tag = Buffer.alloc(TAG);
  const handle = openSync(from, 'r');
  try {
    readSync(handle, head, 0, HEAD, 0);
    readSync(handle, tag, 0, TAG, size - TAG);
  } finally {
    closeSync(handle);
  }
  const salt = head.subarray(MAGIC.length, MAGIC.length + SALT);
  const decipher = createDecipheriv('aes-256-gcm', keyOf(passphrase, salt), head.subarray(MAGIC.length + SALT));
  decipher.setAAD(head);
  decipher.setAuthTag(tag);
  const body = createReadStream(from, { start: HEAD, end: size - TAG - 1 });
  try {
    await pipeline(body, decipher, createWriteStream(to, { flags: 'wx', mode: OWN }));
  } catch (error) {
    if (/unable to authenticate|Unsupported state/i.test((error as Error).message))
      throw new Error('The passphrase is another, or the file was changed.');
    throw error;
  }
}
