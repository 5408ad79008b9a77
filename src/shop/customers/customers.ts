import {
  contactsOf,
  countCustomers,
  customerById,
  insertCustomer,
  lockCustomer,
  lockCustomers,
  moveCustomerRows,
  putContact as storeContact,
  putSite as storeSite,
  searchCustomers,
  sitesOf,
  updateCustomer,
  refreshCustomerSearch,
  type CustomerOrder,
} from '@/data/customers';
import { database, type Db } from '@/data/database';
import { machinesOfCustomer } from '@/data/machines';
import { shopSettings } from '@/data/shopSettings';
import { counter, everyone } from '../access/roles';
import { deedOn, once, onVersion, shopDeed } from '../deed/deed';
import type { ListQuery, Page } from '../lists/dto';
import { pageOf } from '../lists/pageOf';
import { notFound, refuseIf } from '../problem';
import { dayInZone } from '../settings/day';
import {
  AddCustomerDto,
  AmendCustomerDto,
  MergeCustomersDto,
  PutContactDto,
  PutSiteDto,
  type CustomerCardView,
  type CustomerListView,
} from './dto';

/** Customers by name, phone, contact, site or address; one page. */
export async function findCustomers(asked: Partial<ListQuery<CustomerOrder>> = {}): Promise<Page<CustomerListView>> {
  const db = database();
  const { words = '', page = 0, sort = null } = asked;
  return pageOf(
    { page },
    (limit, offset) => searchCustomers(db, words, limit, offset, { forgiving: true, order: sort }),
    (most) => countCustomers(db, words, most),
    (c) => ({
      id: c.id,
      name: c.name,
      kind: c.kind,
      phone: c.phone,
      address: c.address,
      machines: Number(c.machines),
    }),
  );
}

/** @throws ProblemError 404 */
export async function customerHere(id: number): Promise<void> {
  if (!(await customerById(database(), id))) throw notFound('This customer');
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
    taxExempt: customer.tax_exempt,
    noLetters: customer.no_letters,
    language: customer.language,
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

export const addCustomer = shopDeed(
  { name: 'add-customer', roles: everyone, summary: 'Add a customer', dto: AddCustomerDto },
  (person, dto) => once(person, 'add-customer', dto, '', async (db) => ({ id: await insertCustomer(db, fields(dto)) })),
);

/** The card held, its answer the card as it is then. */
function subject(id: number) {
  return {
    id,
    what: 'This customer',
    lock: (db: Db) => lockCustomer(db, id),
    view: (db: Db) => card(db, id),
  };
}

/** The same, held together with the card that is to become part of it. */
function both(id: number, other: number) {
  return { ...subject(id), lock: async (db: Db) => (await lockCustomers(db, [id, other])).find((c) => c.id === id) };
}

/** Refused with the card as it is now when somebody changed it meanwhile. */
export const amendCustomer = deedOn(
  { name: 'amend-customer', roles: counter, summary: 'Correct the card', dto: AmendCustomerDto },
  (person, id: number, dto) =>
    onVersion(person, 'amend-customer', dto, subject(id), (db) => updateCustomer(db, id, fields(dto))),
);

/**
 * Two cards of the same customer become one: machines, jobs, sites and contacts go over; the other card leads here from then on.
 * Refused for itself or one that was merged already.
 */
export const mergeCustomers = deedOn(
  { name: 'merge-customers', roles: counter, summary: 'Make another card part of this one', dto: MergeCustomersDto },
  (person, id: number, dto) =>
    onVersion(person, 'merge-customers', dto, both(id, dto.other), async (db, kept) => {
      const other = await customerById(db, dto.other);
      refuseIf(
        !other || other.id === id || other.merged_into !== null
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
        no_letters: kept.no_letters || other!.no_letters,
      });
      await refreshCustomerSearch(db, id);
    }),
);

export const putSite = deedOn(
  { name: 'put-site', roles: counter, summary: 'Add or change a site', dto: PutSiteDto },
  (person, id: number, dto) =>
    onVersion(person, 'put-site', dto, subject(id), async (db) => {
      const row = { customer_id: id, label: dto.label.trim(), address: dto.address.trim(), note: dto.note.trim() };
      refuseIf(
        (await storeSite(db, dto.id ?? null, row)) ? [] : [{ field: 'id', message: 'This site is not one of theirs.' }],
      );
      await updateCustomer(db, id, {});
    }),
);

export const putContact = deedOn(
  { name: 'put-contact', roles: counter, summary: 'Add or change a contact', dto: PutContactDto },
  (person, id: number, dto) =>
    onVersion(person, 'put-contact', dto, subject(id), async (db) => {
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
    }),
);

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
    ...(dto.taxExempt === undefined ? {} : { tax_exempt: dto.taxExempt }),
    ...(dto.noLetters === undefined ? {} : { no_letters: dto.noLetters }),
    ...(dto.language === undefined ? {} : { language: dto.language }),
  };
}
