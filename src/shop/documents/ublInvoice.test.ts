import { InvoiceService, type Invoice } from '@e-invoice-eu/core';
import { create } from 'xmlbuilder2';
import { billOf, LINE_SORTS, type BillLine, type TaxRules } from '@/core/money/bill';
import type { PaperContent } from '../papers/dto';
import { creditContent } from './paperContent';
import { ublInvoice } from './ublInvoice';

const RULES: TaxRules = {
  taxes: [{ id: 'vat', label: 'VAT', per100k: 19_000, on: LINE_SORTS }],
  included: false,
  perLine: false,
  rounding: 'half-even',
};
const LINES: (BillLine & { label: string })[] = [
  { label: 'Flat belt 10 × 300 mm', sort: 'part', thousandths: 2000, eachMinor: 450 },
  { label: 'New belt in & turned by hand <3>', sort: 'labour', thousandths: 1000, eachMinor: 1833 },
];

function contentOf(more: Partial<PaperContent> = {}, rules = RULES): PaperContent {
  const bill = billOf(LINES, rules, { offMinor: 33 });
  return {
    kind: 'invoice',
    title: 'Invoice',
    shop: {
      name: 'Test bench',
      address: 'Quay 1, 26382 Orrin Quay',
      phone: '555 0100',
      taxNumber: 'DE136695976',
      iban: 'DE89370400440532013000',
      bic: '',
      country: 'DE',
      footer: '',
    },
    customer: { name: 'Jory Marsk', address: 'Lane 3, 26382 Orrin Quay', business: false, exempt: false },
    machine: { tag: 'GK-0001', maker: 'Hollin', model: 'Gannet', serial: '' },
    job: 12,
    date: '2026-11-27',
    locale: 'en-GB',
    currency: 'EUR',
    said: [],
    columns: ['To pay'],
    groups: [],
    totals: [],
    terms: [],
    signs: [],
    box: null,
    bill: { lines: LINES, bill },
    pay: { dueOn: '2026-12-11', minor: bill.grossMinor, paidMinor: 0 },
    ...more,
  };
}

/** Its own elements: the library’s `children` tells those of its children too. */
const childrenOf = (element: Element) => Array.from(element.childNodes).filter((n): n is Element => n.nodeType === 1);

type Tree = { [name: string]: unknown };

/** The file as the library of the registry takes an invoice: members by name, attributes as `name@attribute`. */
function treeOf(element: Element): Tree {
  const tree: Tree = {};
  for (const child of childrenOf(element)) {
    const value = childrenOf(child).length > 0 ? treeOf(child) : (child.textContent ?? '');
    const isList =
      /^cac:(InvoiceLine|TaxSubtotal|TaxTotal|PaymentMeans)$/.test(child.tagName) ||
      child.tagName === 'cac:PartyTaxScheme';
    if (isList) tree[child.tagName] = [...((tree[child.tagName] as unknown[] | undefined) ?? []), value];
    else tree[child.tagName] = value;
    for (const attribute of Array.from(child.attributes)) tree[`${child.tagName}@${attribute.name}`] = attribute.value;
  }
  return tree;
}
const parse = (xml: string) => create(xml).node as unknown as Document;
const textOf = (xml: string, name: string) =>
  Array.from(parse(xml).getElementsByTagName(name)).map((e) => e.textContent);
/** Names of the elements in their order, each with its depth. */
const orderOf = (element: Element, depth = 0): string[] => [
  `${depth} ${element.tagName}`,
  ...childrenOf(element).flatMap((c) => orderOf(c, depth + 1)),
];

