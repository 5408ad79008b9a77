import type { DocumentKind } from '@/data/documents';

const LETTERS: Record<DocumentKind, string> = {
  estimate: 'E',
  order: 'A',
  invoice: 'I',
  credit: 'C',
  receipt: 'R',
  unrepaired: 'U',
  consent: 'B',
  label: 'L',
};

export const DOCUMENT_TITLES: Record<DocumentKind, string> = {
  estimate: 'Estimate',
  order: 'Order confirmed',
  invoice: 'Invoice',
  credit: 'Credit note',
  receipt: 'Receipt',
  unrepaired: 'Returned unrepaired',
  consent: 'Consent to bridge',
  label: 'Label for the machine',
};

/**
 * The name of a paper: what it is, its year and its number in that year.
 * @example documentName({ kind: 'invoice', year: 2026, number: 12 }) // → 'I-2026-0012'
 */
export function documentName({ kind, year, number }: { kind: DocumentKind; year: number; number: number }): string {
  return `${LETTERS[kind]}-${year}-${String(number).padStart(4, '0')}`;
}
