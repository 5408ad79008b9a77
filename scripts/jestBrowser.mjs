// What a browser has and jsdom does not: taken from Node.js, for tests of screens.
import { webcrypto } from 'node:crypto';
import { TextDecoder, TextEncoder } from 'node:util';

globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
globalThis.setImmediate ??= (work, ...args) => setTimeout(work, 0, ...args);
if (!globalThis.crypto?.randomUUID) Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
// What a heavy gauge asks after a breath, on a slow machine before its test is over: no test of a screen waits for its answer.
globalThis.Worker ??= class {
  postMessage() {}
  terminate() {}
};
