import fc from 'fast-check';
import { bestOrder } from './bestOrder';
import type { Lie } from './procedure';

interface Small {
  id: string;
  lie: Lie | null;
  tool: string;
  needs: string[];
  minutes: number;
}
const LIES: (Lie | null)[] = ['standing', 'back', 'side', null];
const TOOLS = ['', 'cross-2', 't15', 'pry'];

/** A random graph of steps: each may need some that stand before it. */
const graph = fc.integer({ min: 1, max: 9 }).chain((n) =>
  fc
    .tuple(
      ...Array.from({ length: n }, (_, i) =>
        fc.record({
          lie: fc.constantFrom(...LIES),
          tool: fc.constantFrom(...TOOLS),
          needs: fc.subarray(
            Array.from({ length: i }, (_, j) => String(j)),
            { maxLength: Math.min(2, i) },
          ),
        }),
      ),
    )
    .map((steps) => steps.map((s, i): Small => ({ ...s, id: String(i), minutes: 1 }))),
);

/** Turnings and changes of an order, counted by walking it: another hand than the one that found it. */
function walked(order: readonly Small[], from: { lie: Lie | null; tool: string }): [number, number] {
  let { lie, tool } = from;
  let [turnings, changes] = [0, 0];
  for (const step of order) {
    if (step.lie !== null) {
      if (lie !== null && lie !== step.lie) turnings++;
      lie = step.lie;
    }
    if (step.tool !== '') {
      if (tool !== '' && tool !== step.tool) changes++;
      tool = step.tool;
    }
  }
  return [turnings, changes];
}

/** The best of all orders, by trying every one. */
function everyOrder(steps: readonly Small[], from: { lie: Lie | null; tool: string }): [number, number] {
  let best: [number, number] = [Infinity, Infinity];
  const go = (order: Small[], left: readonly Small[]) => {
    if (left.length === 0) {
      const [turnings, changes] = walked(order, from);
      if (turnings < best[0] || (turnings === best[0] && changes < best[1])) best = [turnings, changes];
      return;
    }
    for (const step of left)
      if (!step.needs.some((id) => left.some((other) => other.id === id)))
        go(
          [...order, step],
          left.filter((other) => other !== step),
        );
  };
  go([], steps);
  return best;
}

const stance = fc.record({ lie: fc.constantFrom(...LIES), tool: fc.constantFrom(...TOOLS) });

test('no order of up to nine steps turns the machine or changes the tool less often', () => {
  fc.assert(
    fc.property(graph, stance, (steps, from) => {
      const found = bestOrder(steps, from);
      expect(found.exact).toBe(true);
      expect([found.turnings, found.toolChanges]).toEqual(everyOrder(steps, from));
      expect(walked(found.steps, from)).toEqual([found.turnings, found.toolChanges]);
      found.steps.forEach((step, i) => {
        for (const id of step.needs) expect(found.steps.slice(0, i).some((s) => s.id === id)).toBe(true);
      });
      expect(new Set(found.steps).size).toBe(steps.length);
    }),
    { seed: 20_261_127, numRuns: 250 },
  );
});

test('steps that need each other are refused', () => {
  const ring = ['a', 'b'].map((id, i): Small => ({
    id,
    lie: null,
    tool: '',
    needs: ['b', 'a'].slice(i, i + 1),
    minutes: 1,
  }));
  expect(() => bestOrder(ring)).toThrow(RangeError);
});

test('beyond its bound it says so, and never promises less than must be', () => {
  const steps = Array.from({ length: 14 }, (_, i): Small => ({
    id: String(i),
    lie: LIES[i % 3]!,
    tool: TOOLS[1 + (i % 3)]!,
    needs: i > 2 ? [String(i - 3 + (i % 2))] : [],
    minutes: 1,
  }));
  const whole = bestOrder(steps);
  const short = bestOrder(steps, undefined, 2);
  expect(whole.exact).toBe(true);
  expect(short.exact).toBe(false);
  expect(short.turnings).toBeGreaterThanOrEqual(whole.turnings);
  expect(short.atLeastTurnings).toBeLessThanOrEqual(whole.turnings);
  expect(short.atLeastTurnings).toBe(2);
});
