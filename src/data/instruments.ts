import type { Db } from './database';

export interface InstrumentRow {
  id: number;
  version: number;
  name: string;
  measures: string;
  good_to_percent: number | null;
  calibrated_on: string | null;
  every_months: number;
  certificate: string;
  note: string;
  out_of_use: boolean;
}

const COLUMNS = [
  'id',
  'version',
  'name',
  'measures',
  'calibrated_on',
  'every_months',
  'certificate',
  'note',
  'out_of_use',
] as const;

const list = (db: Db) =>
  db('instrument').select<InstrumentRow[]>(...COLUMNS, db.raw('good_to_percent::float8 as good_to_percent'));

/** Those in use first, by name. */
export async function instruments(db: Db): Promise<InstrumentRow[]> {
  return list(db).orderBy(['out_of_use', 'name']).limit(500);
}

export async function lockInstrument(db: Db, id: number): Promise<InstrumentRow | undefined> {
  const [row] = await list(db).where({ id }).forUpdate();
  return row;
}

/** Whether another one is called so. */
export async function isInstrumentName(db: Db, name: string, but: number | null): Promise<boolean> {
  const query = db('instrument').whereRaw('lower(name) = lower(?)', [name]);
  if (but !== null) query.whereNot({ id: but });
  return (await query.first('id')) !== undefined;
}

export async function insertInstrument(db: Db, row: Omit<InstrumentRow, 'id' | 'version'>): Promise<number> {
  const [made] = await db('instrument').insert(row).returning('id');
  return made.id;
}

export async function updateInstrument(db: Db, id: number, row: Omit<InstrumentRow, 'id' | 'version'>): Promise<void> {
  await db('instrument')
    .where({ id })
    .update({ ...row, version: db.raw('version + 1') });
}
