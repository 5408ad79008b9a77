import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { rememberPageFault } from '../shop/doors/pageFaults';
import { honestStatus } from './honestStatus';

/** A page that breaks: the framework remembers why, and sends 500 in the way it does, with or without naming the status itself. */
async function answerOf(fault: number | null, more: { id?: string; status?: number; names?: boolean } = {}) {
  const { id = 'a page', status = 500, names = false } = more;
  const server = createServer((_request, response) => {
    honestStatus(response);
    if (fault !== null) rememberPageFault(id, fault);
    response.setHeader('x-request-id', 'a page');
    response.statusCode = status;
    if (names) response.writeHead(status, { 'x-more': 'kept' });
    response.end('the page');
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const answer = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
  const words = await answer.text();
  server.close();
  return { status: answer.status, again: answer.headers.get('retry-after'), more: answer.headers.get('x-more'), words };
}

test('a page that found no hand of the database free says to come again, not that the server is broken', async () => {
  expect(await answerOf(503)).toEqual({ status: 503, again: '5', more: null, words: 'the page' });
  expect(await answerOf(503, { names: true })).toMatchObject({ status: 503, more: 'kept' });
  expect(await answerOf(429)).toMatchObject({ status: 429, again: '5' });
  expect(await answerOf(507)).toMatchObject({ status: 507, again: null });
});

test('a fault of ours stays one, whatever befell another page', async () => {
  expect(await answerOf(null)).toMatchObject({ status: 500, again: null });
  expect(await answerOf(503, { id: 'another page' })).toMatchObject({ status: 500, again: null });
});

test('a page that was made although a part of it broke is sent as it is', async () => {
  expect(await answerOf(503, { status: 200 })).toMatchObject({ status: 200, again: null });
});
