import type { Db } from './database';

export interface CustomerRow {
  id: number;
  kind: 'household' | 'business';
  name: string;
  phone: string;
  email: string;
  address: string;
}

export async function searchCustomers(
  db: Db,
  words: string,
  limit: number,
): Promise<(CustomerRow & { machines: number })[]> {
  const query = db('customer')
    .select('id', 'kind', 'name', 'phone', 'email', 'address')
    .select({ machines: db('machine').count().whereRaw('machine.customer_id = customer.id') })
    .limit(limit);
  for (const word of words.toLowerCase().split(/\s+/).filter(Boolean))
    query.whereRaw(`lower(name || ' ' || phone) like ?`, [`%${word.replace(/[\\%_]/g, '\\$&')}%`]);
  return query.orderBy('name');
}

export async function insertCustomer(db: Db, row: Omit<CustomerRow, 'id'>): Promise<number> {
  const [inserted] = await db('customer').insert(row).returning('id');
  return inserted.id;
}

export async function customerById(db: Db, id: number): Promise<CustomerRow | undefined> {
  return db('customer').where({ id }).first('id', 'kind', 'name', 'phone', 'email', 'address');
}
