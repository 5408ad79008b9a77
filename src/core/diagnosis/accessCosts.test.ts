import { kindById, knowledge } from '@/knowledge';
import { accessPath, closingMinutes, courseCosts, reach } from './accessCosts';
import { faultsOf } from './compileKind';
import { checksOf } from './knowledge';

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
    const { repair, openNow } = courseCosts(kind, faults, none);
    const belt = faults.findIndex((f) => f.id === 'belt-broken');
    const bearing = faults.findIndex((f) => f.id === 'bearing-rough');
    expect(repair.minutes(belt, openNow)).toBe(6 + 4.5);
    const after = repair.opens(belt, openNow);
    expect(repair.minutes(bearing, after)).toBe(10);
    expect(repair.opens(bearing, after)).toBe(after);
  });

  test('a check along the course costs the same as it does from the bench', () => {
    const faults = faultsOf(knowledge, kind);
    for (const open of [none, new Set(['sole-plate', 'head']), new Set(['sole-plate', 'roll-out', 'motor-bay'])])
      for (const check of checksOf(knowledge, kind.id)) {
        const course = courseCosts(kind, faults, open);
        const now = reach(kind, open, check);
        expect(course.check(check).minutes(course.openNow)).toBeCloseTo(check.minutes + now.minutes, 9);
        expect(course.check(check).opens(course.openNow)).toBe(course.maskOf(now.open));
      }
  });
});
