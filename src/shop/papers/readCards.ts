import ICAL from 'ical.js';
import { refuseIf } from '../problem';

/** A customer as a file has them, card or row. */
export interface CardRow {
  name: string;
  kind: string;
  phone: string;
  email: string;
  address: string;
  standing: string;
}

/**
 * Customers from vCards 3.0 (RFC 2426) or 4.0.
 * @throws ProblemError 400 at `file` for what is none
 */
export function readCards(text: string): CardRow[] {
  let parsed: unknown;
  try {
    parsed = ICAL.parse(text.trim());
  } catch (error) {
    refuseIf([{ field: 'file', message: `This is no vCard file: ${(error as Error).message}.` }]);
  }
  // One card comes as itself, several as a list of them.
  const list = (Array.isArray(parsed) && typeof parsed[0] === 'string' ? [parsed] : parsed) as [
    string,
    unknown[],
    unknown[],
  ][];
  const cards = list.map((c) => new ICAL.Component(c)).filter((c) => c.name === 'vcard');
  refuseIf(cards.length === 0 ? [{ field: 'file', message: 'There is no card in this file.' }] : []);
  return cards.map((card) => {
    const first = (name: string) => plain(card.getFirstPropertyValue(name));
    const structured = card.getFirstPropertyValue('n') as unknown;
    const [family = '', given = ''] = Array.isArray(structured) ? structured.map(plain) : [];
    return {
      name: first('fn') || [given, family].filter(Boolean).join(' ') || first('org'),
      kind: first('kind') === 'org' || (first('org') !== '' && first('org') === first('fn')) ? 'business' : 'household',
      phone: first('tel').replace(/^tel:/i, ''),
      email: first('email'),
      address: first('adr'),
      standing: first('note'),
    };
  });
}

/** A value as one line of text; the parts of an address or a name joined. */
function plain(value: unknown): string {
  if (Array.isArray(value)) return value.flat().map(plain).filter(Boolean).join(', ');
  return value === null || value === undefined ? '' : String(value).trim();
}
