import ICAL from 'ical.js';
import { contactsOf } from '@/data/customers';
import { allCustomers } from '@/data/exchange';
import { database } from '@/data/database';
import type { Person } from '../access/person';
import { allow } from '../access/roles';
import { exportAll } from './importRows';
import { customerCard } from '../customers/customers';
import { refuseIf } from '../problem';
import { importCustomers, type CustomerIn } from './customersCsv';
import type { ImportReport } from './dto';

interface CardIn {
  name: string;
  kind: string;
  phone: string;
  email: string;
  address: string;
  standing: string;
}

/** vCard 4.0 (RFC 6350) of one customer. */
export function writeCard(c: CardIn): string {
  const card = new ICAL.Component('vcard');
  card.addPropertyWithValue('version', '4.0');
  card.addPropertyWithValue('fn', c.name);
  card.addPropertyWithValue('kind', c.kind === 'business' ? 'org' : 'individual');
  if (c.kind === 'business') card.addPropertyWithValue('org', c.name);
  if (c.phone) card.addPropertyWithValue('tel', c.phone);
  if (c.email) card.addPropertyWithValue('email', c.email);
  // Post office box, extended, street, place, region, code, country: ours is one line, kept in the street.
  if (c.address) card.addPropertyWithValue('adr', ['', '', c.address, '', '', '', '']);
  if (c.standing) card.addPropertyWithValue('note', c.standing);
  return `${card.toString()}\r\n`;
}

/** @throws ProblemError 404 */
export async function customerVcard(id: number): Promise<string> {
  const card = await customerCard(id);
  const own = writeCard(card);
  const contacts = await contactsOf(database(), id);
  return (
    own +
    contacts
      .map((c) => writeCard({ ...c, kind: 'household', address: '', standing: `${c.task}, ${card.name}` }))
      .join('')
  );
}

export async function customersVcards(person: Person): Promise<string> {
  allow(person, exportAll);
  return (await allCustomers(database())).map(writeCard).join('');
}

/**
 * Customers from vCards 3.0 (RFC 2426) or 4.0.
 * @throws ProblemError 400 at `file` for what is none
 */
export function readCards(text: string): CustomerIn[] {
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

export function importCards(person: Person, text: string, dryRun: boolean): Promise<ImportReport> {
  return importCustomers(person, readCards(text), dryRun);
}

/** A value as one line of text; the parts of an address or a name joined. */
function plain(value: unknown): string {
  if (Array.isArray(value)) return value.flat().map(plain).filter(Boolean).join(', ');
  return value === null || value === undefined ? '' : String(value).trim();
}
