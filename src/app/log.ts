import pino from 'pino';
import { logLevel } from '@/environment';

/** Structured log of the server; one line per request refused or failed, each with its request id. */
export const log = pino({
  name: 'gritkeeper',
  level: logLevel(),
  redact: ['passphrase', 'token', 'authorization', 'cookie'],
});
