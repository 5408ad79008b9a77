import fc from 'fast-check';
import loadHighs, { type Highs } from 'highs';
import { bestBundle, bundleOf, type BundleStep, type ExtraJob } from './bundle';
import { bundleProgram } from './bundleModel';

/** Jobs behind steps that need earlier steps; up to fourteen of both. */
const graph = fc.integer({ min: 0, max: 6 }).chain((stepCount) => {
  const names = Array.from({ length: stepCount }, (_, i) => `s${i}`);
  const steps = fc.tuple(
    ...names.map((id, i) =>
      fc.record({
        id: fc.constant(id),
        costMinor: fc.integer({ min: 0, max: 900 }),
        needs: fc.subarray(names.slice(0, i)),
      }),
    ),
  );
  const jobs = fc.array(
    fc.record({
      worthMinor: fc.integer({ min: -600, max: 900 }),
      priceMinor: fc.integer({ min: 0, max: 900 }),
      steps: fc.subarray(names),
    }),
    { maxLength: 8 },
  );
  return fc.tuple(steps, jobs).map(([s, j]) => ({
    steps: s as BundleStep[],
    jobs: j.map((job, i): ExtraJob => ({ id: `j${i}`, ...job })),
  }));
});

/** Every set of jobs with all the steps that it needs. */
function tried(jobs: readonly ExtraJob[], steps: readonly BundleStep[], budget = Infinity): number {
  let best = 0;
  for (let set = 0; set < 1 << jobs.length; set++) {
    const chosen = jobs.filter((_, i) => set & (1 << i));
    const owed = new Set(chosen.flatMap((j) => j.steps));
    for (const step of [...steps].reverse()) if (owed.has(step.id)) step.needs.forEach((n) => owed.add(n));
    const walked = steps.filter((s) => owed.has(s.id));
    const price = chosen.reduce((sum, j) => sum + j.priceMinor, 0) + walked.reduce((sum, s) => sum + s.costMinor, 0);
    if (price <= budget) best = Math.max(best, bundleOf(chosen, walked).worthMinor);
  }
  return best;
}

describe('what pays while it is open', () => {
  test('the best of every set there is, and it holds what it needs', () => {
    fc.assert(
      fc.property(graph, ({ jobs, steps }) => {
        const bundle = bestBundle(jobs, steps);
        expect(bundle.worthMinor).toBe(tried(jobs, steps));
        const has = new Set(bundle.steps);
        for (const id of bundle.jobs)
          for (const s of jobs.find((j) => j.id === id)!.steps) expect(has.has(s)).toBe(true);
        for (const id of bundle.steps)
          for (const n of steps.find((s) => s.id === id)!.needs) expect(has.has(n)).toBe(true);
      }),
      { numRuns: 600 },
    );
  });

  test('one that gains nothing is left, and a step is paid once', () => {
    const plate: BundleStep = { id: 'plate', costMinor: 400, needs: [] };
    const job = (id: string, worthMinor: number): ExtraJob => ({ id, worthMinor, priceMinor: 0, steps: ['plate'] });
    expect(bestBundle([job('belt', 300)], [plate]).jobs).toEqual([]);
    expect(bestBundle([job('belt', 400)], [plate]).jobs).toEqual([]);
    expect(bestBundle([job('belt', 300), job('roll', 250)], [plate])).toEqual({
      jobs: ['belt', 'roll'],
      steps: ['plate'],
      worthMinor: 150,
    });
    expect(() => bestBundle([job('belt', 1)], [])).toThrow('There is no step named plate.');
  });

  describe('against the solver HiGHS of the registry', () => {
    let highs: Highs;
    beforeAll(async () => {
      highs = await loadHighs();
    });

    test('no more can be had than the bound of the relaxation, which is whole for a closure', async () => {
      await fc.assert(
        fc.asyncProperty(
          graph.filter((g) => g.jobs.length > 0),
          async ({ jobs, steps }) => {
            const solved = highs.solve(bundleProgram(jobs, steps, null, false));
            expect(solved.ObjectiveValue).toBeCloseTo(bestBundle(jobs, steps).worthMinor, 4);
          },
        ),
        { numRuns: 60 },
      );
    });

    test('under a budget the integer program is the best of every set that it allows', async () => {
      await fc.assert(
        fc.asyncProperty(
          graph.filter((g) => g.jobs.length > 0),
          fc.integer({ min: 0, max: 2500 }),
          async ({ jobs, steps }, budget) => {
            const solved = highs.solve(bundleProgram(jobs, steps, budget));
            expect(solved.ObjectiveValue).toBeCloseTo(tried(jobs, steps, budget), 4);
          },
        ),
        { numRuns: 60 },
      );
    });
  });
});
