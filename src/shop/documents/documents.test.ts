import { randomUUID } from 'node:crypto';
import { agreedJob, offeredJob } from '../agree/offered.fixture';
import { readJob } from '../odds/readJob';
import { agreeTo, base, openJob, photographed, refusal, testShop, toHandBack } from '../scene.fixture';
import { epcCode } from './epcCode';
import { issueDocument } from './issueDocument';
import { listDocuments, paperOf, paperPdf, paperUbl } from './readDocument';
import { closeDay, takings } from './takings';
import { makeEstimate } from '../agree/makeEstimate';
import { removePhotograph } from '../photographs/photographs';
import { takePayment } from './takePayment';
import type { IssueDocumentDto, TakePaymentDto } from './dto';

const shop = testShop();
const K1 = 'upright-shaft-belt';
const VAT = { id: 'vat', label: 'VAT', per100k: 20_000, on: ['labour', 'part', 'material', 'fee'] };
const today = new Date().toISOString().slice(0, 10);

beforeAll(async () => {
  await shop.db('shop').update({
    labour_minor: 6000,
    currency: 'EUR',
    locale: 'en-GB',
    taxes: { taxes: [VAT], included: false, perLine: false, rounding: 'half-even' },
    letterhead: {
      iban: 'DE89370400440532013000',
      bic: '',
      country: 'DE',
      payDays: 14,
      taxNumber: 'DE136695976',
      address: 'Quay 1, Orrin Quay',
    },
    charges: { diagnosisMinor: 2500 },
  });
});

const issue = async (job: number, kind: IssueDocumentDto['kind'], more: object = {}) => {
  await issueDocument(shop.person, job, { ...(await base(job)), kind, ...more });
  return (await readJob(job)).agree.documents.at(-1)!;
};
const pay = async (job: number, more: Partial<TakePaymentDto>) =>
  takePayment(shop.person, job, { ...(await base(job)), how: 'card', amountMinor: 100, ...more });

