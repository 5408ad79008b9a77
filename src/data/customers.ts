import type { Db } from './database';
import { rankedCustomers, type Forgiving } from './search';

export interface CustomerRow {
  id: number;
  kind: 'household' | 'business';
  name: string;
  phone: string;
  email: string;
  address: string;
  standing: string;
  /** Pays no tax. */
  tax_exempt: boolean;
  /** Nothing is written to them about what falls due. */
  no_letters: boolean;
  /** In which they are told; empty for the shop’s own. */
  language: string;
  version: number;
  merged_into: number | null;
}

export interface SiteRow {
  id: number;
  customer_id: number;
  label: string;
  address: string;
  note: string;
  version: number;
}

export interface ContactRow {
  id: number;
  customer_id: number;
  name: string;
  phone: string;
  email: string;
  task: string;
  version: number;
}

const COLUMNS = [
  'id',
  'kind',
  'name',
  'phone',
  'email',
  'address',
  'standing',
  'tax_exempt',
  'no_letters',
  'language',
  'version',
  'merged_into',
] as const satisfies (keyof CustomerRow)[];

export type CustomerListRow = CustomerRow & { machines: number };

/** Columns by which customers can be ordered. */
export const CUSTOMER_ORDERS = { name: 'name', phone: 'phone', address: 'address' } as const;
export type CustomerOrder = keyof typeof CUSTOMER_ORDERS;

const MOST_ORDERED = 1000;

/** Customers that answer to the words, best first; all by name when there are none; or in an order of one's own. Paged. */
export async function searchCustomers(
  db: Db,
  words: string,
  limit: number,
  offset = 0,
  how: Forgiving & { order?: { by: CustomerOrder; desc: boolean } | null } = { forgiving: true },
): Promise<CustomerListRow[]> {
  const { order } = how;
  const isAsked = words.trim() !== '';
  const query = db('customer')
    .select(...COLUMNS)
    .select({
      machines: db('machine').count().whereRaw('machine.customer_id = customer.id').whereNull('machine.merged_into'),
    });
  if (isAsked && order) query.whereIn('id', await rankedCustomers(db, words, MOST_ORDERED, 0, how));
  if (isAsked && !order) {
    const ids = await rankedCustomers(db, words, limit, offset, how);
    return query.whereIn('id', ids).orderByRaw('array_position(?::bigint[], id)', [ids]);
  }
  return query
    .whereNull('merged_into')
    .orderBy(CUSTOMER_ORDERS[order?.by ?? 'name'], order?.desc ? 'desc' : 'asc')
    .orderBy('id')
    .limit(limit)
    .offset(offset);
}

/** How many customers answer to the words, counted up to a limit; all when there are none. */
export async function countCustomers(db: Db, words: string, most: number): Promise<number> {
  if (words.trim() !== '') return (await rankedCustomers(db, words, most, 0, { forgiving: false })).length;
  const { rows } = await db.raw(
    'select count(*)::integer as count from (select from customer where merged_into is null limit ?) c',
    [most],
  );
  return rows[0].count;
}

export async function insertCustomer(
  db: Db,
  row: Pick<CustomerRow, 'kind' | 'name' | 'phone' | 'email' | 'address'> &
    Partial<Pick<CustomerRow, 'standing' | 'tax_exempt' | 'no_letters' | 'language'>>,
): Promise<number> {
  const [inserted] = await db('customer').insert(row).returning('id');
  await refreshCustomerSearch(db, inserted.id);
  return inserted.id;
}

export async function customerById(db: Db, id: number): Promise<CustomerRow | undefined> {
  return db('customer')
    .where({ id })
    .first(...COLUMNS);
}

export async function lockCustomer(db: Db, id: number): Promise<CustomerRow | undefined> {
  return db('customer')
    .where({ id })
    .forUpdate()
    .first(...COLUMNS);
}

