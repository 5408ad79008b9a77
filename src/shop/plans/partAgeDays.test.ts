import { planItems } from '@/knowledge/plans';
import { agedParts, faultAgeDays, partAgeDays } from './partAgeDays';

const KIND = 'upright-shaft-belt';
const TODAY = '2026-11-29';
const NOW = Date.parse('2026-11-29T12:00:00Z');
const fitted = (station: string, day: string, group: string | null = 'belt') => ({
  station,
  group,
  at: Date.parse(`${day}T09:00:00Z`),
});
const aged = (...args: [Parameters<typeof agedParts>[1], Parameters<typeof agedParts>[2]]) =>
  agedParts(KIND, ...args, NOW, TODAY);
const age = (...args: Parameters<typeof aged>) => partAgeDays(KIND, aged(...args));

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

test('new carbon brushes make no motor new, a new motor has new brushes', () => {
  const brushes = [fitted('suction-motor', '2026-11-19', 'carbon')];
  expect(age(brushes, [])).toEqual({});
  expect(faultAgeDays(KIND, 'suction-motor-worn', aged(brushes, []))).toBeUndefined();
  expect(faultAgeDays(KIND, 'carbon-brushes-worn', aged(brushes, []))).toBe(10);

  const motor = [fitted('suction-motor', '2026-11-09', 'motor')];
  expect(age(motor, [])).toEqual({ 'suction-motor': 20 });
  expect(faultAgeDays(KIND, 'carbon-brushes-worn', aged([...motor, ...brushes], []))).toBe(10);
  expect(faultAgeDays(KIND, 'carbon-brushes-worn', aged(motor, []))).toBe(20);
});

test('of a part that is on no list is told what its station leaves no doubt of', () => {
  const belt = aged([fitted('flat-belt', '2026-11-19', null)], []);
  expect(partAgeDays(KIND, belt)).toEqual({ 'flat-belt': 10 });
  expect(faultAgeDays(KIND, 'belt-slipping', belt)).toBe(10);
  // Brushes or the whole motor: nobody wrote it down.
  const motor = aged([fitted('suction-motor', '2026-11-19', null)], []);
  expect(partAgeDays(KIND, motor)).toEqual({});
  expect(faultAgeDays(KIND, 'suction-motor-worn', motor)).toBeUndefined();
});