describe('papers', () => {
  test('an estimate has its offers side by side, and each column adds up to what it says', async () => {
    const job = await offeredJob(shop.person, shop.models[K1]!);
    const { content } = await paperOf((await issue(job, 'estimate')).id);
    expect(content.columns.length).toBeGreaterThanOrEqual(1);
    content.columns.forEach((_, i) => {
      const rows = content.groups.flatMap((g) => g.rows).reduce((sum, r) => sum + (r.minor[i] ?? 0), 0);
      const total = (label: RegExp) => content.totals.find((t) => label.test(t.label))!.minor[i]!;
      expect(rows).toBe(total(/^Net/));
      expect(total(/^Net/) + total(/^VAT/)).toBe(total(/^To pay/));
    });
    expect(content.said.find((s) => s.title === 'We found')!.texts).toEqual(['Belt broken.']);
  });

  test('what was found is shown on the paper, until its photograph is taken out of sight', async () => {
    const job = await offeredJob(shop.person, shop.models[K1]!);
    await photographed(shop.person, job, 'step:plate-screws', 'two lengths');
    const mine = await photographed(shop.person, job, 'fault:belt-broken');
    const { id } = await issue(job, 'estimate');
    expect((await paperOf(id)).pictures).toEqual([{ id: mine, caption: 'Belt broken' }]);
    const withIt = (await paperPdf(id)).bytes.length;
    await removePhotograph(shop.person, job, { ...(await base(job)), photograph: mine });
    expect((await paperOf(id)).pictures).toEqual([]);
    const without = (await paperPdf(id)).bytes.length;
    expect(withIt - without).toBeGreaterThan(2000);
  });

  test('offers that are promised alike say it once, others each for itself', async () => {
    const job = await offeredJob(shop.person, shop.models[K1]!);
    const { estimate } = (await readJob(job)).agree;
    const { content: alike } = await paperOf((await issue(job, 'estimate')).id);
    expect(alike.terms[0]).toBe('Ready on 2199-01-01 if you answer in time. We stand for our work for 90 days.');
    const each = [{ offer: 'minimum' as const, readyOn: '2198-06-01', warrantyDays: 30 }];
    const { exempt: _, included: __, validUntil: ___, ...terms } = estimate!.terms;
    const lines = [...estimate!.lines, { ...estimate!.lines[0]!, id: 'more', group: 'now' as const, fault: null }];
    await makeEstimate(shop.person, job, { ...(await base(job)), ...terms, lines, each });
    const { content } = await paperOf((await issue(job, 'estimate')).id);
    expect(content.terms.slice(0, 2)).toEqual([
      'The least we stand behind: ready on 2198-06-01. We stand for our work for 30 days.',
      'What we recommend: ready on 2199-01-01. We stand for our work for 90 days.',
    ]);
  });

  test('numbers have no gaps, whoever presses at once and whatever fails between', async () => {
    const jobs = await Promise.all(Array.from({ length: 8 }, () => offeredJob(shop.person, shop.models[K1]!)));
    const before = (await shop.db('document').where({ kind: 'estimate' })).length;
    await Promise.all(
      jobs.flatMap((job) => [
        issue(job, 'estimate'),
        // Nothing was agreed: refused, and its number is not used up.
        expect(issueDocument(shop.person, job, { key: randomUUID(), version: 0, kind: 'invoice' })).rejects.toThrow(),
      ]),
    );
    const rows = await shop.db('document').where({ kind: 'estimate' }).orderBy('number').pluck('number');
    expect(rows).toEqual(Array.from({ length: before + 8 }, (_, i) => i + 1));
    const [counter] = await shop.db('document_number').where({ kind: 'estimate' });
    expect(counter.last).toBe(before + 8);
  });

  test('a number is given back when the paper fails after it was taken', async () => {
    const { insertDocument } = await import('@/data/documents');
    const job = await offeredJob(shop.person, shop.models[K1]!);
    const row = {
      kind: 'order',
      year: 2031,
      jobId: job,
      content: {},
      totalMinor: 0,
      currency: 'EUR',
      personId: shop.person.id,
    } as const;
    const failed = shop.db.transaction(async (t) => {
      await insertDocument(t, row);
      throw new Error('Power cut.');
    });
    await expect(failed).rejects.toThrow('Power cut.');
    const kept = await shop.db.transaction((t) => insertDocument(t, row));
    expect(kept.number).toBe(1);
  });

  test('what was given stays: not even the database changes it', async () => {
    const job = await offeredJob(shop.person, shop.models[K1]!);
    const { id } = await issue(job, 'estimate');
    await expect(shop.db('document').where({ id }).update({ total_minor: 1 })).rejects.toThrow(/stays as it is/);
    await expect(shop.db('document').where({ id }).delete()).rejects.toThrow(/stays as it is/);
  });

  test('an invoice needs a yes, is given once, and is taken back by a paper that says why', async () => {
    const open = await offeredJob(shop.person, shop.models[K1]!);
    expect((await refusal(issue(open, 'invoice'))).fields[0]!.message).toMatch(/agreed to no offer/);
    const { job, gross } = await agreedJob(shop.person, shop.models[K1]!);
    const invoice = await issue(job, 'invoice');
    expect(invoice.totalMinor).toBe(gross);
    expect((await refusal(issue(job, 'invoice'))).fields[0]!.message).toMatch(/billed already/);
    expect((await refusal(issue(job, 'credit', { corrects: invoice.id, why: ' ' }))).fields[0]!.field).toBe('why');
    const credit = await issue(job, 'credit', { corrects: invoice.id, why: 'Wrong belt.' });
    expect(credit.totalMinor).toBe(-gross);
    expect((await paperOf(invoice.id)).correctedBy).toBe(credit.name);
    expect((await paperOf(credit.id)).corrects).toBe(invoice.name);
    expect((await refusal(issue(job, 'credit', { corrects: invoice.id, why: 'Again.' }))).fields[0]!.message).toMatch(
      /already/,
    );
    // Billed anew.
    expect((await issue(job, 'invoice')).name).not.toBe(invoice.name);
  });

  test('what was agreed and is not done when the work is over is not charged, and the invoice says so', async () => {
    const job = await offeredJob(shop.person, shop.models[K1]!);
    const { exempt: _, included: __, validUntil: ___, ...terms } = (await readJob(job)).agree.estimate!.terms;
    const lines = (await readJob(job)).agree.estimate!.lines.filter((l) => l.group === 'must');
    const filter = {
      ...lines[0]!,
      id: 'filter',
      group: 'now' as const,
      sort: 'part' as const,
      label: 'New filter',
      minutes: null,
      thousandths: 1000,
      eachMinor: 1000,
      fault: 'filter-clogged',
      code: null,
    };
    await makeEstimate(shop.person, job, { ...(await base(job)), ...terms, lines: [...lines, filter] });
    const [less, more] = (await readJob(job)).agree.estimate!.offers.map((o) => o.bill.grossMinor);
    expect(more! - less!).toBe(1200);
    await agreeTo(shop.person, job, { offer: 'recommended' });
    expect((await readJob(job)).agree.owedMinor).toBe(more);

    await toHandBack(shop.person, job, ['filter-clogged']);
    expect((await readJob(job)).agree.owedMinor).toBe(less);
    const { content } = await paperOf((await issue(job, 'invoice')).id);
    expect(content.totals.find((t) => t.label === 'To pay')!.minor).toEqual([less]);
    expect(content.bill!.lines.map((l) => l.label)).not.toContain('New filter');
    expect(content.said.at(-1)).toMatchObject({
      title: 'Agreed, and not done',
      texts: [expect.stringMatching(/not charged/)],
    });
    // In the file for the owner's books as well.
    expect((await paperUbl((await readJob(job)).agree.documents.at(-1)!.id)).xml).not.toContain('New filter');
  });

  test('returned unrepaired: the fee for looking, and that it is not tested', async () => {
    const job = await offeredJob(shop.person, shop.models[K1]!);
    const { content } = await paperOf((await issue(job, 'unrepaired')).id);
    expect(content.totals.find((t) => t.strong)!.minor).toEqual([3000]);
    expect(content.box!.title).toBe('Not repaired and not tested here');
    // Nothing else was agreed: the fee is what is owed, and no more is taken.
    await agreeTo(shop.person, job, { says: 'as-is', words: 'Leave it.' });
    expect((await readJob(job)).agree.owedMinor).toBe(3000);
    expect((await refusal(pay(job, { amountMinor: 3001 }))).fields[0]!.field).toBe('amountMinor');
    await pay(job, { amountMinor: 3000 });
    expect((await readJob(job)).agree.owedMinor).toBe(0);
  });

  test('a consent and a label are for a switch that failed', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['squeal']);
    for (const kind of ['consent', 'label'] as const)
      expect((await refusal(issue(job, kind))).fields[0]!.message).toMatch(/No tilt or seat switch/);
  });

  test('on paper as PDF, whatever somebody typed', async () => {
    await shop.db('customer').update({ name: '=cmd|<b>Ωμέγα</b> \u202e', address: 'x'.repeat(180) });
    const job = await offeredJob(shop.person, shop.models[K1]!);
    const { bytes, name } = await paperPdf((await issue(job, 'estimate')).id);
    expect(Buffer.from(bytes.subarray(0, 5)).toString()).toBe('%PDF-');
    expect(name).toMatch(/^E-\d{4}-\d{4}$/);
    expect(bytes.length).toBeGreaterThan(8000);
  });

  test('the list is paged from the newest', async () => {
    const { documents, before } = await listDocuments();
    expect(before).toBeNull();
    expect(documents.map((d) => d.id)).toEqual([...documents.map((d) => d.id)].sort((a, b) => b - a));
    expect((await listDocuments(documents[2]!.id)).documents[0]!.id).toBe(documents[3]!.id);
  });
});