/** The card that is kept, this one or the one that it was merged into; nobody merges it until the transaction ends. */
export async function holdKeptCustomer(db: Db, id: number): Promise<CustomerRow | undefined> {
  for (;;) {
    const row = await db('customer')
      .whereRaw('id = kept_customer(?)', [id])
      .forShare()
      .first(...COLUMNS);
    // Merged while it was waited for: the way leads on.
    if (!row?.merged_into) return row;
  }
}

/** Holds cards until the transaction ends, always in the same order: two who want the same two do not wait for each other. */
export async function lockCustomers(db: Db, ids: number[]): Promise<CustomerRow[]> {
  return db('customer')
    .whereIn('id', ids)
    .orderBy('id')
    .forUpdate()
    .select(...COLUMNS);
}

export async function updateCustomer(
  db: Db,
  id: number,
  change: Partial<
    Pick<
      CustomerRow,
      | 'kind'
      | 'name'
      | 'phone'
      | 'email'
      | 'address'
      | 'standing'
      | 'tax_exempt'
      | 'no_letters'
      | 'language'
      | 'merged_into'
    >
  >,
): Promise<void> {
  await db('customer')
    .where({ id })
    .update({ ...change, version: db.raw('version + 1') });
  await refreshCustomerSearch(db, id);
}

/** The search words of a customer and of every machine of theirs. */
export async function refreshCustomerSearch(db: Db, id: number): Promise<void> {
  await db.raw('select refresh_customer_search(?)', [id]);
  await db.raw('select refresh_machine_search(variadic array(select id from machine where customer_id = ?))', [id]);
}

export async function sitesOf(db: Db, customerId: number): Promise<SiteRow[]> {
  return db('site').where({ customer_id: customerId }).orderBy('label');
}

export async function contactsOf(db: Db, customerId: number): Promise<ContactRow[]> {
  return db('contact').where({ customer_id: customerId }).orderBy('name');
}

export async function siteById(db: Db, id: number): Promise<SiteRow | undefined> {
  return db('site').where({ id }).first();
}

/** Adds a row of a customer, or changes the one with this id. @returns whether it was there */
async function putOf<T extends { customer_id: number }>(
  db: Db,
  table: 'site' | 'contact',
  id: number | null,
  row: T,
): Promise<boolean> {
  if (id === null) await db(table).insert(row);
  else {
    const changed = await db(table)
      .where({ id, customer_id: row.customer_id })
      .update({ ...row, version: db.raw('version + 1') });
    if (changed === 0) return false;
  }
  await refreshCustomerSearch(db, row.customer_id);
  return true;
}

export function putSite(db: Db, id: number | null, row: Omit<SiteRow, 'id' | 'version'>): Promise<boolean> {
  return putOf(db, 'site', id, row);
}

export function putContact(db: Db, id: number | null, row: Omit<ContactRow, 'id' | 'version'>): Promise<boolean> {
  return putOf(db, 'contact', id, row);
}

/** Everything of one customer becomes another's. */
export async function moveCustomerRows(db: Db, from: number, to: number): Promise<void> {
  for (const table of ['machine', 'job', 'site', 'contact'])
    await db(table).where({ customer_id: from }).update({ customer_id: to });
  // Of two days on which somebody comes, the earlier; of two calendars, that of the card that is kept.
  await db.raw(
    `insert into visit_date (customer_id, on_day, words, person_id, at)
       select ?, on_day, words, person_id, at from visit_date where customer_id = ?
     on conflict (customer_id) do update set on_day = excluded.on_day, words = excluded.words,
       person_id = excluded.person_id, at = excluded.at where excluded.on_day < visit_date.on_day`,
    [to, from],
  );
  await db('visit_date').where({ customer_id: from }).delete();
  await db('calendar_feed')
    .where({ customer_id: from })
    .whereNotExists(db('calendar_feed').where({ customer_id: to }))
    .update({ customer_id: to });
  await db('calendar_feed').where({ customer_id: from }).delete();
}
