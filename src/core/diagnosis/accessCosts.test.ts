import { kindById, knowledge } from '@/knowledge';
import { accessPath, closingMinutes, reach, repairCosts } from './accessCosts';
import { faultsOf } from './compileKind';

const kind = kindById('upright-brush-motor');
const none: ReadonlySet<string> = new Set();
// Minutes of the shipped kind: sole plate 2.5, roll out 2 more (3 to close), head 6 (7 to close), motor bay 12.

describe('what opening costs', () => {
  test('the way in is opened from the outside, each part once', () => {
    expect(accessPath(kind, 'roll-out')).toEqual(['sole-plate', 'roll-out']);
    expect(accessPath(kind, 'outside')).toEqual([]);
    expect(reach(kind, none, { access: 'roll-out', power: 'no' })).toMatchObject({ minutes: 4.5 });
    const open = reach(kind, none, { access: 'sole-plate', power: 'no' }).open;
    expect(reach(kind, open, { access: 'roll-out', power: 'no' }).minutes).toBe(2);
    expect(reach(kind, open, { access: 'sole-plate', power: 'no' }).minutes).toBe(0);
  });

  test('power needs what is dangerous open to be closed again, and it stays closed', () => {
    const open = new Set(['sole-plate', 'head']);
    expect(closingMinutes(kind, open)).toBe(7);
    const run = reach(kind, open, { access: 'outside', power: 'yes' });
    expect(run.minutes).toBe(7);
    expect([...run.open]).toEqual(['sole-plate']);
    // A check that itself needs the head open is not asked to close it first.
    expect(reach(kind, open, { access: 'head', power: 'yes' }).minutes).toBe(0);
  });

  test('an access that is not there is refused by name', () => {
    expect(() => accessPath(kind, 'cellar')).toThrow(/no access named cellar/);
  });

  test('along a course of repairs what is open stays open', () => {
    const faults = faultsOf(knowledge, kind);
    const { costs, openNow } = repairCosts(kind, faults, none);
    const belt = faults.findIndex((f) => f.id === 'belt-broken');
    const bearing = faults.findIndex((f) => f.id === 'bearing-rough');
    expect(costs.minutes(belt, openNow)).toBe(6 + 4.5);
    const after = costs.opens(belt, openNow);
    expect(costs.minutes(bearing, after)).toBe(10);
    expect(costs.opens(bearing, after)).toBe(after);
  });
});
