import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { randomUUID } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import fc from 'fast-check';
import type { Knex } from 'knex';
import sharp from 'sharp';
import { openTestShop } from '../testShop.fixture';
import type { Person } from '../access/person';
import { machineBookText, type MachineBook } from '../book/book';
import { machineBookPdf } from '../book/bookPdf';
import { readCards } from '../papers/readCards';
import { readCsv } from '../papers/readCsv';
import { bookSchema } from '../book/bookSchema';
import { readJob } from '../odds/readJob';
import { keepPhotograph } from '../photographs/keepPhotograph';
import { recordFindings } from '../recordFindings/recordFindings';
import { base, furnishShop, openJob } from '../scene.fixture';
import { plainCell, writeCsv } from './csv';
import { customersCsv, importCustomersCsv } from './customersCsv';
import { importMachinesCsv, machinesCsv } from './machinesCsv';
import { customersVcards, importCards, writeCard } from './vcard';

let db: Knex;
let close: () => Promise<void>;
let owner: Person;
let models: Record<string, number>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  const scene = await furnishShop(db);
  models = scene.models;
  owner = { ...scene.person, role: 'owner' };
});
afterAll(() => close());
const K1 = 'upright-shaft-belt';
const count = async (table: string) => Number((await db(table).count())[0]!.count);

describe('CSV', () => {
  const columns = { needed: ['a'], allowed: ['b'] } as const;
  const read = (text: string) => readCsv<'a' | 'b'>({ text, columns });

  test('the example of RFC 4180, section 2: quotes, doubled quotes, line breaks and commas inside quotes', () => {
    expect(read('a,b\r\n"aaa","b CRLF\r\nbb"\r\n"zz,z","b""bb"\r\n')).toEqual([
      { a: 'aaa', b: 'b CRLF\r\nbb' },
      { a: 'zz,z', b: 'b"bb' },
    ]);
  });

  test('what is written is read back, whatever is in it', () => {
    const cell = fc.string({ unit: 'grapheme', maxLength: 30 }).map((s) => s.trim());
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            cell.filter((c) => c !== ''),
            cell,
          ),
          { minLength: 1, maxLength: 6 },
        ),
        (rows) => {
          const back = read(writeCsv(['a', 'b'], rows)).map((r) => [plainCell(r.a), plainCell(r.b)]);
          expect(back).toEqual(rows.map(([a, b]) => [a, b]));
        },
      ),
    );
  });

  test('a cell that a spreadsheet would run is made harmless, and one that looks so keeps its own apostrophe', () => {
    expect(writeCsv(['a'], [['=1+1'], ['@x'], ['plain']])).toBe("a\r\n'=1+1\r\n'@x\r\nplain\r\n");
    const cells = ["'-", "''=1", "'", "'tis", '-', '='];
    const back = read(writeCsv(['a', 'b'], [cells.slice(0, 2), ...cells.map((c) => ['x', c])]));
    expect(back.map((r) => plainCell(r.b))).toEqual(["''=1", ...cells]);
  });

  test('a byte order mark, semicolons, a name in capitals', () => {
    expect(read('\uFEFFA;B\nx;y\n')).toEqual([{ a: 'x', b: 'y' }]);
  });

  test.each([
    ['no columns that are needed', 'c,b\n1,2\n'],
    ['a column that is not known', 'a,colour\n1,2\n'],
    ['no rows', 'a,b\n'],
    ['nothing', ''],
    ['a quote that never ends', 'a,b\n"x,y\n'],
    ['more cells than columns', 'a,b\n1,2,3\n'],
  ])('%s is refused at the file', (_what, text) => {
    expect(() => read(text)).toThrow('cannot be used');
  });
});

/** All pieces of a file that is written out. */
async function whole(written: Promise<AsyncGenerator<string>>): Promise<string> {
  let text = '';
  for await (const piece of await written) text += piece;
  return text;
}

