import { createServer, type IncomingMessage } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { bodyArrived, fitsInHand } from './bodyArrived';

/** A server that waits for a body, and then reads it as anybody would. */
async function listening() {
  const seen: { fits: boolean; arrived: boolean; body: string }[] = [];
  const server = createServer((request: IncomingMessage, response) => {
    void (async () => {
      const fits = fitsInHand(request);
      const arrived = !fits || (await bodyArrived(request, 300));
      let body = '';
      if (arrived) for await (const piece of request) body += String(piece);
      seen.push({ fits, arrived, body });
      response.end('read');
    })();
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  const send = (...pieces: string[]) =>
    new Promise<void>((done) => {
      const line = connect(port, '127.0.0.1');
      line.on('error', () => done());
      line.on('data', () => line.destroy());
      line.on('close', () => done());
      void (async () => {
        for (const piece of pieces) {
          line.write(piece);
          await new Promise((next) => setTimeout(next, 40));
        }
      })();
    });
  return { seen, send, close: () => new Promise((done) => server.close(done)) };
}

const head = (length: number) =>
  `POST /x HTTP/1.1\r\nhost: a\r\nconnection: close\r\ncontent-length: ${length}\r\n\r\n`;

test('a body is waited for, however it is cut, and read whole afterwards', async () => {
  const { seen, send, close } = await listening();
  await send(`${head(5)}hello`);
  await send(head(10), 'hello', 'world');
  await send(head(0));
  const large = 'x'.repeat(16_000);
  await send(head(16_000), large.slice(0, 9000), large.slice(9000));
  expect(seen.map((s) => [s.fits, s.arrived, s.body.length])).toEqual([
    [true, true, 5],
    [true, true, 10],
    [true, true, 0],
    [true, true, 16_000],
  ]);
  expect(seen[1]!.body).toBe('helloworld');
  await close();
});

test('one that does not come is given up; a large one is not waited for', async () => {
  const { seen, send, close } = await listening();
  await send(head(100), 'only a part of it');
  await send(head(100_000), 'x'.repeat(100_000));
  expect(seen.map((s) => [s.fits, s.arrived])).toEqual([
    [true, false],
    [false, true],
  ]);
  expect(seen[1]!.body).toHaveLength(100_000);
  await close();
});
