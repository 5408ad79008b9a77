import { buffer } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import { MessageChannel } from 'node:worker_threads';
import sharp from 'sharp';
import { inPackets, outOfPackets } from './packets';
import { bookPaper, type BookOnPaper, type BookOrder } from './bookPaper';
import { bookInPieces, closePaperThreads, inPaperThread, openPaperThreads } from './paperThreads';

const THREAD = 'src/workers/papers.thread.fixture.mjs';
afterAll(() => closePaperThreads());

const book = (note: string, words: string[] = []): BookOnPaper => ({
  exportedAt: '2026-01-02T03:04:05.000Z',
  shop: { name: 'Werkstatt Dvořák', zone: 'UTC' },
  machine: {
    tag: 'GK-0001',
    maker: 'Łódź',
    model: 'Стрела',
    serial: 'Ω-7',
    madeYear: 2020,
    purchasedOn: null,
    warrantyUntil: null,
    mainsV: 230,
    hoursPerWeek: 2,
    pets: false,
    note,
  },
  owner: { name: 'Łukasz Ελένη', phone: '', address: '' },
  plans: [],
  openFaults: [],
  meter: [],
  jobs: [],
  timeline: words.map((text) => ({ at: '2026-01-02T03:04:05.000Z', text, by: 'Ирина' })),
  photographs: [],
});
const told = (pdf: Uint8Array) => Buffer.from(pdf).toString('latin1');
const whole = (order: BookOrder) => buffer(Readable.from(bookPaper(order)));

test('letters of other alphabets have their typefaces in the paper', async () => {
  const pdf = told(await whole({ book: book('Łukasz, Dvořák, 10 Ω, Ελένη, Ирина'), paper: 'A4' }));
  const fonts = new Set([...pdf.matchAll(/\/BaseFont \/[A-Z]{6}\+([\w-]+)/g)].map((m) => m[1]));
  expect([...fonts].filter((f) => f!.startsWith('NotoSans')).length).toBeGreaterThan(0);
  expect([...fonts].filter((f) => f!.startsWith('Barlow')).length).toBeGreaterThan(0);
  // Each with its program in the file: nothing is left to the printer.
  expect(pdf.match(/\/FontFile[23]?\b/g)!.length).toBeGreaterThanOrEqual(4);
});

test('twenty thousand letters without a space are a paper like any other', async () => {
  const pdf = await whole({ book: book('x'.repeat(20_000), ['y'.repeat(20_000)]), paper: 'Letter' });
  expect(told(pdf).slice(0, 5)).toBe('%PDF-');
  const pages = Number(/\/Count (\d+)/.exec(told(pdf))![1]);
  expect(pages).toBeGreaterThan(2);
});

test('a thread writes what is written here, refuses what is refused here, and holds nobody up', async () => {
  openPaperThreads(THREAD);
  const columns = { needed: ['a'], allowed: ['b'] };
  const paper = bookInPieces({ book: book('z'.repeat(20_000)), paper: 'A4' }).then((pieces) => buffer(pieces));
  let turns = 0;
  let isDone = false;
  void paper.then(() => (isDone = true));
  while (!isDone) {
    await new Promise((next) => setTimeout(next, 1));
    turns++;
  }
  expect(told(await paper).slice(0, 5)).toBe('%PDF-');
  expect(turns).toBeGreaterThan(20);
  const packets = await inPaperThread('readCsv', { text: 'a,b\n1,2', columns });
  expect([...outOfPackets(packets)]).toEqual([{ a: '1', b: '2' }]);
  await expect(inPaperThread('readCsv', { text: 'c\n1', columns })).rejects.toMatchObject({
    status: 400,
    fields: [{ field: 'file', message: expect.stringContaining('Columns are missing') }],
  });
  await expect(inPaperThread('readCards', 'hello')).rejects.toMatchObject({ status: 400 });
});

test('a task has its time from when it is begun: a thread that only starts costs nobody their paper', async () => {
  await closePaperThreads();
  openPaperThreads(THREAD);
  const rows = { text: 'a\n1', columns: { needed: ['a'], allowed: [] } };
  // Starting takes longer than this.
  const packets = await inPaperThread('readCsv', rows, [], 20);
  expect([...outOfPackets(packets)]).toEqual([{ a: '1' }]);
  const { port1, port2: port } = new MessageChannel();
  const endless = inPaperThread('bookPaper', { book: book('z'.repeat(200_000)), paper: 'A4', port }, [port], 20);
  await expect(endless).rejects.toMatchObject({ status: 503, title: expect.stringContaining('longer than it should') });
  port1.close();
});

test('a paper leaves in pieces; one that cannot be written is refused before its first', async () => {
  openPaperThreads(THREAD);
  const noise = { type: 'gaussian', mean: 128, sigma: 60 } as const;
  const jpeg = await sharp({ create: { width: 800, height: 600, channels: 3, background: '#888', noise } })
    .jpeg()
    .toBuffer();
  const photograph = { at: '2026-01-02T03:04:05.000Z', caption: 'Ω', jpegBase64: jpeg.toString('base64') };
  const order: BookOrder = { book: { ...book('z'), photographs: [photograph] }, paper: 'A4' };
  const sizes: number[] = [];
  for await (const piece of await bookInPieces(order)) sizes.push(piece.length);
  expect(sizes.length).toBeGreaterThan(1);
  expect(Math.max(...sizes)).toBeLessThanOrEqual(65_536);
  const broken = {
    ...order.book,
    photographs: [{ ...photograph, jpegBase64: 'bm90aGluZw==' }],
  };
  await expect(bookInPieces({ ...order, book: broken })).rejects.toThrow();
});

test('rows go out in packets and come back as they were', () => {
  const rows = Array.from({ length: 2345 }, (_, i) => ({ a: `row ${i}`, b: '"\n,' }));
  const packets = inPackets(rows);
  expect(packets).toHaveLength(3);
  expect([...outOfPackets(packets)]).toEqual(rows);
  expect(inPackets([])).toEqual([]);
});

test('a thread does every task that there is', async () => {
  const { paperTasks } = await import('./paperTasks');
  const thread = (await import('@/workers/papers.thread')) as Record<string, unknown>;
  expect(Object.keys(thread).sort()).toEqual(Object.keys(paperTasks).sort());
  for (const task of Object.values(thread)) expect(typeof task).toBe('function');
});