describe('what is paid', () => {
  test('change is given for cash, no more is taken than is owed, and the receipt says so', async () => {
    const { job, gross } = await agreedJob(shop.person, shop.models[K1]!);
    const field = async (more: Partial<TakePaymentDto>) => (await refusal(pay(job, more))).fields[0]!.field;
    expect(await field({ amountMinor: gross + 1 })).toBe('amountMinor');
    expect(await field({ how: 'cash', amountMinor: 500, givenMinor: 400 })).toBe('givenMinor');
    expect(await field({ how: 'card', amountMinor: 500, givenMinor: 600 })).toBe('givenMinor');
    await pay(job, { how: 'cash', amountMinor: 500, givenMinor: 2000 });
    const { agree } = await readJob(job);
    expect(agree.paidMinor).toBe(500);
    const { content } = await paperOf(agree.documents.at(-1)!.id);
    expect(content.totals.map((t) => [t.label, t.minor[0]])).toEqual([
      ['Received in cash', 500],
      ['Handed over', 2000],
      ['Change given', 1500],
    ]);
    expect(await field({ amountMinor: gross - 499 })).toBe('amountMinor');
    const invoice = await issue(job, 'invoice');
    expect((await paperOf(invoice.id)).content.totals.at(-1)).toMatchObject({
      label: 'Still to pay',
      minor: [gross - 500],
    });
  });

  test('the drawer is counted against the cash of the day; a difference is explained, and a closed day takes nothing', async () => {
    const taken = await takings(today);
    const cash = taken.taken.find((t) => t.how === 'cash')!.minor;
    const close = (countedMinor: number, note: string) =>
      closeDay({ ...shop.person, role: 'counter' }, { key: randomUUID(), day: today, countedMinor, note });
    expect((await refusal(close(cash - 100, ' '))).fields[0]!.field).toBe('note');
    const { closed } = await close(cash - 100, 'One coin less.');
    expect(closed).toMatchObject({ expectedMinor: cash, countedMinor: cash - 100 });
    expect((await refusal(close(cash, ''))).fields[0]!.message).toBe('It is closed already.');
    const { job } = await agreedJob(shop.person, shop.models[K1]!);
    expect((await refusal(pay(job, { amountMinor: 100 }))).fields[0]!.message).toMatch(/takings of today are closed/);
    await shop.db('day_close').delete();
  });
});

