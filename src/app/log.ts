import pino from 'pino';

/** Structured log of the server; one line per request refused or failed, each with its request id. */
export const log = pino({
  name: 'gritkeeper',
  level: process.env.GRITKEEPER_LOG ?? 'info',
  redact: ['passphrase', 'token', 'authorization', 'cookie'],
});
