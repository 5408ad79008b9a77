import { ProblemError } from '@/shop/problem';
import { faultOf } from '@/shop/health/fault';
import { log } from './log';

type Handler<C> = (request: Request, context: C) => Promise<Response>;

/** Wraps a route handler: every write is logged, refusals become problem documents (RFC 9457), faults are logged and say what is known. */
export function answer<C>(handler: Handler<C>): Handler<C> {
  return async (request, context) => {
    const requestId = request.headers.get('x-request-id');
    const started = performance.now();
    try {
      const response = await handler(request, context);
      const line = {
        requestId,
        method: request.method,
        url: request.url,
        status: response.status,
        ms: Math.round(performance.now() - started),
      };
      log[request.method === 'GET' ? 'debug' : 'info'](line, 'done');
      return response;
    } catch (error) {
      if (error instanceof ProblemError) {
        log.info({ requestId, status: error.status, title: error.title, fields: error.fields }, 'refused');
        return problemResponse(error);
      }
      log.error({ requestId, err: error, url: request.url, method: request.method }, 'failed');
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

function problemResponse(error: ProblemError): Response {
  return problemDocument(error.status, error.title, { fields: error.fields, ...error.extra });
}

export function problemDocument(status: number, title: string, more: Record<string, unknown> = {}): Response {
  return Response.json(
    { type: 'about:blank', title, status, ...more },
    { status, headers: { 'content-type': 'application/problem+json' } },
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