describe('a code for the bank: EPC069-12, its lines from memory', () => {
  test('eleven lines, the amount with a point', () => {
    const code = epcCode(
      { name: 'Test bench', iban: 'DE89370400440532013000', bic: '' },
      { minor: 1205, currency: 'EUR' },
      'I-2026-0001',
    );
    expect(code!.split('\n')).toEqual([
      'BCD',
      '002',
      '1',
      'SCT',
      '',
      'Test bench',
      'DE89370400440532013000',
      'EUR12.05',
      '',
      '',
      'I-2026-0001',
    ]);
  });
  test('none for another currency, without an account, or when nothing is owed', () => {
    const to = { name: 'a', iban: 'DE89370400440532013000', bic: '' };
    expect(epcCode(to, { minor: 100, currency: 'USD' }, '')).toBeNull();
    expect(epcCode({ ...to, iban: '' }, { minor: 100, currency: 'EUR' }, '')).toBeNull();
    expect(epcCode(to, { minor: 0, currency: 'EUR' }, '')).toBeNull();
  });
  test('an invoice that is owed carries it', async () => {
    const { job } = await agreedJob(shop.person, shop.models[K1]!);
    expect((await paperOf((await issue(job, 'invoice')).id)).qr).toMatch(/^<svg/);
  });
});

test('only an invoice or a credit note goes into a UBL file', async () => {
  const { job } = await agreedJob(shop.person, shop.models[K1]!);
  const estimate = await issue(job, 'estimate');
  expect((await refusal(paperUbl(estimate.id))).fields[0]!.message).toMatch(/Only an invoice/);
  const { xml, name } = await paperUbl((await issue(job, 'invoice')).id);
  expect(xml).toContain(`<cbc:ID>${name}</cbc:ID>`);
});
