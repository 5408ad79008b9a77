import loadHighs, { type Highs } from 'highs';
import { bundleOf, type Bundle, type BundleStep, type ExtraJob } from '@/core/strip/bundle';
import { bundleProgram } from '@/core/strip/bundleModel';

let loaded: Promise<Highs> | undefined;

/**
 * What pays most within a budget: an integer program, solved by HiGHS.
 * @throws Error when the solver finds no best answer, which for this program means that it is broken
 */
export async function bundleWithin({
  jobs,
  steps,
  budgetMinor,
}: {
  jobs: readonly ExtraJob[];
  steps: readonly BundleStep[];
  budgetMinor: number;
}): Promise<Bundle> {
  if (jobs.length === 0) return { jobs: [], steps: [], worthMinor: 0 };
  const highs = await (loaded ??= loadHighs());
  const solved = highs.solve(bundleProgram(jobs, steps, budgetMinor));
  if (solved.Status !== 'Optimal') throw new Error(`The solver ended ${solved.Status}.`);
  const isChosen = (name: string) => {
    const column = solved.Columns[name];
    return column !== undefined && 'Primal' in column && Number(column.Primal) > 0.5;
  };
  return bundleOf(
    jobs.filter((_, i) => isChosen(`j${i}`)),
    steps.filter((_, i) => isChosen(`s${i}`)),
  );
}
