import { ProblemError } from '../problem';
import { threadPool } from '../threads/threadPool';
import { notWanted } from '../underWay/underWay';
import type { PaperTasks, ThreadRefusal } from './paperTasks';

/** A paper that takes longer is none that anybody waits for: its thread is ended. */
const LONGEST_MS = 20_000;

const pool = threadPool('papers', 16, 'More is being written than can be just now: try again in a moment.');

/** Gives papers, files of rows and gauges threads of their own, so that none of them holds the server up. */
export function openPaperThreads(file: string): void {
  pool.open(file, { least: 1, most: 2, mostMegabytes: 512 });
}

export const closePaperThreads = (): Promise<void> => pool.close();

/**
 * One task, in a thread where there are some; ended when nobody waits for it any more.
 * @throws ProblemError what the task refuses; 503 when too many wait, or it takes too long
 */
export async function inPaperThread<Name extends keyof PaperTasks>(
  name: Name,
  given: Parameters<PaperTasks[Name]>[0],
): Promise<Awaited<ReturnType<PaperTasks[Name]>>> {
  type Answer = Awaited<ReturnType<PaperTasks[Name]>>;
  if (!pool.isOpen()) {
    const { paperTasks } = await import('./paperTasks');
    return (await (paperTasks[name] as (given: unknown) => Promise<unknown>)(given)) as Answer;
  }
  const late = AbortSignal.timeout(LONGEST_MS);
  const left = notWanted();
  try {
    const answer = await pool.run(name, given, left ? AbortSignal.any([left, late]) : late);
    if (isRefusal(answer)) throw new ProblemError(answer.refused.status, answer.refused.title, answer.refused.fields);
    return answer as Answer;
  } catch (error) {
    if (late.aborted)
      throw new ProblemError(503, 'This takes longer than it should, and was given up. Take less at once.');
    throw error;
  }
}

function isRefusal(answer: unknown): answer is ThreadRefusal {
  return typeof answer === 'object' && answer !== null && 'refused' in answer;
}