describe('customers in and out', () => {
  test('a dry run tells of every row and writes nothing; one wrong row stops all', async () => {
    const text =
      'name,kind,phone\nAda Tarrow,household,555 1\n,household,555 2\nBram Marsk,ferry,555 3\nada tarrow,,5551\n';
    const before = await count('customer');
    const dry = await importCustomersCsv(owner, text, true);
    // The same line twice is one customer.
    expect(dry).toMatchObject({ written: false, counts: { new: 1, known: 1, wrong: 2 } });
    expect(dry.rows.filter((r) => r.outcome === 'wrong').map((r) => [r.row, r.problems[0]!.field])).toEqual([
      [3, 'name'],
      [4, 'kind'],
    ]);
    expect((await importCustomersCsv(owner, text, false)).written).toBe(false);
    expect(await count('customer')).toBe(before);
  });

  test('written once; a second time everybody is known', async () => {
    const text =
      'name,phone,standing\nÓskar Þorn,555 77,"Ring before nine,\nnever on Sundays"\nفاطمة,555 88,\n🧹 Broom & Co,555 99,=cmd\n';
    expect(await importCustomersCsv(owner, text, false)).toMatchObject({ written: true, counts: { new: 3 } });
    expect(await importCustomersCsv(owner, text, false)).toMatchObject({ counts: { new: 0, known: 3, wrong: 0 } });
    expect(await db('customer').where({ name: 'Óskar Þorn' }).first()).toMatchObject({
      standing: 'Ring before nine,\nnever on Sundays',
      search: expect.stringContaining('oskar thorn'),
    });
    const again = await whole(customersCsv(owner));
    expect(again).toContain("'=cmd");
    expect((await importCustomersCsv(owner, again, true)).counts).toMatchObject({ new: 0, wrong: 0 });
    expect(await db('audit').where({ deed: 'import-customers', row_of: 'customer' })).toHaveLength(3);
  });

  test('two of one name and phone are two when something tells them apart: what this shop wrote it can read', async () => {
    const text = 'name,phone,address\nMarsk Twin,555 31,Upper mill\nMarsk Twin,555 31,Lower mill\n';
    expect(await importCustomersCsv(owner, text, false)).toMatchObject({ written: true, counts: { new: 2 } });
    const written = await whole(customersCsv(owner));
    expect(written.match(/Marsk Twin/g)).toHaveLength(2);
    expect((await importCustomersCsv(owner, written, true)).counts).toMatchObject({ new: 0, wrong: 0 });
    await db('customer').where({ name: 'Marsk Twin' }).update({ name: 'gone' });
    expect((await importCustomersCsv(owner, written, true)).counts).toMatchObject({ new: 2, wrong: 0 });
    await db('customer').where({ name: 'gone' }).delete();
  });

  test('a bare carriage return is a line end inside its cell, and breaks neither file nor card', async () => {
    const note = 'one\rtwo\r\nthree';
    const cells = writeCsv(['name', 'standing'], [['Corin Vale', note]]);
    const read = readCsv({ text: cells, columns: { needed: ['name', 'standing'], allowed: [] } });
    expect(read).toHaveLength(1);
    expect(read[0]!.standing.split(/\r\n?|\n/)).toEqual(['one', 'two', 'three']);
    const card = { name: 'Corin\rVale', kind: 'household', phone: '1', email: '', address: '', standing: note };
    const text = writeCard(card);
    expect(text.replace(/\r\n/g, '')).not.toContain('\r');
    expect(readCards(text)).toHaveLength(1);
    expect(readCards(text)[0]!.standing).toBe('one\ntwo\nthree');
  });

  test('50,000 rows are looked at and written in one go', async () => {
    const rows = Array.from({ length: 50_000 }, (_, i) => `Customer ${i},household,556 ${i}`);
    const text = `name,kind,phone\n${rows.join('\n')}\n`;
    expect(await importCustomersCsv(owner, text, true)).toMatchObject({ written: false, counts: { new: 50_000 } });
    const before = await count('customer');
    expect(await importCustomersCsv(owner, text, false)).toMatchObject({ written: true });
    expect(await count('customer')).toBe(before + 50_000);
  });

  test('many are written out page by page, each of them once, under one line of names', async () => {
    const all = await count('customer');
    const pieces: string[] = [];
    for await (const piece of await customersCsv(owner)) pieces.push(piece);
    expect(all).toBeGreaterThan(50_000);
    expect(pieces.length).toBeGreaterThan(50);
    const rows = readCsv({
      text: pieces.join(''),
      columns: { needed: ['name'], allowed: ['kind', 'phone', 'email', 'address', 'standing'] },
    });
    expect(rows).toHaveLength(all);
    expect(new Set(rows.map((r) => `${r.name}|${r.phone}|${r.address}`)).size).toBe(all);
    // A reader that leaves in the middle holds no connection.
    const left = await customersCsv(owner);
    await left.next();
    await left.return(undefined);
    expect((db.client.pool as { numUsed(): number }).numUsed()).toBe(0);
  });

  test('only an owner', async () => {
    const technician: Person = { ...owner, role: 'technician' };
    await expect(customersCsv(technician)).rejects.toMatchObject({ status: 403 });
    await expect(importCustomersCsv(technician, 'name\nx\n', true)).rejects.toMatchObject({ status: 403 });
  });
});

