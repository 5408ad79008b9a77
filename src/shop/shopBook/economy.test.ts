import { plainToInstance } from 'class-transformer';
import { validate } from 'class-validator';
import { randomUUID } from 'node:crypto';
import { jobState } from '@/data/jobState';
import { caseOfJob } from '../jobView/caseOfJob';
import { openJob, testShop } from '../scene.fixture';
import { AmendShopDto } from './dto';
import { amendShop, shopOf } from './shopBook';

const shop = testShop();

const amend = async (more: object) => {
  const { name, zone, mainsV, paper, benches, units, version } = await shopOf();
  const owner = { ...shop.person, role: 'owner' as const };
  return amendShop(owner, { name, zone, mainsV, paper, benches, units, version, key: randomUUID(), ...more });
};

test('what a comeback and an hour cost reach the finder of every job, by the prices of this shop', async () => {
  const job = await openJob(shop.person, shop.models['upright-shaft-belt']!, ['roll-slow']);
  const asked = async () => caseOfJob((await jobState(shop.db, job))!);
  // Nothing said: the usual figures.
  expect(await asked()).toMatchObject({ comebackMinutes: 90 });
  expect((await asked()).partMinutes).toBeUndefined();
  await amend({ comebackMinutes: 45, labourMinor: 6000 });
  const { comebackMinutes, partMinutes } = await asked();
  expect(comebackMinutes).toBe(45);
  const prices = await shop
    .db('part')
    .join('part_station', 'part_station.code', 'part.code')
    .where({ kind: 'upright-shaft-belt', part_group: 'belt' })
    .distinct('part.code', 'price_minor')
    .orderBy('price_minor');
  // The middle price at 60.00 an hour: one minute for each whole of the currency.
  const middle = Number(prices[Math.ceil(prices.length / 2) - 1].price_minor);
  expect(partMinutes!.belt).toBe(Math.round(middle / 100));
  // Cleared again; what is not named stays.
  await amend({ labourMinor: null });
  expect((await asked()).partMinutes).toBeUndefined();
  expect((await shopOf()).comebackMinutes).toBe(45);
});

test.each([
  ['comebackMinutes', 5],
  ['comebackMinutes', 601],
  ['comebackMinutes', 12.5],
  ['labourMinor', 0],
  ['labourMinor', -3],
])('%s of %d is refused at its field', async (field, value) => {
  const { name, zone, mainsV, paper, benches, units, version } = await shopOf();
  const dto = { name, zone, mainsV, paper, benches, units, version, key: randomUUID() };
  expect(await validate(plainToInstance(AmendShopDto, dto))).toEqual([]);
  const wrong = await validate(plainToInstance(AmendShopDto, { ...dto, [field]: value }));
  expect(wrong.map((e) => e.property)).toEqual([field]);
});
