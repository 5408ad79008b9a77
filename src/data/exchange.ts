import type { CustomerRow } from './customers';
import type { Db } from './database';
import type { MachineRow } from './machines';

const CHUNK = 1000;

export async function allCustomers(db: Db): Promise<CustomerRow[]> {
  return db('customer').whereNull('merged_into').orderBy('id');
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
  const ids: number[] = [];
  for (let i = 0; i < rows.length; i += CHUNK)
    ids.push(
      ...(
        await db('customer')
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
          .returning('id')
      ).map((r: { id: number }) => r.id),
    );
  await db.raw('select refresh_customer_search(variadic ?::bigint[])', [ids]);
}

export async function allMachines(db: Db) {
  return db('machine')
    .join('model', 'model.id', 'machine.model_id')
    .join('customer', 'customer.id', 'machine.customer_id')
    .whereNull('machine.merged_into')
    .orderBy('machine.id')
    .select<
      (Pick<MachineRow, 'tag' | 'serial' | 'made_year' | 'purchased_on' | 'pets' | 'hours_per_week' | 'note'> & {
        maker: string;
        model: string;
        owner: string;
        owner_phone: string;
      })[]
    >(
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
  const ids: number[] = [];
  for (let i = 0; i < rows.length; i += CHUNK)
    ids.push(
      ...(
        await db('machine')
          .insert(rows.slice(i, i + CHUNK))
          .returning('id')
      ).map((r: { id: number }) => r.id),
    );
  await db.raw('select refresh_machine_search(variadic ?::bigint[])', [ids]);
}