describe('machines in and out', () => {
  test('a new machine never gets a tag that the file gives to another further down, and the dry run says the same', async () => {
    const [model] = await db('model').select('maker', 'name');
    await importCustomersCsv(owner, 'name\nPim Tarrow\n', false);
    const { rows } = await db.raw(`select last_value + 1 as next from machine_tag`);
    const inUse = [1, 2, 4].map((step) => `GK-${String(Number(rows[0].next) + step).padStart(4, '0')}`);
    const line = (tag: string) => `${model.maker},${model.name},Pim Tarrow,${tag}`;
    const file = ['maker,model,owner,tag', ...['', '', '', '', ...inUse].map(line)].join('\n');
    const before = await count('machine');
    expect(await importMachinesCsv(owner, file, true)).toMatchObject({ written: false, counts: { new: 7, wrong: 0 } });
    expect(await count('machine')).toBe(before);
    expect(await importMachinesCsv(owner, file, false)).toMatchObject({ written: true, counts: { new: 7 } });
    const tags = await db('machine').orderBy('id', 'desc').limit(7).pluck('tag');
    expect(new Set(tags).size).toBe(7);
    for (const tag of inUse) expect(tags).toContain(tag);
    // The counter goes on past all of them.
    const job = await openJob(owner, models[K1]!, ['squeal']);
    expect(await db('machine').where({ tag: (await readJob(job)).machine.tag })).toHaveLength(1);
  });

  test.each([
    ['purchased_on', '2024-02-30'],
    ['purchased_on', '2023-02-29'],
    ['purchased_on', '2198-01-01'],
    ['purchased_on', '24-01-01'],
    ['made_year', '2198'],
    ['made_year', '1949'],
  ])('%s %s is no day or year that can be', async (column, value) => {
    const [model] = await db('model').select('maker', 'name');
    await importCustomersCsv(owner, 'name\nPim Tarrow\n', false);
    const file = `maker,model,owner,${column}\n${model.maker},${model.name},Pim Tarrow,${value}\n`;
    const report = await importMachinesCsv(owner, file, true);
    expect(report.rows[0]!.problems.map((p) => p.field)).toEqual([column]);
  });

  test('every problem is named at its column; then all are written with tags and warranty', async () => {
    await importCustomersCsv(owner, 'name,phone\nKit Luskin,557 1\nKit Luskin,557 2\nMab Vintry,557 3\n', false);
    const head = 'maker,model,owner,owner_phone,tag,serial,made_year,purchased_on,pets,hours_per_week\n';
    const wrong = await importMachinesCsv(
      owner,
      `${head}Nobody,Nothing,Mab Vintry,,,,,,,\nHollin,${K1},Kit Luskin,,,,,,,\nHollin,${K1},Nobody At All,,,,1900,30.2.,maybe,900\n`,
      true,
    );
    expect(wrong.rows.map((r) => r.problems.map((p) => p.field))).toEqual([
      ['model'],
      ['owner_phone'],
      ['owner', 'made_year', 'purchased_on', 'hours_per_week', 'pets'],
    ]);
    const right = `${head}Hollin,${K1},Kit Luskin,557 2,,SER-1,2024,2024-08-31,yes,"2,5"\nhollin,${K1},mab vintry,,OLD-77,,,,,\n`;
    expect(await importMachinesCsv(owner, right, false)).toMatchObject({ written: true, counts: { new: 2 } });
    expect(await db('machine').where({ serial: 'SER-1' }).first()).toMatchObject({
      tag: expect.stringMatching(/^GK-\d{4}$/),
      warranty_until: '2026-08-31',
      pets: true,
      hours_per_week: 2.5,
    });
    expect(await importMachinesCsv(owner, await whole(machinesCsv(owner)), true)).toMatchObject({
      counts: { new: 0, wrong: 0 },
    });
  });
});

