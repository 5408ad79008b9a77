import { randomUUID } from 'node:crypto';
import { addDays } from '@/core/service/days';
import { reckonGauge } from '../gauges/gauges';
import { gaugeById } from '@/core/gauges/catalogue';
import { refusal, testShop } from '../scene.fixture';
import type { PutInstrumentDto } from './dto';
import { addInstrument, amendInstrument, instrumentCards, instruments } from './instruments';

const shop = testShop();
const today = new Date().toISOString().slice(0, 10);
const dto = (more: Partial<PutInstrumentDto> = {}): PutInstrumentDto => ({
  key: randomUUID(),
  name: 'Safety tester',
  measures: 'earth, insulation',
  goodToPercent: 3,
  calibratedOn: addDays(today, -100),
  everyMonths: 12,
  certificate: '',
  note: '',
  outOfUse: false,
  ...more,
});
const named = async (name: string) => (await instruments()).find((i) => i.name === name)!;

test('is written down with until when it may be trusted, by the calendar', async () => {
  await addInstrument(shop.person, dto());
  await addInstrument(shop.person, dto({ name: 'Ran out', calibratedOn: addDays(today, -400) }));
  await addInstrument(shop.person, dto({ name: 'Soon', calibratedOn: addDays(today, -350) }));
  await addInstrument(shop.person, dto({ name: 'Never', calibratedOn: null, goodToPercent: null }));
  expect((await instruments()).map((i) => [i.name, i.state])).toEqual([
    ['Never', 'never'],
    ['Ran out', 'past'],
    ['Safety tester', 'good'],
    ['Soon', 'soon'],
  ]);
  // A year from the day, not 365 days: a month that is too short ends on its last.
  await addInstrument(shop.person, dto({ name: 'Leap', calibratedOn: '2024-02-29', everyMonths: 12 }));
  expect((await named('Leap')).dueOn).toBe('2025-02-28');
});

test('two are not called the same; what cannot be is refused at its field; two writers do not lose each other', async () => {
  const fields = async (more: Partial<PutInstrumentDto>) =>
    (await refusal(addInstrument.from(shop.person, dto({ name: 'New', ...more })))).fields.map((f) => f.field);
  expect(await fields({ name: ' safety TESTER ' })).toEqual(['name']);
  expect(await fields({ calibratedOn: addDays(today, 2) })).toEqual(['calibratedOn']);
  expect(await fields({ calibratedOn: '2026-02-30' })).toEqual(['calibratedOn']);
  expect(await fields({ goodToPercent: 0, everyMonths: 0 })).toEqual(['goodToPercent', 'everyMonths']);
  const { id, version } = await named('Soon');
  const changed = await amendInstrument(shop.person, id, dto({ name: 'Soon', version, outOfUse: true }));
  expect([changed.state, changed.version]).toEqual(['out-of-use', version + 1]);
  const late = await refusal(amendInstrument(shop.person, id, dto({ name: 'Soon', version })));
  expect([late.status, (late.extra as { current: { outOfUse: boolean } }).current.outOfUse]).toEqual([409, true]);
  // Its own name is no other’s.
  expect((await amendInstrument(shop.person, id, dto({ name: 'soon', version: version + 1 }))).name).toBe('soon');
});

test('the safety test knows them, on the server too: one that ran out proves nothing', async () => {
  const example = { ...gaugeById('safety-test')!.example, touch: '0.1 mA' };
  const says = async (instrument: string) => (await reckonGauge('safety-test', { ...example, instrument })).says;
  expect(await says('Safety tester')).toMatch(/^Pass/);
  expect(await says('ran out')).toMatch(/^Ask: the calibration of Ran out ran out on/);
  expect(await says('Never')).toMatch(/^Ask: Never was never calibrated/);
  const { id, version } = await named('Ran out');
  await amendInstrument(shop.person, id, dto({ name: 'Ran out', version, outOfUse: true }));
  expect((await instrumentCards(shop.db)).map((i) => i.name)).not.toContain('Ran out');
});
