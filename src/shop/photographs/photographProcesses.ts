import { resolve } from 'node:path';
import { pool, type Pool, type WorkerPoolOptions } from 'workerpool';
import { ProblemError } from '../problem';
import { madeSmaller, type TwoSizes } from './madeSmaller';

/** Each takes a core for a moment: the others wait, and no more than these wait. */
const AT_ONCE = 2;
const MOST_WAITING = 12;
/** Five times what sixty million dots take: more is asked for by a file that was made to hurt. */
const MOST_MEGABYTES = 768;
/** Beyond what the decoder grants itself: then its process is ended. */
const LONGEST_MS = 15_000;

/** The framework may load this file more than once in a process: the pool is one. */
const held = globalThis as { gritkeeperPhotographs?: Pool };

/**
 * Gives the decoding of photographs processes of their own, bounded in memory by the system (RLIMIT_DATA, setrlimit(2)): a file
 * that asks for more ends its process, not the server. Without them (scripts, tests) it is done where it is asked for.
 * @param file the program of such a process
 */
export function openPhotographProcesses(file: string, mostMegabytes = MOST_MEGABYTES): void {
  held.gritkeeperPhotographs ??= pool(resolve(file), {
    workerType: 'process',
    maxWorkers: AT_ONCE,
    // The shell sets the bound and becomes the process.
    forkOpts: {
      execPath: '/bin/sh',
      execArgv: ['-c', `ulimit -d ${mostMegabytes * 1024}; exec "$0" "$@"`, process.execPath],
      serialization: 'advanced',
    } as WorkerPoolOptions['forkOpts'],
  });
}

export async function closePhotographProcesses(): Promise<void> {
  await held.gritkeeperPhotographs?.terminate(true);
  delete held.gritkeeperPhotographs;
}

/**
 * A photograph in the two sizes that are kept.
 * @throws ProblemError 503 when too many wait; Error when it cannot be read with the memory and in the time that it has
 */
export async function inPhotographProcess(bytes: Uint8Array): Promise<TwoSizes> {
  const processes = held.gritkeeperPhotographs;
  if (!processes) return madeSmaller(bytes);
  if (processes.stats().pendingTasks >= MOST_WAITING)
    throw new ProblemError(503, 'Many photographs are on their way: try again in a moment.');
  return (await processes.exec('madeSmaller', [bytes]).timeout(LONGEST_MS)) as TwoSizes;
}
