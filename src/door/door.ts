import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import next from 'next';
import { checkEnvironment, listenAt, trustedProxies } from '../environment';
import { closing } from '../shop/live/closing';
import { originOf } from './forwarded';
import { honestStatus } from './honestStatus';
import { isService } from './isService';
import { forgetClaims, letIn } from './letIn';
import { complain } from './complain';
import { bodyArrived, fitsInHand } from './bodyArrived';
import { turnstile } from './turnstile';
import { refusedAtDoor, type Refusal } from './atTheDoor';

/** Told to whoever keeps the server running: nothing is gained by starting again on this. */
const WRONG_ENVIRONMENT = 78;
/** A proxy in front keeps its idle lines for a minute: the server must not be the one who hangs up first. */
const KEEP_ALIVE_MS = 75_000;
const HEADERS_MS = 15_000;
/** A photograph from a phone at the edge of the network. */
const REQUEST_MS = 120_000;
const LARGEST_HEADERS_BYTES = 16_384;
/** So long is waited for what runs when the server is to end; who asked for the end waits ten seconds. */
const PATIENCE_MS = 8000;
const HEARTBEAT_MS = 2000;
const DRAIN_MS = 1000;

try {
  checkEnvironment();
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exit(WRONG_ENVIRONMENT);
}
const { host, port } = listenAt();
const proxies = trustedProxies();
const app = next({ dev: false, dir: process.cwd(), hostname: host, port });
await app.prepare();
const handle = app.getRequestHandler();

/** Who asks first whether a body is wanted is told before one byte of it is sent. */
function receive(request: IncomingMessage, response: ServerResponse, asksFirst: boolean): void {
  const refusal = refusedAtDoor({
    method: request.method ?? '',
    url: request.url ?? '',
    contentLength: request.headers['content-length'],
    transferEncoding: request.headers['transfer-encoding'],
    carriesKey: Boolean(request.headers.authorization ?? request.headers.cookie?.includes('gk_session=')),
  });
  if (refusal) return turnAway(request, response, refusal);
  tellOrigin(request);
  forgetClaims(request);
  honestStatus(response);
  if (asksFirst) response.writeContinue();
  const done = UNCOUNTED.test(request.url ?? '') ? work(request, response) : inTurn(request, response);
  done.catch((error: unknown) => failed(error, response));
}

/** A fault of the framework itself: told, and the line is cut, so that nobody waits for an answer that does not come. */
function failed(error: unknown, response: ServerResponse): void {
  complain(error);
  response.destroy();
}

/** What asks for nothing, and what stays open by its nature. */
const UNCOUNTED = /^\/(_next\/static\/.*|(healthz|readyz|api\/v1\/live)(\?.*)?)$/;
const LONGEST_WAIT_MS = 20_000;
/** More than the connections to the database can serve at once only wait for each other; one person has two thirds of them. */
const stile = turnstile({
  atOnce: 24,
  waiting: 200,
  ofOne: { atOnce: 16, waiting: 100 },
  longestMs: LONGEST_WAIT_MS,
});
/** Files come slowly by their nature: they have turns of their own, so that nobody who sends one holds a page up. */
const uploads = turnstile({ atOnce: 8, waiting: 40, ofOne: { atOnce: 4, waiting: 20 }, longestMs: LONGEST_WAIT_MS });
/** Nobody holds a turn for longer, however slowly an answer is taken away. */
const LONGEST_TURN_MS = 10_000;
/** What is typed by hand arrives in one breath. */
const LONGEST_BODY_MS = 10_000;

/**
 * Waits for a turn, then has the request worked on. A small body must be there first: whoever announces one and sends nothing
 * waits outside and holds nobody up.
 */
