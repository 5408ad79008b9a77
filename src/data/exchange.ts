import type { CustomerRow } from './customers';
import type { Db } from './database';
import type { MachineRow } from './machines';

const CHUNK = 1000;

/** Rows in the order of their numbers, a page at a time: no more than a page is held, however many there are. */
async function* paged<Row extends { id: number }>(page: (after: number) => Promise<Row[]>): AsyncGenerator<Row[]> {
  for (let after = 0; ;) {
    const rows = await page(after);
    if (rows.length > 0) yield rows;
    if (rows.length < CHUNK) return;
    after = rows.at(-1)!.id;
  }
}

export function allCustomers(db: Db): AsyncGenerator<CustomerRow[]> {
  return paged((after) => db('customer').whereNull('merged_into').where('id', '>', after).orderBy('id').limit(CHUNK));
}

/** Every customer by `name|digits of the phone`, small letters. */
export async function knownCustomers(db: Db): Promise<Map<string, number>> {
  const rows = await db('customer')
    .whereNull('merged_into')
    .select<{ id: number; key: string }[]>('id', db.raw(`lower(trim(name)) || '|' || digits_of(phone) as key`));
  return new Map(rows.map((r) => [r.key, r.id]));
}

export async function insertCustomers(
  db: Db,
  rows: { name: string; kind: string; phone: string; email: string; address: string; standing: string }[],
): Promise<void> {
  for (let i = 0; i < rows.length; i += CHUNK) {
    const inserted = await db('customer')
      .insert(
        rows.slice(i, i + CHUNK).map(({ name, kind, phone, email, address, standing }) => ({
          name,
          kind,
          phone,
          email,
          address,
          standing,
        })),
      )
      .returning('id');
    await db.raw('select refresh_customer_search(variadic ?::bigint[])', [inserted.map((r: { id: number }) => r.id)]);
  }
}

type MachineOut = Pick<
  MachineRow,
  'id' | 'tag' | 'serial' | 'made_year' | 'purchased_on' | 'pets' | 'hours_per_week' | 'note'
> & { maker: string; model: string; owner: string; owner_phone: string };

export function allMachines(db: Db): AsyncGenerator<MachineOut[]> {
  return paged((after) => machinesAfter(db, after));
}

async function machinesAfter(db: Db, after: number): Promise<MachineOut[]> {
  return db('machine')
    .join('model', 'model.id', 'machine.model_id')
    .join('customer', 'customer.id', 'machine.customer_id')
    .whereNull('machine.merged_into')
    .where('machine.id', '>', after)
    .orderBy('machine.id')
    .limit(CHUNK)
    .select<MachineOut[]>(
      'machine.id',
      'machine.tag',
      'machine.serial',
      'machine.made_year',
      'machine.purchased_on',
      'machine.pets',
      'machine.hours_per_week',
      'machine.note',
      'model.maker',
      { model: 'model.name', owner: 'customer.name', owner_phone: 'customer.phone' },
    );
}

/** Every tag, and every `model|owner|serial` in small letters. */
export async function knownMachines(db: Db): Promise<{ tags: Set<string>; books: Set<string> }> {
  const rows = await db('machine').select<{ tag: string; book: string }[]>(
    'tag',
    db.raw(`model_id || '|' || customer_id || '|' || lower(serial) as book`),
  );
  return { tags: new Set(rows.map((r) => r.tag)), books: new Set(rows.map((r) => r.book)) };
}

export type MachineIn = Pick<
  MachineRow,
  | 'tag'
  | 'model_id'
  | 'customer_id'
  | 'serial'
  | 'made_year'
  | 'purchased_on'
  | 'warranty_until'
  | 'pets'
  | 'hours_per_week'
  | 'note'
>;

export async function insertMachines(db: Db, rows: MachineIn[]): Promise<void> {
  for (let i = 0; i < rows.length; i += CHUNK) {
    const inserted = await db('machine')
      .insert(rows.slice(i, i + CHUNK))
      .returning('id');
    await db.raw('select refresh_machine_search(variadic ?::bigint[])', [inserted.map((r: { id: number }) => r.id)]);
  }
}
