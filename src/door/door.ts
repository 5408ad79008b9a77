import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import next from 'next';
import { checkEnvironment, listenAt } from '../environment';
import { closing } from '../shop/live/closing';
import { refusedAtDoor } from './atTheDoor';

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

try {
  checkEnvironment();
} catch (error) {
  console.error((error as Error).message);
  process.exit(WRONG_ENVIRONMENT);
}
const { host, port } = listenAt();
const app = next({ dev: false, dir: process.cwd(), hostname: host, port });
await app.prepare();
const handle = app.getRequestHandler();

const server = createServer({ maxHeaderSize: LARGEST_HEADERS_BYTES }, (request, response) => {
  const refusal = refusedAtDoor({
    method: request.method ?? '',
    url: request.url ?? '',
    contentLength: request.headers['content-length'],
    transferEncoding: request.headers['transfer-encoding'],
    carriesKey: Boolean(request.headers.authorization ?? request.headers.cookie?.includes('gk_session=')),
  });
  if (refusal) turnAway(request, response, refusal);
  else void handle(request, response);
});
server.keepAliveTimeout = KEEP_ALIVE_MS;
server.headersTimeout = HEADERS_MS;
server.requestTimeout = REQUEST_MS;
server.listen(port, host);

/** Answers without reading: the line is closed, as what is still to come on it is not wanted. */
function turnAway(
  request: IncomingMessage,
  response: ServerResponse,
  { status, title }: { status: number; title: string },
) {
  response.writeHead(status, {
    'content-type': 'application/problem+json',
    'x-content-type-options': 'nosniff',
    'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
    ...(status === 405 ? { allow: 'GET, HEAD, POST, PUT, DELETE' } : {}),
    connection: 'close',
  });
  response.end(JSON.stringify({ type: 'about:blank', title, status }));
  request.unpipe();
  // Some browsers show the answer only when the line ends in order: what is on its way is thrown away for a moment.
  request.resume();
  setTimeout(() => request.socket.destroy(), 1000).unref();
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
