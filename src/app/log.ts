import pino from 'pino';
import { logLevel } from '@/environment';
import { plainError } from './plainError';

/**
 * Structured log of the server; one line per request refused or failed, each with its request id. Nothing that a person typed
 * goes into it: no bodies, no queries, no values of rows.
 */
export const log = pino({
  name: 'gritkeeper',
  level: logLevel(),
  redact: ['passphrase', 'token', 'authorization', 'cookie', '*.passphrase', '*.token', '*.authorization', '*.cookie'],
  serializers: { err: plainError },
});