async function inTurn(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const isSmall = fitsInHand(request);
  if (isSmall && !(await bodyArrived(request, LONGEST_BODY_MS)))
    return turnAway(request, response, { status: 408, title: 'The body did not come.' });
  const leave = isSmall ? await stile.enter(keyOf(request)) : await uploads.enter(addressOf(request));
  if (leave === null)
    return turnAway(request, response, { status: 503, title: 'Too many ask at once: try again in a moment.' });
  response.once('close', leave);
  if (isSmall) setTimeout(leave, LONGEST_TURN_MS).unref();
  // Whoever left while waiting is not answered.
  if (request.socket.destroyed) leave();
  else await work(request, response);
}

/** The service is let in here; the pages have a door of their own behind this one, for they need its nonce. */
async function work(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const url = request.url ?? '';
  const refusal = isService(url) ? await letIn(request, response, url.split('?', 1)[0]!) : null;
  if (refusal) turnAway(request, response, refusal);
  else await handle(request, response);
}

const addressOf = (request: IncomingMessage) => String(request.headers['x-forwarded-for']);

/** Whose request it is: by the key it carries, true or not, else by its address. A key costs nothing, an address does. */
function keyOf(request: IncomingMessage): string {
  const { authorization, cookie } = request.headers;
  return authorization ?? /(?:^|; )gk_session=([^;]+)/.exec(cookie ?? '')?.[1] ?? addressOf(request);
}

const SAID = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-forwarded-port', 'x-real-ip'];

/** What stands behind the door reads these headers and need not ask who wrote them. */
function tellOrigin(request: IncomingMessage): void {
  const { headers } = request;
  const { address, host, scheme } = originOf(headers, request.socket.remoteAddress ?? '', proxies);
  for (const name of SAID) delete headers[name];
  headers.host = host;
  headers['x-forwarded-for'] = address;
  headers['x-forwarded-host'] = host;
  headers['x-forwarded-proto'] = scheme;
}

const server = createServer({ maxHeaderSize: LARGEST_HEADERS_BYTES }, (request, response) =>
  receive(request, response, false),
);
server.on('checkContinue', (request, response) => receive(request, response, true));
server.keepAliveTimeout = KEEP_ALIVE_MS;
server.headersTimeout = HEADERS_MS;
server.requestTimeout = REQUEST_MS;
server.listen(port, host);

/**
 * Answers without reading. What is still on its way is thrown away for a moment: a line that is cut under a sender takes the
 * answer with it.
 */
function turnAway(request: IncomingMessage, response: ServerResponse, { status, title }: Refusal): void {
  const body = Buffer.from(JSON.stringify({ type: 'about:blank', title, status }));
  response.writeHead(status, {
    'content-type': 'application/problem+json',
    'content-length': body.length,
    'x-content-type-options': 'nosniff',
    ...(response.hasHeader('content-security-policy')
      ? {}
      : { 'content-security-policy': "default-src 'none'; frame-ancestors 'none'" }),
    'cache-control': 'no-store',
    ...(status === 405 ? { allow: 'GET, HEAD, POST, PUT, DELETE' } : {}),
    ...(status === 503 ? { 'retry-after': '2' } : {}),
    connection: 'close',
  });
  response.write(body);
  const finish = () => response.end(() => request.socket.destroySoon());
  const late = setTimeout(finish, DRAIN_MS);
  request.once('close', () => clearTimeout(late));
  request.once('end', finish);
  request.resume();
}

let ending = false;
/** Nobody new is let in, live streams end, what runs is finished. */
function end(): void {
  if (ending) return;
  ending = true;
  closing().abort();
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  const idle = setInterval(() => server.closeIdleConnections(), 200);
  idle.unref();
  setTimeout(() => process.exit(0), PATIENCE_MS).unref();
}
process.on('SIGTERM', end);
process.on('SIGINT', end);
// Whoever keeps this server running is gone: nobody would start it again, nobody would stop it.
process.on('disconnect', end);
if (process.send) setInterval(() => process.connected && process.send!('here'), HEARTBEAT_MS).unref();
