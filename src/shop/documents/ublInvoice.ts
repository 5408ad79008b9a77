import { create } from 'xmlbuilder2';
import { decimalOf } from '@/core/money/currency';
import type { PaperContent } from '../papers/dto';

const NAMESPACES = {
  invoice: 'urn:oasis:names:specification:ubl:schema:xsd:Invoice-2',
  credit: 'urn:oasis:names:specification:ubl:schema:xsd:CreditNote-2',
};
const CBC = 'urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2';
const CAC = 'urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2';
/** UNTDID 1001, 5305, 4461 and UN/ECE recommendation 20, as EN 16931 names them (from memory). */
const CODES = { invoice: '380', credit: '381', standard: 'S', exempt: 'E', transfer: '58', cash: '10', one: 'C62' };

type Node = Record<string, unknown>;

/**
 * An invoice or credit note as UBL 2.1 with the fields of EN 16931: numbers are decimals of the currency, a credit note’s are
 * above nought, as its kind says what they mean. Several taxes on one line are told as one of their sum, since the standard
 * knows one category a line.
 * @param corrects the invoice that a credit note takes back
 */
export function ublInvoice(name: string, content: PaperContent, corrects: string | null): string {
  const isCredit = content.kind === 'credit';
  const { bill } = content.bill!;
  const money = (minor: number) => ({
    '@currencyID': content.currency,
    '#': decimalOf(Math.abs(minor), content.currency),
  });
  const rateOf = (i: number) => {
    const applied = Object.keys(bill.lines[i]!.taxMinor);
    return bill.taxes.filter((t) => applied.includes(t.id)).reduce((sum, t) => sum + t.per100k, 0);
  };
  const category = (rate: number): Node => ({
    'cbc:ID': rate > 0 ? CODES.standard : CODES.exempt,
    'cbc:Percent': percent(rate),
    ...(rate > 0
      ? {}
      : { 'cbc:TaxExemptionReason': content.customer.exempt ? 'The customer is exempt' : 'No tax is charged' }),
    'cac:TaxScheme': { 'cbc:ID': 'VAT' },
  });
  const rates = [...new Set(bill.lines.map((_, i) => rateOf(i)))].sort((a, b) => b - a);
  const ofRate = (rate: number) => bill.lines.filter((_, i) => rateOf(i) === rate);
  const sum = (list: readonly number[]) => list.reduce((total, n) => total + n, 0);
  const taxMinor = (rate: number) => sum(ofRate(rate).flatMap((l) => Object.values(l.taxMinor)));
  const root = isCredit ? 'CreditNote' : 'Invoice';
  const line = isCredit ? 'CreditNoteLine' : 'InvoiceLine';
  const paid = content.pay?.paidMinor ?? 0;
  const document: Node = {
    [root]: {
      '@xmlns': isCredit ? NAMESPACES.credit : NAMESPACES.invoice,
      '@xmlns:cac': CAC,
      '@xmlns:cbc': CBC,
      'cbc:CustomizationID': 'urn:cen.eu:en16931:2017',
      'cbc:ID': name,
      'cbc:IssueDate': content.date,
      ...(isCredit || !content.pay ? {} : { 'cbc:DueDate': content.pay.dueOn }),
      [isCredit ? 'cbc:CreditNoteTypeCode' : 'cbc:InvoiceTypeCode']: isCredit ? CODES.credit : CODES.invoice,
      ...(isCredit ? { 'cbc:Note': content.said[0]!.texts[0]! } : {}),
      'cbc:DocumentCurrencyCode': content.currency,
      'cbc:BuyerReference': content.machine.tag,
      'cac:OrderReference': { 'cbc:ID': String(content.job) },
      ...(corrects === null
        ? {}
        : { 'cac:BillingReference': { 'cac:InvoiceDocumentReference': { 'cbc:ID': corrects } } }),
      'cac:AccountingSupplierParty': { 'cac:Party': seller(content) },
      'cac:AccountingCustomerParty': { 'cac:Party': buyer(content) },
      ...(isCredit ? {} : { 'cac:PaymentMeans': payment(content, name) }),
      'cac:TaxTotal': {
        'cbc:TaxAmount': money(sum(bill.taxes.map((t) => t.taxMinor))),
        'cac:TaxSubtotal': rates.map((rate) => ({
          'cbc:TaxableAmount': money(sum(ofRate(rate).map((l) => l.netMinor))),
          'cbc:TaxAmount': money(taxMinor(rate)),
          'cac:TaxCategory': category(rate),
        })),
      },
      'cac:LegalMonetaryTotal': {
        'cbc:LineExtensionAmount': money(bill.netMinor),
        'cbc:TaxExclusiveAmount': money(bill.netMinor),
        'cbc:TaxInclusiveAmount': money(bill.grossMinor),
        ...(paid > 0 ? { 'cbc:PrepaidAmount': money(paid) } : {}),
        'cbc:PayableAmount': money(bill.grossMinor - paid),
      },
      [`cac:${line}`]: bill.lines.map((l, i) => ({
        'cbc:ID': String(i + 1),
        [isCredit ? 'cbc:CreditedQuantity' : 'cbc:InvoicedQuantity']: { '@unitCode': CODES.one, '#': '1' },
        'cbc:LineExtensionAmount': money(l.netMinor),
        'cac:Item': {
          'cbc:Name': nameOf(content, i),
          'cac:ClassifiedTaxCategory': {
            'cbc:ID': rateOf(i) > 0 ? CODES.standard : CODES.exempt,
            'cbc:Percent': percent(rateOf(i)),
            'cac:TaxScheme': { 'cbc:ID': 'VAT' },
          },
        },
        // One of it costs what the line comes to: discounts and quantities are in it already.
        'cac:Price': { 'cbc:PriceAmount': money(l.netMinor) },
      })),
    },
  };
  return create({ version: '1.0', encoding: 'UTF-8' }, document).end({ prettyPrint: true });
}

