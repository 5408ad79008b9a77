import type { Db } from './database';

export interface ShopRow {
  name: string;
  zone: string;
  mains_v: number;
  currency: string;
  paper: 'A4' | 'Letter';
  benches: number;
  units: 'metric' | 'inch';
  /** What a machine costs that comes back, minutes. */
  comeback_minutes: number;
  /** What an hour of the bench costs, in minor units; null when it was not said. */
  labour_minor: number | null;
  /** After how many quiet minutes a screen locks itself; null for never. */
  lock_minutes: number | null;
  /** BCP 47: how amounts and dates are written. */
  locale: string;
  /** As the shop set them: what they mean is not known here. */
  charges: object;
  taxes: object;
  schools: object;
  letterhead: object;
  /** Language → what owners are told in it. */
  phrases: object;
  mail: object;
  /** Nothing is opened further before the owner answered. */
  agree_first: boolean;
  /** In which month the first frost is looked for, 1 to 12; null where there is none. */
  frost_month: number | null;
  /** What owners are written when something falls due: subject and words. */
  letters: { subject?: string; words?: string };
  version: number;
}

const DEFAULTS: ShopRow = {
  name: 'Our shop',
  zone: 'UTC',
  mains_v: 120,
  currency: 'USD',
  paper: 'A4',
  benches: 2,
  units: 'metric',
  comeback_minutes: 90,
  labour_minor: null,
  lock_minutes: null,
  locale: 'en',
  charges: {},
  taxes: {},
  schools: {},
  letterhead: {},
  phrases: {},
  mail: {},
  agree_first: true,
  frost_month: null,
  letters: {},
  version: 1,
};

const COLUMNS = [
  'name',
  'zone',
  'mains_v',
  'currency',
  'paper',
  'benches',
  'units',
  'comeback_minutes',
  'labour_minor',
  'lock_minutes',
  'locale',
  'charges',
  'taxes',
  'schools',
  'letterhead',
  'phrases',
  'mail',
  'agree_first',
  'frost_month',
  'letters',
  'version',
] as const;

export async function shopSettings(db: Db): Promise<ShopRow> {
  return (await db('shop').first(...COLUMNS)) ?? DEFAULTS;
}

export async function insertShop(
  db: Db,
  row: Pick<ShopRow, 'name' | 'zone' | 'mains_v' | 'currency' | 'paper'> & Partial<ShopRow>,
): Promise<void> {
  await db('shop').insert(row);
}

export async function lockShop(db: Db): Promise<ShopRow> {
  await db('shop').insert(DEFAULTS).onConflict('only_one').ignore();
  return (await db('shop')
    .forUpdate()
    .first(...COLUMNS))!;
}

export async function updateShop(db: Db, change: Partial<Omit<ShopRow, 'version'>>): Promise<void> {
  await db('shop').update({ ...change, version: db.raw('version + 1') });
}
