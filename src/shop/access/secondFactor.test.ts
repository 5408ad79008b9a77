import { openSealed, sealUp } from './sealed';
import { factorAddress, recoveryCodes, recoveryHash, stepOfCode } from './secondFactor';

/** The secret of the published test vectors. */
const SECRET = Buffer.from('12345678901234567890', 'ascii');

/**
 * RFC 6238, appendix B (SHA-1): the last six of the eight digits there; by RFC 4226 fewer digits are the same number modulo a
 * smaller power of ten. From memory.
 */
test.each([
  [59, '94287082'],
  [1111111109, '07081804'],
  [1111111111, '14050471'],
  [1234567890, '89005924'],
  [2000000000, '69279037'],
  [20000000000, '65353130'],
])('RFC 6238, appendix B: at %d s', (seconds, eight) => {
  const six = eight.slice(2);
  expect(stepOfCode(SECRET, six, seconds * 1000)).toBe(Math.floor(seconds / 30));
  expect(stepOfCode(SECRET, String((Number(six) + 1) % 1e6).padStart(6, '0'), seconds * 1000)).toBeNull();
});

test('a code is taken a step early or late, by the number of its own step, and no further', () => {
  const [at, code] = [1111111109 * 1000, '081804'];
  const step = Math.floor(1111111109 / 30);
  for (const off of [-30_000, 0, 30_000]) expect(stepOfCode(SECRET, code, at + off)).toBe(step);
  for (const off of [-90_000, 90_000]) expect(stepOfCode(SECRET, code, at + off)).toBeNull();
});

test('an authenticator is told issuer, name, period and digits', () => {
  const { uri, letters } = factorAddress(SECRET, 'wren');
  const url = new URL(uri);
  expect([url.protocol, url.host]).toEqual(['otpauth:', 'totp']);
  expect(decodeURIComponent(url.pathname)).toBe('/Grit Keeper:wren');
  // Base 32 of the secret (RFC 4648).
  expect(url.searchParams.get('secret')).toBe('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ');
  expect(letters).toBe('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ');
  expect([url.searchParams.get('period'), url.searchParams.get('digits')]).toEqual(['30', '6']);
});

test('what is kept of a secret cannot be read, nor changed unseen', () => {
  const sealed = sealUp('second factor', SECRET);
  expect(sealed.includes(SECRET)).toBe(false);
  expect(openSealed('second factor', sealed)).toEqual(SECRET);
  // What is sealed for one thing opens nothing else.
  expect(() => openSealed('mail', sealed)).toThrow();
  for (let i = 0; i < sealed.length; i += 7) {
    const changed = Buffer.from(sealed);
    changed[i]! ^= 1;
    expect(() => openSealed('second factor', changed)).toThrow();
  }
});

test('recovery codes: ten different ones, the same again for the same press, read as people write them', () => {
  const key = '6f9d5f7e-6d5c-4a0c-9a53-0d7f3f6f0a11';
  const codes = recoveryCodes(7, key);
  expect(new Set(codes).size).toBe(10);
  expect(recoveryCodes(7, key)).toEqual(codes);
  expect(recoveryCodes(8, key)).not.toEqual(codes);
  const [code] = codes;
  expect(recoveryHash(7, ` ${code!.toUpperCase().replace('-', ' ')} `)).toEqual(recoveryHash(7, code!));
  expect(recoveryHash(8, code!)).not.toEqual(recoveryHash(7, code!));
});
