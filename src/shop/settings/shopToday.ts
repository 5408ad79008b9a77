import { database } from '@/data/database';
import { shopSettings } from '@/data/shopSettings';
import { dayInZone } from './day';

/** Today's date in the shop's zone. */
export async function shopToday(): Promise<string> {
  return dayInZone(new Date(), (await shopSettings(database())).zone);
}