describe('vCard', () => {
  test('written and read back', () => {
    const card = {
      name: 'Staithe bakery; ovens, "and" more',
      kind: 'business',
      phone: '555 0102',
      email: 'oven@bakery.example',
      address: '3 Ropewalk, back door',
      standing: 'Ring before nine;\nflour: outdoors',
    };
    expect(readCards(writeCard(card))).toEqual([card]);
  });

  test('a card in the shape of the example of RFC 6350, section 8 (names invented), as far as we keep it', () => {
    const text = [
      'BEGIN:VCARD',
      'VERSION:4.0',
      'FN:Osric Vintry',
      'N:Vintry;Osric;;;',
      'BDAY:--0203',
      'LANG;PREF=1:fr',
      'ORG;TYPE=work:Heron Yard surgery',
      'ADR;TYPE=work:;Loft 2;28 Ropewalk;Orrin Quay;OQ;G1V 2M2;Nowhere',
      'TEL;VALUE=uri;TYPE="work,voice";PREF=1:tel:+0-555-0199;ext=102',
      'EMAIL;TYPE=work:osric@surgery.example',
      'END:VCARD',
    ].join('\r\n');
    expect(readCards(text)).toEqual([
      {
        name: 'Osric Vintry',
        kind: 'household',
        phone: '+0-555-0199;ext=102',
        email: 'osric@surgery.example',
        address: 'Loft 2, 28 Ropewalk, Orrin Quay, OQ, G1V 2M2, Nowhere',
        standing: '',
      },
    ]);
  });

  test('several cards, an older version, a file that is none', async () => {
    const older = 'BEGIN:VCARD\r\nVERSION:3.0\r\nN:Quill;Ada;;;\r\nFN:\r\nTEL;TYPE=CELL:558 1\r\nEND:VCARD\r\n';
    expect(readCards(older + older.replace('558 1', '558 2')).map((c) => [c.name, c.phone])).toEqual([
      ['Ada Quill', '558 1'],
      ['Ada Quill', '558 2'],
    ]);
    expect(() => readCards('hello')).toThrow('cannot be used');
    await importCards(owner, older, false);
    expect(await whole(customersVcards(owner))).toContain('FN:Ada Quill');
  });
});

describe('a machine’s book', () => {
  test('is whole, keeps to its published schema, and is a PDF of pages', async () => {
    const drawn = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#456' } })
      .png()
      .toBuffer();
    const photograph = await keepPhotograph(owner, drawn);
    const job = await openJob(owner, models[K1]!, ['squeal'], {
      key: randomUUID(),
      words: 'It screams. 🧹 مكنسة',
      arrivalSigns: ['mould'],
      photographs: [photograph.id],
      meterHours: 12,
      marks: [{ station: 'housing', text: 'cracked' }],
    });
    await recordFindings(owner, job, { ...(await base(job)), findings: [{ check: 'finger-turn', outcome: 'grates' }] });
    const { tag } = (await readJob(job)).machine;
    let written = '';
    for await (const piece of (await machineBookText(tag)).text) written += piece;
    const book = JSON.parse(written) as MachineBook;
    const ajv = new Ajv2020({ strict: true, allErrors: true });
    addFormats(ajv);
    const valid = ajv.compile(bookSchema);
    valid(book);
    expect(valid.errors).toBeNull();
    expect(book.jobs).toHaveLength(1);
    expect(book.jobs[0]!.findings).toHaveLength(1);
    expect(Buffer.from(book.photographs[0]!.jpegBase64, 'base64').subarray(0, 3)).toEqual(
      Buffer.from([0xff, 0xd8, 0xff]),
    );
    expect(book.timeline.length).toBeGreaterThanOrEqual(4);
    // The schema is no empty promise: a field too many or too few is seen.
    expect(valid({ ...JSON.parse(JSON.stringify(book)), more: 1 })).toBe(false);
    // A reader that leaves in the middle holds no connection.
    const left = (await machineBookText(tag)).text;
    await left.next();
    await left.return(undefined);
    expect((db.client.pool as { numUsed(): number }).numUsed()).toBe(0);
    const pdf = await buffer(await machineBookPdf(tag));
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.subarray(-6).toString()).toContain('%%EOF');
  });
});
