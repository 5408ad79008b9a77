import type { BundleStep, ExtraJob } from './bundle';

/**
 * The same choice as an integer program in the CPLEX LP text format, for a solver, with what may be laid out at most: each
 * job and step is 0 or 1, and nothing is done without what it needs.
 * @param budgetMinor for the jobs’ prices and the steps’ minutes together; null for no limit
 * @param whole false leaves the variables free between 0 and 1: the bound of the relaxation
 */
export function bundleProgram(
  jobs: readonly ExtraJob[],
  steps: readonly BundleStep[],
  budgetMinor: number | null,
  whole = true,
): string {
  const at = new Map(steps.map((s, i) => [s.id, i]));
  const names = [...jobs.map((_, i) => `j${i}`), ...steps.map((_, i) => `s${i}`)];
  const sum = (weights: number[]) => weights.map((w, i) => `${w < 0 ? '-' : '+'} ${Math.abs(w)} ${names[i]}`).join(' ');
  const needs = [
    ...jobs.flatMap((j, i) => j.steps.map((s) => `j${i} - s${at.get(s)} <= 0`)),
    ...steps.flatMap((s, i) => s.needs.map((n) => `s${i} - s${at.get(n)} <= 0`)),
  ];
  const limits =
    budgetMinor === null
      ? needs
      : [...needs, `${sum([...jobs.map((j) => j.priceMinor), ...steps.map((s) => s.costMinor)])} <= ${budgetMinor}`];
  return [
    'Maximize',
    ` worth: ${sum([...jobs.map((j) => j.worthMinor), ...steps.map((s) => -s.costMinor)])}`,
    'Subject To',
    // The format wants one line here even where nothing limits.
    ...(limits.length > 0 ? limits : [`${names[0]} <= 1`]).map((l, i) => ` c${i}: ${l}`),
    'Bounds',
    ...names.map((n) => ` 0 <= ${n} <= 1`),
    ...(whole ? ['General', ` ${names.join(' ')}`] : []),
    'End',
  ].join('\n');
}
