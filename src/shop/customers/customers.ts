import {
  contactsOf,
  customerById,
  insertCustomer,
  lockCustomer,
  moveCustomerRows,
  putContact as storeContact,
  putSite as storeSite,
  searchCustomers,
  sitesOf,
  updateCustomer,
  refreshCustomerSearch,
} from '@/data/customers';
import { database, type Db } from '@/data/database';
import { machinesOfCustomer } from '@/data/machines';
import { shopSettings } from '@/data/shopSettings';
import type { Person } from '../access/person';
import { deed, versionedDeed } from '../deed/deed';
import { notFound, refuseIf } from '../problem';
import { dayInZone } from '../settings/day';
import type {
  AddCustomerDto,
  AmendCustomerDto,
  CustomerCardView,
  CustomerListView,
  MergeCustomersDto,
  PutContactDto,
  PutSiteDto,
} from './dto';

const PAGE = 50;

/** Customers by name, phone, contact, site or address; one page, and whether there is another. */
export async function findCustomers(words: string, page = 0): Promise<{ rows: CustomerListView[]; more: boolean }> {
  const rows = await searchCustomers(database(), words, PAGE + 1, page * PAGE);
  return {
    rows: rows.slice(0, PAGE).map((c) => ({
      id: c.id,
      name: c.name,
      kind: c.kind,
      phone: c.phone,
      address: c.address,
      machines: Number(c.machines),
    })),
    more: rows.length > PAGE,
  };
}

/** Everything about one customer. @throws ProblemError 404 */
export async function customerCard(id: number): Promise<CustomerCardView> {
  return card(database(), id);
}

async function card(db: Db, id: number): Promise<CustomerCardView> {
  const customer = await customerById(db, id);
  if (!customer) throw notFound('This customer');
  const machines = await machinesOfCustomer(db, id, 300);
  const alike = (await searchCustomers(db, customer.name, 5)).filter((c) => c.id !== id);
  return {
    id,
    version: customer.version,
    name: customer.name,
    kind: customer.kind,
    phone: customer.phone,
    email: customer.email,
    address: customer.address,
    standing: customer.standing,
    mergedInto: customer.merged_into,
    sites: (await sitesOf(db, id)).map(({ id: site, label, address, note }) => ({ id: site, label, address, note })),
    contacts: (await contactsOf(db, id)).map((c) => ({
      id: c.id,
      name: c.name,
      phone: c.phone,
      email: c.email,
      task: c.task,
    })),
    machines: machines.map((m) => ({
      id: m.id,
      tag: m.tag,
      maker: m.maker,
      model: m.model,
      serial: m.serial,
      openJob: m.open_job,
      lastJobAt: m.last_job_at?.toISOString() ?? null,
      nextDueOn: m.next_due_on,
    })),
    alike: alike.map((c) => ({ id: c.id, name: c.name, phone: c.phone, machines: Number(c.machines) })),
    today: dayInZone(new Date(), (await shopSettings(db)).zone),
  };
}

export function addCustomer(person: Person, dto: AddCustomerDto): Promise<{ id: number }> {
  return deed(person, 'add-customer', dto.key, '', async (db) => ({ id: await insertCustomer(db, fields(dto)) }));
}

/** The card held, its answer the card as it is then. */
function subject(id: number) {
  return {
    id,
    what: 'This customer',
    lock: (db: Db) => lockCustomer(db, id),
    view: (db: Db) => card(db, id),
  };
}

/** @throws ProblemError 404; 409 with the card as it is now */
export function amendCustomer(person: Person, id: number, dto: AmendCustomerDto) {
  return versionedDeed(person, 'amend-customer', dto, subject(id), (db) => updateCustomer(db, id, fields(dto)));
}

/**
 * Two cards of the same customer become one: machines, jobs, sites and contacts go over; the other card leads here from then on.
 * @throws ProblemError 400 for itself or one that was merged already
 */
export function mergeCustomers(person: Person, id: number, dto: MergeCustomersDto) {
  return versionedDeed(person, 'merge-customers', dto, subject(id), async (db, kept) => {
    const other = await lockCustomer(db, dto.other);
    refuseIf(
      !other || other.id === id || other.merged_into !== null || kept.merged_into !== null
        ? [{ field: 'other', message: 'Choose another customer that was not merged before.' }]
        : [],
    );
    await moveCustomerRows(db, dto.other, id);
    await updateCustomer(db, dto.other, { merged_into: id });
    await updateCustomer(db, id, {
      phone: kept.phone || other!.phone,
      email: kept.email || other!.email,
      address: kept.address || other!.address,
      standing: [kept.standing, other!.standing].filter(Boolean).join('\n'),
    });
    await refreshCustomerSearch(db, id);
  });
}

export function putSite(person: Person, id: number, dto: PutSiteDto) {
  return versionedDeed(person, 'put-site', dto, subject(id), async (db) => {
    const row = { customer_id: id, label: dto.label.trim(), address: dto.address.trim(), note: dto.note.trim() };
    refuseIf(
      (await storeSite(db, dto.id ?? null, row)) ? [] : [{ field: 'id', message: 'This site is not one of theirs.' }],
    );
    await updateCustomer(db, id, {});
  });
}

export function putContact(person: Person, id: number, dto: PutContactDto) {
  return versionedDeed(person, 'put-contact', dto, subject(id), async (db) => {
    const row = {
      customer_id: id,
      name: dto.name.trim(),
      phone: dto.phone.trim(),
      email: dto.email.trim(),
      task: dto.task.trim(),
    };
    refuseIf(
      (await storeContact(db, dto.id ?? null, row))
        ? []
        : [{ field: 'id', message: 'This contact is not one of theirs.' }],
    );
    await updateCustomer(db, id, {});
  });
}

function fields(dto: Omit<AmendCustomerDto, 'key' | 'version'>) {
  const name = dto.name.trim();
  refuseIf(name === '' ? [{ field: 'name', message: 'The customer’s name.' }] : []);
  return {
    name,
    kind: dto.kind,
    phone: dto.phone.trim(),
    email: dto.email.trim(),
    address: dto.address.trim(),
    standing: dto.standing.trim(),
  };
}
