import type { Db } from './database';

export interface ShopRow {
  name: string;
  zone: string;
  mains_v: number;
  currency: string;
  paper: 'A4' | 'Letter';
}

const DEFAULTS: ShopRow = { name: 'Our shop', zone: 'UTC', mains_v: 120, currency: 'USD', paper: 'A4' };

export async function shopSettings(db: Db): Promise<ShopRow> {
  return (await db('shop').first('name', 'zone', 'mains_v', 'currency', 'paper')) ?? DEFAULTS;
}

export async function insertShop(db: Db, row: ShopRow): Promise<void> {
  await db('shop').insert(row);
}