test('the library e-invoice-eu takes it as an invoice of EN 16931, and writes the same elements in the same order', async () => {
  const xml = ublInvoice('I-2026-0001', contentOf(), null);
  const quiet = { log() {}, warn() {}, error() {} };
  const service = new InvoiceService(quiet as unknown as Console);
  const given = { 'ubl:Invoice': treeOf(parse(xml).documentElement) } as unknown as Invoice;
  // An electronic address and a process are asked by the network that carries such files, not by the standard: lent for the check.
  const invoice = (given as unknown as { 'ubl:Invoice': Record<string, { 'cac:Party': Tree }> })['ubl:Invoice'];
  for (const role of ['cac:AccountingSupplierParty', 'cac:AccountingCustomerParty'])
    Object.assign(invoice[role]!['cac:Party'], { 'cbc:EndpointID': 'a@shop.example', 'cbc:EndpointID@schemeID': 'EM' });
  const theirs = (await service.generate(given, { format: 'UBL', lang: 'en' })) as string;
  const lent = (line: string) => !/cbc:(EndpointID|ProfileID)$/.test(line);
  expect(orderOf(parse(theirs).documentElement).filter(lent)).toEqual(orderOf(parse(xml).documentElement));
  expect(textOf(theirs, 'cbc:PayableAmount')).toEqual(textOf(xml, 'cbc:PayableAmount'));
});

// Rules of EN 16931 by their names, from memory.
test.each([
  ['taxes on top', RULES],
  ['taxes in the price', { ...RULES, included: true }],
  ['line by line', { ...RULES, perLine: true }],
  ['none', { ...RULES, taxes: [] }],
] as [string, TaxRules][])('its totals agree with its lines: %s', (_, rules) => {
  const content = contentOf({}, rules);
  const xml = ublInvoice('I-2026-0001', content, null);
  const minor = (name: string) => textOf(xml, name).map((t) => Math.round(100 * Number(t)));
  const sum = (list: number[]) => list.reduce((a, b) => a + b, 0);
  const [whole, ...lines] = minor('cbc:LineExtensionAmount');
  // BR-CO-10, BR-CO-13, BR-CO-15, BR-CO-16, BR-CO-14.
  expect(sum(lines)).toBe(whole);
  expect(minor('cbc:TaxExclusiveAmount')).toEqual([whole]);
  const [tax, ...parts] = minor('cbc:TaxAmount');
  expect(sum(parts)).toBe(tax);
  expect(minor('cbc:TaxInclusiveAmount')).toEqual([whole! + tax!]);
  expect(minor('cbc:PayableAmount')).toEqual([whole! + tax!]);
  // BR-S-08: the base of each rate is the sum of its lines.
  expect(sum(minor('cbc:TaxableAmount'))).toBe(whole);
});

test('a credit note names what it takes back, and its amounts stand above nought', () => {
  const invoice = contentOf();
  const xml = ublInvoice(
    'C-2026-0001',
    creditContent(invoice, 'I-2026-0001', 'Wrong belt.', '2026-11-28'),
    'I-2026-0001',
  );
  expect(parse(xml).documentElement.tagName).toBe('CreditNote');
  expect(textOf(xml, 'cbc:ID')).toContain('I-2026-0001');
  expect(textOf(xml, 'cbc:PayableAmount')[0]).toBe(textOf(ublInvoice('x', invoice, null), 'cbc:PayableAmount')[0]);
  expect(textOf(xml, 'cbc:CreditNoteTypeCode')).toEqual(['381']);
});

test('hostile words break no file', () => {
  const nasty = ']]><x a="\u0000\u0008">&amp;\u202e';
  const content = contentOf({ customer: { name: nasty, address: nasty, business: false, exempt: false } });
  const xml = ublInvoice('I-2026-0001', content, null);
  expect(textOf(xml, 'cbc:RegistrationName')[1]).toContain(']]><x a="');
});

test('what was paid before is told, and the rest is owed', () => {
  const content = contentOf();
  const gross = content.bill!.bill.grossMinor;
  const xml = ublInvoice('x', { ...content, pay: { dueOn: '2026-12-11', minor: gross - 500, paidMinor: 500 } }, null);
  expect(textOf(xml, 'cbc:PrepaidAmount')).toEqual(['5.00']);
  expect(Number(textOf(xml, 'cbc:PayableAmount')[0])).toBeCloseTo((gross - 500) / 100, 9);
});
