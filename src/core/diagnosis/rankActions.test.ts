import type { Prover, RepairCosts } from './finishingCourse';
import type { Network } from './network';
import { rankActions } from './rankActions';
import { seededRandom } from './seededRandom';

const flat = (costs: number[]): RepairCosts => ({ minutes: (f) => costs[f]!, opens: (_, open) => open });
const repairs = (costs: number[]): Prover[] =>
  costs.map((minutes, i) => ({ faults: [i], repairs: true, minutes: () => minutes, opens: (open) => open }));
const nobody: ReadonlySet<number> = new Set();

describe('one fault, independent repairs', () => {
  // Kadane & Simon 1977 (from memory): the order by probability over cost is optimal; compared with all orders.
  test('the order by probability over cost is the best of all orders', () => {
    const random = seededRandom(9);
    for (let round = 0; round < 50; round++) {
      const n = 5;
      const raw = Array.from({ length: n }, () => 0.1 + random());
      const sum = raw.reduce((a, b) => a + b, 0);
      const p = raw.map((x) => x / sum);
      const costs = Array.from({ length: n }, () => 1 + 20 * random());
      const best = Math.min(...permutations(n).map((order) => courseCost(order, p, costs)));
      expect(courseByRanking(p, costs)).toBeCloseTo(best, 9);
    }
  });
});

function courseCost(order: number[], p: number[], costs: number[]): number {
  let clock = 0;
  return order.reduce((sum, i) => sum + p[i]! * (clock += costs[i]!), 0);
}

/** The course that the module itself takes: a free perfect check saves exactly the course's cost less the repair. */
function courseByRanking(p: number[], costs: number[]): number {
  const n = p.length;
  const network: Network = {
    faults: p.map((prior, i) => ({ id: `f${i}`, prior, causes: [] })),
    findings: [
      {
        id: 'shows-which',
        leak: [1, ...Array<number>(n).fill(0)],
        effects: p.map((_, fault) => ({ fault, levels: [0, ...p.map((_, k) => (k === fault ? 1 : 0))] })),
      },
    ],
  };
  const { ranked } = rankActions({
    network,
    sets: p.map((probability, i) => ({ faults: [i], probability })),
    candidates: [...Array(n).keys()],
    marginals: Float64Array.from(p),
    actions: [{ findings: [0], minutes: 0, openAfter: 0 }],
    provers: repairs(costs),
    repair: flat(costs),
    proved: nobody,
    openNow: 0,
  });
  const knownCost = p.reduce((sum, q, i) => sum + q * costs[i]!, 0);
  return ranked[0]!.saving + knownCost;
}

function permutations(n: number): number[][] {
  if (n === 0) return [[]];
  return permutations(n - 1).flatMap((rest) =>
    Array.from({ length: n }, (_, at) => [...rest.slice(0, at), n - 1, ...rest.slice(at)]),
  );
}

test('a check that splits evenly saves more than one that tells nothing', () => {
  const network: Network = {
    faults: [0.5, 0.5].map((prior, i) => ({ id: `f${i}`, prior, causes: [] })),
    findings: [
      { id: 'splits', leak: [1, 0], effects: [{ fault: 1, levels: [0, 1] }] },
      { id: 'blind', leak: [0.5, 0.5], effects: [] },
    ],
  };
  const { ranked } = rankActions({
    network,
    sets: [
      { faults: [0], probability: 0.5 },
      { faults: [1], probability: 0.5 },
    ],
    candidates: [0, 1],
    marginals: Float64Array.of(0.5, 0.5),
    actions: [
      { findings: [0], minutes: 1, openAfter: 0 },
      { findings: [1], minutes: 1, openAfter: 0 },
    ],
    provers: repairs([10, 10]),
    repair: flat([10, 10]),
    proved: nobody,
    openNow: 0,
  });
  // By hand: without the check 0.5·10 + 0.5·20 = 15; with it 10; less its minute: 4. The blind one loses its minute.
  expect(ranked.map((r) => r.action)).toEqual([0, 1]);
  expect(ranked[0]!.saving).toBeCloseTo(4, 9);
  expect(ranked[1]!.saving).toBeCloseTo(-1, 9);
});

test('a fault that explains two complaints owes its repair once', () => {
  const network: Network = { faults: [{ id: 'f0', prior: 0.5, causes: [] }], findings: [] };
  const minutesWith = (groups: number[][]) =>
    rankActions({
      network,
      sets: [{ faults: [0], probability: 1 }],
      candidates: [0],
      marginals: Float64Array.of(1),
      actions: [],
      provers: [{ faults: [0], minutes: () => 1, opens: (open) => open }],
      repair: flat([10]),
      groupsOf: () => groups,
      proved: nobody,
      openNow: 0,
    }).now;
  expect(minutesWith([[0]])).toBe(11);
  expect(minutesWith([[0], [0]])).toBe(11);
});
