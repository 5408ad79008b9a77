import { randomBytes, randomUUID } from 'node:crypto';
import { NextResponse, type NextRequest } from 'next/server';
import { problemDocument } from './app/answer';
import { log } from './app/log';
import { loggedPath } from './app/loggedPath';
import { admit, PASSES, type Admission } from './shop/access/admit';
import { SESSION_COOKIE } from './shop/access/guard';
import { contentSecurityPolicy, securityHeaders } from './shop/access/securityHeaders';

/** Every page comes through here: not the bundler's own hashed files, nor the service, which the server's own door lets in. */
export const config = { matcher: ['/((?!_next/static/|api/).*)'] };

/** The door of the pages: who may enter, the security headers, the request id. */
export async function proxy(request: NextRequest): Promise<Response> {
  const requestId = randomUUID();
  const nonce = randomBytes(16).toString('base64');
  const policy = contentSecurityPolicy(nonce);
  const { pathname, search } = request.nextUrl;
  let admission: Admission;
  try {
    admission = await admit({
      method: request.method,
      path: pathname,
      host: request.headers.get('x-forwarded-host') ?? request.headers.get('host') ?? '',
      origin: request.headers.get('origin'),
      fetchSite: request.headers.get('sec-fetch-site'),
      cookie: request.cookies.get(SESSION_COOKIE)?.value,
      authorization: request.headers.get('authorization'),
    });
  } catch (err) {
    log.error({ requestId, err, path: loggedPath(pathname) }, 'guard failed');
    return secured(databaseAway(nonce), policy, requestId, isTls(request));
  }
  if ('refuse' in admission) {
    const response =
      request.method === 'GET'
        ? NextResponse.redirect(
            new URL(
              `/${admission.refuse === 423 ? 'locked' : 'sign-in'}${pathname === '/' ? '' : `?next=${encodeURIComponent(pathname + search)}`}`,
              here(request),
            ),
          )
        : problemDocument(admission.refuse, admission.because);
    return secured(response, policy, requestId, isTls(request));
  }
  const headers = new Headers(request.headers);
  for (const name of PASSES) headers.delete(name);
  for (const [name, value] of Object.entries(admission.headers)) headers.set(name, value);
  headers.set('x-request-id', requestId);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  return secured(NextResponse.next({ request: { headers } }), policy, requestId, isTls(request));
}

/** Told by a proxy that the door trusts; nobody else’s word is left in the headers by then. */
const isTls = (request: NextRequest) => request.headers.get('x-forwarded-proto') === 'https';

/** The address that the browser used: behind the server's own host name it would be another origin. */
function here(request: NextRequest): string {
  const host = request.headers.get('x-forwarded-host') ?? request.headers.get('host');
  const scheme = request.headers.get('x-forwarded-proto') ?? 'http';
  return host ? `${scheme}://${host}` : request.nextUrl.origin;
}

function databaseAway(nonce: string): Response {
  const title = 'The database does not answer. Nothing was saved; this page comes back by itself.';
  const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta http-equiv="refresh" content="5"><title>Away · Grit Keeper</title><style nonce="${nonce}">body{font:18px/1.5 sans-serif;background:#f3ede1;color:#1e1b17;display:grid;place-content:center;min-height:90vh;margin:0 24px}main{border-left:6px solid #c59a3d;padding-left:20px;max-width:34em}h1{font-size:22px}@media (prefers-color-scheme:dark){body{background:#181512;color:#efe6d6}}</style></head><body><main><h1>The shop’s book is away</h1><p>${title}</p><p>What you had typed is kept in this browser. If this lasts, whoever keeps the server should look whether PostgreSQL runs.</p></main></body></html>`;
  return new Response(html, {
    status: 503,
    headers: { 'content-type': 'text/html; charset=utf-8', 'retry-after': '5' },
  });
}

function secured(response: Response, policy: string, requestId: string, tls = false): Response {
  for (const [name, value] of Object.entries(securityHeaders(policy, requestId, tls)))
    response.headers.set(name, value);
  return response;
}