const percent = (per100k: number) => String(per100k / 1000);

/** XML 1.0 knows no control characters; what a person typed must not break a file. */

const plain = (text: string) => text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '').trim();

function nameOf(content: PaperContent, i: number): string {
  const { label, thousandths } = content.bill!.lines[i]!;
  return plain(thousandths === 1000 ? label : `${thousandths / 1000} × ${label}`);
}

function address(text: string, country: string): Node {
  const lines = plain(text)
    .split(/\s*[\r\n,]+\s*/)
    .filter(Boolean);
  return {
    ...(lines[0] ? { 'cbc:StreetName': lines[0] } : {}),
    ...(lines.length > 1 ? { 'cbc:CityName': lines.slice(1).join(', ') } : {}),
    'cac:Country': { 'cbc:IdentificationCode': country || 'ZZ' },
  };
}

function seller({ shop }: PaperContent): Node {
  return {
    'cac:PartyName': { 'cbc:Name': plain(shop.name) },
    'cac:PostalAddress': address(shop.address, shop.country),
    ...(shop.taxNumber
      ? { 'cac:PartyTaxScheme': { 'cbc:CompanyID': plain(shop.taxNumber), 'cac:TaxScheme': { 'cbc:ID': 'VAT' } } }
      : {}),
    'cac:PartyLegalEntity': { 'cbc:RegistrationName': plain(shop.name) },
  };
}

function buyer({ customer, shop }: PaperContent): Node {
  return {
    'cac:PartyName': { 'cbc:Name': plain(customer.name) },
    // Where nothing else is said a customer lives in the shop’s own land.
    'cac:PostalAddress': address(customer.address, shop.country),
    'cac:PartyLegalEntity': { 'cbc:RegistrationName': plain(customer.name) },
  };
}

function payment({ shop }: PaperContent, name: string): Node {
  if (!shop.iban) return { 'cbc:PaymentMeansCode': CODES.cash, 'cbc:PaymentID': name };
  return {
    'cbc:PaymentMeansCode': CODES.transfer,
    'cbc:PaymentID': name,
    'cac:PayeeFinancialAccount': {
      'cbc:ID': shop.iban,
      'cbc:Name': plain(shop.name),
      ...(shop.bic ? { 'cac:FinancialInstitutionBranch': { 'cbc:ID': shop.bic } } : {}),
    },
  };
}
