import { isAdmitted } from '@/shop/access/admit';
import { PERSON_HEADER } from '@/shop/access/guard';
import type { Person } from '@/shop/access/person';
import { unseal } from '@/shop/access/secrets';
import { tellDoor } from '@/shop/access/tellDoor';
import { faultOf } from '@/shop/health/fault';
import { ProblemError } from '@/shop/problem';
import { asWork } from '@/shop/underWay/underWay';
import { addressOf } from './addressOf';
import { isKnownField } from './knownFields';
import { log } from './log';
import { loggedPath } from './loggedPath';

type Handler<C> = (request: Request, context: C) => Promise<Response>;

/** How soon a browser or a program may ask again. */
const AGAIN_S = 2;

/**
 * Wraps a route handler: every write is logged, refusals become problem documents (RFC 9457), faults are logged and say what is
 * known. The work is cancelled when its sender leaves, and bounded per person. What no door let in is not answered.
 */
export function answer<C>(handler: Handler<C>, longestMs?: number): Handler<C> {
  return async (request, context) => {
    if (!isAdmitted(request.headers)) return problemDocument(401, 'Sign in first.');
    const requestId = request.headers.get('x-request-id');
    const started = performance.now();
    const line = () => ({ requestId, method: request.method, path: loggedPath(new URL(request.url).pathname) });
    try {
      const person = unseal<Person>(request.headers.get(PERSON_HEADER));
      const response = await asWork(person?.id ?? null, request.signal, () => handler(request, context), longestMs);
      log[request.method === 'GET' ? 'debug' : 'info'](
        { ...line(), status: response.status, ms: Math.round(performance.now() - started) },
        'done',
      );
      if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'no-store');
      return response;
    } catch (error) {
      if (error instanceof ProblemError) {
        if (error.status === 403) await tellRefused(request);
        // Of what was wrong only where, and only in fields of ours: what stood in them is somebody’s words.
        const fields = error.fields
          .map((f) => f.field)
          .filter(isKnownField)
          .slice(0, 10);
        log.info({ ...line(), status: error.status, fields, problems: error.fields.length }, 'refused');
        return problemResponse(error);
      }
      if (request.signal.aborted) {
        log.info(line(), 'the sender left');
        return problemDocument(499, 'The sender left before the answer.');
      }
      log.error({ ...line(), err: error }, 'failed');
      const sort = faultOf(error);
      if (sort) return problemDocument(sort.status, sort.title, { requestId });
      return problemDocument(
        500,
        'The server failed. Nothing of this was saved; what you typed is still on your screen.',
        { requestId },
      );
    }
  };
}

/** What somebody asked for whose role does not allow it stands in the book of the door; that book never stands in the way. */
async function tellRefused(request: Request): Promise<void> {
  const person = unseal<Person>(request.headers.get(PERSON_HEADER));
  const detail = new URL(request.url).pathname.replace('/api/v1/', '').replace(/\d+/g, '…').slice(0, 200);
  await tellDoor({ what: 'not-allowed', personId: person?.id ?? null, address: addressOf(request), detail }).catch(
    (err: unknown) => log.warn({ err }, 'a refusal could not be written down'),
  );
}

function problemResponse(error: ProblemError): Response {
  return problemDocument(error.status, error.title, { fields: error.fields, ...error.extra });
}

export function problemDocument(status: number, title: string, more: Record<string, unknown> = {}): Response {
  return Response.json(
    { type: 'about:blank', title, status, ...more },
    {
      status,
      headers: {
        'content-type': 'application/problem+json',
        'cache-control': 'no-store',
        ...(status === 503 || status === 429
          ? { 'retry-after': String(typeof more.retryAfterS === 'number' ? more.retryAfterS : AGAIN_S) }
          : {}),
      },
    },
  );
}

/** @throws ProblemError 400 when the body is not JSON */
export async function jsonBody(request: Request): Promise<unknown> {
  try {
    return await request.json();
  } catch {
    throw new ProblemError(400, 'The body is not JSON.');
  }
}
