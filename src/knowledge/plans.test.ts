import { checksOf } from '@/core/diagnosis/knowledge';
import { knowledge } from '.';
import { procedures } from './kinds';
import { operatorItems, operatorItemsOn } from './operatorCare';
import { lookOf, placesOf, planItem, planItems, planItemsOn } from './plans';
import { shippedParts } from './parts';

const kindNumbered = (n: number) => knowledge.kinds.find((k) => k.number === n)!.id;

// The trade's table of service plans, row by row, by kind. Common practice, no source.
test.each([
  ['pre-filter-wash', [1, 2, 3, 9], { maker: { days: 90 } }],
  ['pre-filter-new', [1, 2, 3], { bench: { days: 365, times: 6 } }],
  ['exhaust-filter', [1, 2, 6, 7], { maker: { days: 365 } }],
  ['roll-hair', [1, 2, 3, 4, 5, 6, 7, 8, 9], { heavyDays: 30 }],
  ['flat-belt', [1, 5], { bench: { days: 365 }, heavyDays: 180 }],
  ['toothed-belt-look', [2, 3, 4, 6, 7, 8], {}],
  ['roll-new', [4, 6], { bench: { days: 1095 } }],
  ['felt-gasket', [4], { heavyDays: 365 }],
  ['cam-number', [5], {}],
  ['turbine-clean', [8], { bench: { days: 365 } }],
  ['cyclone-clean', [9], { bench: { days: 365 } }],
  ['float-clean', [11, 12], { maker: { days: 30 }, bench: { days: 30, hours: 50 } }],
  ['intake-screen', [11, 12], { bench: { days: 30, hours: 50 } }],
  ['solution-screen', [11, 12], { bench: { days: 30, hours: 50 } }],
  ['inlets-clear', [11, 12], { bench: { days: 30, hours: 50 } }],
  ['squeegee-turn', [11, 12], { bench: { days: 30, hours: 50 } }],
  ['hose-wash', [11], { bench: { days: 90 } }],
  ['deck-belts-look', [11], { bench: { days: 90 } }],
  ['deck-belts-hours', [12], { bench: { days: 365, hours: 100 } }],
  ['deck-bearings', [12], { bench: { days: 365, hours: 100 } }],
  ['skirts-look', [12], { bench: { days: 365, hours: 100 } }],
  ['vac-filter-look', [12], { bench: { days: 365, hours: 100 } }],
  ['battery-look', [12], { bench: { days: 180, hours: 100 } }],
  ['battery-water', [11], { flooded: true }],
  ['safety-test', [1, 2, 3, 6, 7], { tradeOnly: true }],
] as const)('%s falls due where the trade says', (id, numbers, rule) => {
  const item = planItem(id)!;
  expect(numbers.filter((n) => item.stations[kindNumbered(n)] === undefined)).toEqual([]);
  expect(item).toMatchObject(rule);
});

test('every item names stations, steps, checks, faults and parts that there are, and something does it', () => {
  const groups = new Set<string>(shippedParts.map((p) => p.group));
  const checks = new Set(knowledge.checks.map((c) => c.id));
  expect(new Set(planItems.map((i) => i.id)).size).toBe(planItems.length);
  for (const item of planItems) {
    expect([item.id, Object.keys(item.stations).length > 0, item.minutes > 0]).toEqual([item.id, true, true]);
    for (const [kind, station] of Object.entries(item.stations)) {
      const own = knowledge.kinds.find((k) => k.id === kind)!;
      expect([item.id, kind, own.lines.some((l) => l.stations.some((s) => s.id === station))]).toEqual([
        item.id,
        kind,
        true,
      ]);
      const look = lookOf(item, kind);
      if (look) expect(checksOf(knowledge, kind).map((c) => c.id)).toContain(look);
      if (item.reading) expect(placesOf(item.reading, kind).length).toBeGreaterThan(0);
    }
    for (const [kind, step] of Object.entries(item.after ?? {}))
      expect([item.id, kind, procedures[kind]!.steps.some((s) => s.id === step)]).toEqual([item.id, kind, true]);
    expect([item.id, item.parts.filter((p) => !groups.has(p))]).toEqual([item.id, []]);
    expect([item.id, [...(item.checks ?? []), ...(item.looks ?? [])].filter((c) => !checks.has(c))]).toEqual([
      item.id,
      [],
    ]);
    if (item.counts) expect(planItem(item.counts)).toBeDefined();
    if (item.reading?.wear) {
      const [least, most] = item.reading.range;
      expect(item.reading.wear.limit > least && item.reading.wear.limit < most).toBe(true);
    }
  }
});

test('no kind is without a plan, and none has an item of a station that its model dropped', () => {
  for (const kind of knowledge.kinds) {
    const items = planItemsOn(kind.id);
    expect([kind.id, items.length >= 3]).toEqual([kind.id, true]);
    const { id, stations } = items[0]!;
    expect(planItemsOn(kind.id, [stations[kind.id]!]).map((i) => i.id)).not.toContain(id);
  }
});

// Walk 15: rinse, lid open, squeegee in its notch, dust-mop first, ramps sideways, lowest pressure, clean the deck while wet.
test('the operator of a ride-on is told what the walk tells, and closed batteries are not watered', () => {
  const own = (sealed: boolean | null) => operatorItemsOn('scrubber-ride-on', sealed).map((i) => i.id);
  expect(own(true)).toEqual(
    expect.arrayContaining([
      'rinse-recovery',
      'lids-open',
      'squeegee-wiped',
      'dust-mop-first',
      'ramps-sideways',
      'lowest-pressure',
      'deck-cleared',
      'no-detergent-overnight',
    ]),
  );
  expect([own(true).includes('cells-watered'), own(false).includes('cells-watered')]).toEqual([false, true]);
});

test('what an operator keeps away are faults that their machines can have', () => {
  for (const item of operatorItems)
    for (const fault of item.keepsAway) {
      const known = knowledge.faults.find((f) => f.id === fault);
      expect([item.id, fault, known !== undefined]).toEqual([item.id, fault, true]);
      expect([item.id, fault, item.kinds.some((k) => k in known!.kinds)]).toEqual([item.id, fault, true]);
    }
});
