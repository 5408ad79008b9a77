// What a browser has and jsdom does not: taken from Node.js, for tests of screens.
const { webcrypto } = require('node:crypto');
const { TextDecoder, TextEncoder } = require('node:util');

globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
globalThis.setImmediate ??= (work, ...args) => setTimeout(work, 0, ...args);
if (!globalThis.crypto?.randomUUID) Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
