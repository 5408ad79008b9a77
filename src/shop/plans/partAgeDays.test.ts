import { planItems } from '@/knowledge/plans';
import { partAgeDays } from './partAgeDays';

const KIND = 'upright-shaft-belt';
const TODAY = '2026-11-29';
const NOW = Date.parse('2026-11-29T12:00:00Z');
const fitted = (station: string, day: string) => ({ station, at: Date.parse(`${day}T09:00:00Z`) });
const age = (...args: [Parameters<typeof partAgeDays>[1], Parameters<typeof partAgeDays>[2]]) =>
  partAgeDays(KIND, ...args, NOW, TODAY);

test('a part is as old as its fitting', () => {
  expect(age([fitted('flat-belt', '2026-11-19')], [])).toEqual({ 'flat-belt': 10 });
});

test('a service that renews the part makes it new, also when no part was written down; the later of both counts', () => {
  const old = fitted('flat-belt', '2025-01-29');
  expect(age([old], [{ item: 'flat-belt', on: '2026-10-08' }])).toEqual({ 'flat-belt': 52 });
  expect(age([], [{ item: 'flat-belt', on: '2026-10-08' }])).toEqual({ 'flat-belt': 52 });
  expect(age([fitted('flat-belt', '2026-11-28')], [{ item: 'flat-belt', on: '2026-10-08' }])).toEqual({
    'flat-belt': 1,
  });
});

test('what is only looked at, washed or measured makes nothing new, nor does what was never done', () => {
  const looks = planItems.filter((i) => i.partShare !== 1 && i.stations[KIND] !== undefined);
  expect(looks.length).toBeGreaterThan(3);
  expect(
    age(
      [],
      looks.map((i) => ({ item: i.id, on: TODAY })),
    ),
  ).toEqual({});
  expect(age([], [{ item: 'flat-belt', on: null }])).toEqual({});
});

test('a service of another kind of machine says nothing of this one', () => {
  const foreign = planItems.find((i) => i.partShare === 1 && i.stations[KIND] === undefined)!;
  expect(age([], [{ item: foreign.id, on: TODAY }])).toEqual({});
  expect(age([], [{ item: 'no-such-service', on: TODAY }])).toEqual({});
});
