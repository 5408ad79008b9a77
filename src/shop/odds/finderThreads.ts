import { finderTasks, type FinderTasks } from '@/core/diagnosis/finderTasks';
import { knowledge } from '@/knowledge';
import { threadPool } from '../threads/threadPool';

/** Odds are asked for again at every press: better a little later than a press that waits for them. */
const NICER = 10;

const pool = threadPool('finder', 200, 'The finder has more to do than it can just now: try again in a moment.');

/** Gives the finder threads of its own, so that no odds are worked out on the server's event loop. */
export function openFinderThreads(threads: number, file: string): void {
  pool.open(file, { least: threads, most: threads, nicer: NICER });
}

export const closeFinderThreads = (): Promise<void> => pool.close();

/** One task of the finder, in a thread where there are some. @throws ProblemError 503 when too many wait already */
export async function finderDoes<Name extends keyof FinderTasks>(
  name: Name,
  given: Parameters<FinderTasks[Name]>[0],
): Promise<ReturnType<FinderTasks[Name]>> {
  type Answer = ReturnType<FinderTasks[Name]>;
  // The name ties what is given to what does it.
  if (!pool.isOpen()) return (finderTasks(knowledge)[name] as (given: unknown) => Answer)(given);
  return (await pool.run(name, given)) as Answer;
}
