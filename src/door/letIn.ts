import { randomBytes, randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { admit, PASSES } from '../shop/access/admit';
import { SESSION_COOKIE } from '../shop/access/guard';
import { contentSecurityPolicy, securityHeaders } from '../shop/access/securityHeaders';
import type { Refusal } from './atTheDoor';
import { complain } from './complain';

const COOKIE = new RegExp(`(?:^|; *)${SESSION_COOKIE}=([^;]*)`);

const one = (value: string | string[] | undefined) => (Array.isArray(value) ? value.join(',') : value) ?? null;

/** Nobody says of themselves who they are: only what a door of ours writes under these names counts. */
export function forgetClaims({ headers }: IncomingMessage): void {
  for (const name of PASSES) delete headers[name];
}

/**
 * Who may enter the service, with the security headers and the id of the request; what is found out is sealed into the request.
 * @param path as it was asked for, without its query
 * @returns why not; null for whoever is let in
 */
export async function letIn(request: IncomingMessage, response: ServerResponse, path: string): Promise<Refusal | null> {
  const { headers } = request;
  const requestId = randomUUID();
  const policy = contentSecurityPolicy(randomBytes(16).toString('base64'));
  const isTls = headers['x-forwarded-proto'] === 'https';
  for (const [name, value] of Object.entries(securityHeaders(policy, requestId, isTls)))
    response.setHeader(name, value);
  headers['x-request-id'] = requestId;
  try {
    const admission = await admit({
      method: request.method ?? '',
      path,
      host: one(headers['x-forwarded-host']) ?? headers.host ?? '',
      origin: one(headers.origin),
      fetchSite: one(headers['sec-fetch-site']),
      cookie: COOKIE.exec(headers.cookie ?? '')?.[1],
      authorization: headers.authorization ?? null,
    });
    if ('refuse' in admission) return { status: admission.refuse, title: admission.because };
    Object.assign(headers, admission.headers);
    return null;
  } catch (error) {
    complain(error, { requestId, msg: 'guard failed' });
    return { status: 503, title: AWAY };
  }
}

const AWAY = 'The database does not answer. Nothing was saved; this page comes back by itself.';
