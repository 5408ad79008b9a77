import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import { finderTasks, type FinderTasks } from '@/core/diagnosis/finderTasks';
import { knowledge } from '@/knowledge';
import { ProblemError } from '../problem';

/** More than these wait for no thread: whoever comes then is asked to come again. */
const MOST_WAITING = 200;

/** The framework may load this file more than once in a process: the pool is one. */
const held = globalThis as { gritkeeperFinder?: Piscina };

/**
 * Gives the finder threads of its own, so that no odds are worked out on the server's event loop. Without them (scripts,
 * tests) it works where it is called.
 * @param file the thread's own program, from the folder in which the server was started
 */
export function openFinderThreads(threads: number, file: string): void {
  held.gritkeeperFinder ??= new Piscina({
    filename: resolve(file),
    minThreads: threads,
    maxThreads: threads,
    maxQueue: MOST_WAITING,
  });
}

export async function closeFinderThreads(): Promise<void> {
  await held.gritkeeperFinder?.destroy();
  delete held.gritkeeperFinder;
}

/** One task of the finder, in a thread where there are some. @throws ProblemError 503 when too many wait already */
export async function finderDoes<Name extends keyof FinderTasks>(
  name: Name,
  given: Parameters<FinderTasks[Name]>[0],
): Promise<ReturnType<FinderTasks[Name]>> {
  type Answer = ReturnType<FinderTasks[Name]>;
  const pool = held.gritkeeperFinder;
  // The name ties what is given to what does it.
  if (!pool) return (finderTasks(knowledge)[name] as (given: unknown) => Answer)(given);
  if (pool.queueSize >= MOST_WAITING)
    throw new ProblemError(503, 'The finder has more to do than it can just now: try again in a moment.');
  return (await pool.run(given, { name })) as Answer;
}
