import Papa from 'papaparse';
import { agreedJob } from '../agree/offered.fixture';
import { issueDocument } from '../documents/issueDocument';
import { takePayment } from '../documents/takePayment';
import { readJob } from '../odds/readJob';
import { base, testShop } from '../scene.fixture';
import { documentsCsv, paymentsCsv } from './moneyCsv';

const shop = testShop();
const owner = () => ({ ...shop.person, role: 'owner' as const });
const rowsOf = async (pieces: AsyncGenerator<string>) => {
  let text = '';
  for await (const piece of pieces) text += piece;
  return Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;
};

beforeAll(async () => {
  await shop.db('shop').update({
    labour_minor: 6000,
    taxes: {
      taxes: [{ id: 'vat', label: 'VAT', per100k: 20_000, on: ['labour', 'part', 'material', 'fee'] }],
      included: false,
      perLine: false,
      rounding: 'half-even',
    },
  });
});

test('every paper with net, tax and gross that add up, a credit note below nought; every payment', async () => {
  const { job, gross } = await agreedJob(shop.person, shop.models['upright-shaft-belt']!);
  await shop.db('customer').update({ name: '=cmd()' });
  await takePayment(shop.person, job, { ...(await base(job)), how: 'cash', amountMinor: 700, note: '@home' });
  await issueDocument(shop.person, job, { ...(await base(job)), kind: 'invoice' });
  const invoice = (await readJob(job)).agree.documents.at(-1)!;
  await issueDocument(shop.person, job, { ...(await base(job)), kind: 'credit', corrects: invoice.id, why: 'Wrong.' });
  const papers = await rowsOf(await documentsCsv(owner()));
  expect(papers.map((p) => p.kind)).toEqual(['receipt', 'invoice', 'credit']);
  const minor = (text: string | undefined) => {
    expect(text).toMatch(/^-?\d+\.\d\d$/);
    return Math.round(100 * Number(text));
  };
  for (const p of papers) expect(minor(p.net) + minor(p.tax)).toBe(minor(p.gross));
  expect(papers.map((p) => minor(p.gross))).toEqual([700, gross, -gross]);
  // What a spreadsheet would run stays words.
  expect(papers[1]!.customer).toBe("'=cmd()");
  expect(papers[2]!.corrects_id).toBe(papers[1]!.id);
  const [payment] = await rowsOf(await paymentsCsv(owner()));
  expect(payment).toMatchObject({
    how: 'cash',
    amount: '7.00',
    currency: 'USD',
    note: "'@home",
    receipt_id: papers[0]!.id,
  });
});

test('for the owner only', async () => {
  await expect(documentsCsv(shop.person)).rejects.toMatchObject({ status: 403 });
  await expect(paymentsCsv(shop.person)).rejects.toMatchObject({ status: 403 });
});
