import { IANAZone } from 'luxon';
import { database, type Db } from '@/data/database';
import { markStale } from '@/data/plans';
import { lockShop, shopSettings, updateShop } from '@/data/shopSettings';
import { owner } from '../access/roles';
import { onVersion, shopDeed } from '../deed/deed';
import { refuseIf } from '../problem';
import { AmendShopDto, type ShopView } from './dto';

export function shopOf(): Promise<ShopView> {
  return view(database());
}

async function view(db: Db): Promise<ShopView> {
  const s = await shopSettings(db);
  return {
    version: s.version,
    name: s.name,
    zone: s.zone,
    mainsV: s.mains_v,
    currency: s.currency,
    paper: s.paper,
    benches: s.benches,
    units: s.units,
    comebackMinutes: s.comeback_minutes,
    labourMinor: s.labour_minor,
    lockMinutes: s.lock_minutes,
    frostMonth: s.frost_month,
  };
}

/** Name, zone, mains, paper and benches of the shop. */
export const amendShop = shopDeed(
  { name: 'amend-shop', roles: owner, summary: 'Change what holds for the whole shop', dto: AmendShopDto },
  (person, dto): Promise<ShopView> =>
    onVersion(person, 'amend-shop', dto, { id: 1, what: 'The shop', lock: lockShop, view }, async (db) => {
      refuseIf(IANAZone.isValidZone(dto.zone) ? [] : [{ field: 'zone', message: 'A time zone, such as Europe/Oslo.' }]);
      const { name, zone, mainsV, paper, benches, units, comebackMinutes, labourMinor, lockMinutes, frostMonth } = dto;
      if (frostMonth !== undefined && frostMonth !== (await shopSettings(db)).frost_month) await markStale(db, 'all');
      await updateShop(db, {
        name: name.trim(),
        zone,
        mains_v: mainsV,
        paper,
        benches,
        units,
        ...(comebackMinutes === undefined ? {} : { comeback_minutes: comebackMinutes }),
        ...(labourMinor === undefined ? {} : { labour_minor: labourMinor }),
        ...(lockMinutes === undefined ? {} : { lock_minutes: lockMinutes }),
        ...(frostMonth === undefined ? {} : { frost_month: frostMonth }),
      });
    }),
);
