import ICAL from 'ical.js';
import { contactsOf } from '@/data/customers';
import { allCustomers } from '@/data/exchange';
import { database } from '@/data/database';
import type { Person } from '../access/person';
import { customerCard } from '../customers/customers';
import { openLines } from '../openLines';
import { outOfPackets } from '../papers/packets';
import type { CardRow } from '../papers/readCards';
import { inPaperThread } from '../papers/paperThreads';
import { importCustomers } from './customersCsv';
import type { ImportReport } from './dto';
import { writtenOut } from './written';

/** vCard 4.0 (RFC 6350) of one customer. */
export function writeCard(given: CardRow): string {
  // A line end of another sort would end the line of the card itself.
  const c = Object.fromEntries(
    Object.entries(given).map(([name, text]) => [name, typeof text === 'string' ? text.replace(/\r\n?/g, '\n') : text]),
  ) as unknown as CardRow;
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
  return openLines(card);
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

export function customersVcards(person: Person): Promise<AsyncGenerator<string>> {
  return writtenOut(person, allCustomers, (rows) => rows.map(writeCard).join(''));
}

export async function importCards(person: Person, text: string, dryRun: boolean): Promise<ImportReport> {
  const packets = await inPaperThread('readCards', text);
  return importCustomers(person, () => outOfPackets<CardRow>(packets), dryRun);
}
