import { knowledge } from '@/knowledge';
import { exactCourse, type CourseAction } from './exactCourse';
import type { Network } from './network';
import { smallNetworks } from './optimalCourse';

/** One of several faults is there, and each has a look of its own that shows it for sure. */
function oneFault(odds: number[], minutes: number[]) {
  const network: Network = {
    faults: odds.map((prior, i) => ({ id: `fault-${i}`, prior, causes: [] })),
    findings: odds.map((_, fault) => ({ id: `look-${fault}`, leak: [1, 0], effects: [{ fault, levels: [0, 1] }] })),
  };
  const actions: CourseAction[] = odds.map((_, i) => ({
    findings: [i],
    minutes: () => minutes[i]!,
    opens: () => 0,
    proves: (_finding, level) => (level === 1 ? [i] : []),
  }));
  return {
    network,
    actions,
    sets: odds.map((probability, i) => ({ faults: [i], probability })),
    marginals: Float64Array.from(odds),
    repair: { minutes: () => 0, opens: (_: number, open: number) => open },
    groupsOf: (faults: number[]) => [faults],
    proved: new Set<number>(),
    openNow: 0,
  };
}

// Kadane & Simon 1977 (from memory): for one fault and independent looks the best order is by probability over cost.
test('with one fault and independent looks the best first is that with the most probability per minute', () => {
  // 0.2/2 = 0.1 beats 0.3/4 = 0.075 beats 0.5/10 = 0.05.
  const totals = exactCourse(oneFault([0.2, 0.5, 0.3], [2, 10, 4]))!;
  expect(totals.indexOf(Math.min(...totals))).toBe(0);
  expect(totals[0]).toBeCloseTo(2 + 0.8 * 4 + 0.5 * 10, 9);
});

test('too many suspects or actions are not tried', () => {
  const six = oneFault(Array(6).fill(0.1), Array(6).fill(1));
  expect(exactCourse(six)).toBeNull();
  const nine = oneFault(Array(9).fill(0.1), Array(9).fill(1));
  expect(exactCourse({ ...nine, sets: nine.sets.slice(0, 2) })).toBeNull();
});

test('on the small networks of a kind the proposed course is within a twentieth of the best of all courses', () => {
  const { cases, proposed, best } = smallNetworks(
    knowledge,
    knowledge.kinds.find((k) => k.id === 'backpack')!,
  );
  expect(cases).toBeGreaterThan(5);
  expect(proposed).toBeGreaterThanOrEqual(best - 1e-9);
  expect(proposed).toBeLessThan(1.05 * best);
});
