import { IANAZone } from 'luxon';
import { database, type Db } from '@/data/database';
import { lockShop, shopSettings, updateShop } from '@/data/shopSettings';
import type { Person } from '../access/person';
import { versionedDeed } from '../deed/deed';
import { refuseIf } from '../problem';
import type { AmendShopDto, ShopView } from './dto';

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
  };
}

/** Name, zone, mains, paper and benches of the shop. @throws ProblemError 400, 403, 409 */
export function amendShop(person: Person, dto: AmendShopDto): Promise<ShopView> {
  return versionedDeed(person, 'amend-shop', dto, { id: 1, what: 'The shop', lock: lockShop, view }, async (db) => {
    refuseIf(IANAZone.isValidZone(dto.zone) ? [] : [{ field: 'zone', message: 'A time zone, such as Europe/Oslo.' }]);
    const { name, zone, mainsV, paper, benches, units } = dto;
    await updateShop(db, { name: name.trim(), zone, mains_v: mainsV, paper, benches, units });
  });
}
