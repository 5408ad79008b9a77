import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import { ProblemError } from '../problem';
import { notWanted } from '../work/work';
import type { PaperTasks, ThreadRefusal } from './paperTasks';

const THREADS = 2;
/** More than these wait for no thread: whoever comes then is asked to come again. */
const MOST_WAITING = 16;
/** A paper that takes longer is none that anybody waits for: its thread is ended. */
const LONGEST_MS = 20_000;
const MOST_MEGABYTES = 512;

/** The framework may load this file more than once in a process: the pool is one. */
const held = globalThis as { gritkeeperPapers?: Piscina };

/**
 * Gives papers, files of rows and gauges threads of their own, so that none of them holds the server up. Without them
 * (scripts, tests) they are worked out where they are called.
 * @param file the thread's own program, from the folder in which the server was started
 */
export function openPaperThreads(file: string): void {
  held.gritkeeperPapers ??= new Piscina({
    filename: resolve(file),
    minThreads: 1,
    maxThreads: THREADS,
    maxQueue: MOST_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  });
}

export async function closePaperThreads(): Promise<void> {
  await held.gritkeeperPapers?.destroy();
  delete held.gritkeeperPapers;
}

/**
 * One task, in a thread where there are some; ended when nobody waits for it any more.
 * @throws ProblemError what the task refuses; 503 when too many wait, or it takes too long
 */
export async function inPaperThread<Name extends keyof PaperTasks>(
  name: Name,
  given: Parameters<PaperTasks[Name]>[0],
): Promise<Awaited<ReturnType<PaperTasks[Name]>>> {
  type Answer = Awaited<ReturnType<PaperTasks[Name]>>;
  const pool = held.gritkeeperPapers;
  if (!pool) {
    const { paperTasks } = await import('./paperTasks');
    return (await (paperTasks[name] as (given: unknown) => Promise<unknown>)(given)) as Answer;
  }
  if (pool.queueSize >= MOST_WAITING)
    throw new ProblemError(503, 'More is being written than can be just now: try again in a moment.');
  const late = AbortSignal.timeout(LONGEST_MS);
  const left = notWanted();
  try {
    const answer: unknown = await pool.run(given, { name, signal: left ? AbortSignal.any([left, late]) : late });
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
