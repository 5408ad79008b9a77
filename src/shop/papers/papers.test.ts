import { inPackets, outOfPackets } from './packets';
import { bookPaper, type BookOnPaper } from './bookPaper';
import { closePaperThreads, inPaperThread, openPaperThreads } from './paperThreads';

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

test('letters of other alphabets have their typefaces in the paper', async () => {
  const pdf = told(await bookPaper({ book: book('Łukasz, Dvořák, 10 Ω, Ελένη, Ирина'), paper: 'A4' }));
  const fonts = new Set([...pdf.matchAll(/\/BaseFont \/[A-Z]{6}\+([\w-]+)/g)].map((m) => m[1]));
  expect([...fonts].filter((f) => f!.startsWith('NotoSans')).length).toBeGreaterThan(0);
  expect([...fonts].filter((f) => f!.startsWith('Barlow')).length).toBeGreaterThan(0);
  // Each with its program in the file: nothing is left to the printer.
  expect(pdf.match(/\/FontFile[23]?\b/g)!.length).toBeGreaterThanOrEqual(4);
});

test('twenty thousand letters without a space are a paper like any other', async () => {
  const pdf = await bookPaper({ book: book('x'.repeat(20_000), ['y'.repeat(20_000)]), paper: 'Letter' });
  expect(told(pdf).slice(0, 5)).toBe('%PDF-');
  const pages = Number(/\/Count (\d+)/.exec(told(pdf))![1]);
  expect(pages).toBeGreaterThan(2);
});

test('a thread writes what is written here, refuses what is refused here, and holds nobody up', async () => {
  openPaperThreads(THREAD);
  const columns = { needed: ['a'], allowed: ['b'] };
  const paper = inPaperThread('bookPaper', { book: book('z'.repeat(20_000)), paper: 'A4' });
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

test('rows go out in packets and come back as they were', () => {
  const rows = Array.from({ length: 2345 }, (_, i) => ({ a: `row ${i}`, b: '"\n,' }));
  const packets = inPackets(rows);
  expect(packets).toHaveLength(3);
  expect([...outOfPackets(packets)]).toEqual(rows);
  expect(inPackets([])).toEqual([]);
});
