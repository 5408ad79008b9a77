import { resolve } from 'node:path';
import { pool, Promise as Task, type Pool, type WorkerPoolOptions } from 'workerpool';
import { ProblemError } from '../problem';
import { madeSmaller, type TwoSizes } from './madeSmaller';

/** Each takes a core for a moment: the others wait, and no more than these wait. */
const AT_ONCE = 2;
const MOST_WAITING = 12;
/** Five times what sixty million dots take: more is asked for by a file that was made to hurt. */
const MOST_MEGABYTES = 768;
/** The start of its process and what the decoder grants itself, on a machine that has much to do: then its process is ended. */
const LONGEST_MS = 30_000;

/** The framework may load this file more than once in a process: the pool is one. */
const held = globalThis as { gritkeeperPhotographs?: { processes: Pool; longestMs: number } };

/**
 * Gives the decoding of photographs processes of their own, bounded in memory by the system (RLIMIT_DATA, setrlimit(2)): a file
 * that asks for more ends its process, not the server. Without them (scripts, tests) it is done where it is asked for.
 * @param file the program of such a process
 * @param longestMs after which it is ended, its start counted in
 */
export function openPhotographProcesses(
  file: string,
  { mostMegabytes = MOST_MEGABYTES, longestMs = LONGEST_MS }: { mostMegabytes?: number; longestMs?: number } = {},
): void {
  if (held.gritkeeperPhotographs) return;
  const processes = pool(resolve(file), {
    workerType: 'process',
    maxWorkers: AT_ONCE,
    // The shell sets the bound and becomes the process.
    forkOpts: {
      execPath: '/bin/sh',
      execArgv: ['-c', `ulimit -d ${mostMegabytes * 1024}; exec "$0" "$@"`, process.execPath],
      serialization: 'advanced',
    } as WorkerPoolOptions['forkOpts'],
  });
  held.gritkeeperPhotographs = { processes, longestMs };
}

export async function closePhotographProcesses(): Promise<void> {
  await held.gritkeeperPhotographs?.processes.terminate(true);
  delete held.gritkeeperPhotographs;
}

/**
 * A photograph in the two sizes that are kept.
 * @throws ProblemError 503 when too many wait, or it was not done in the time that it has: that need not be the file's fault;
 *   Error when it cannot be read with the memory that it has
 */
export async function inPhotographProcess(bytes: Uint8Array): Promise<TwoSizes> {
  const pooled = held.gritkeeperPhotographs;
  if (!pooled) return madeSmaller(bytes);
  if (pooled.processes.stats().pendingTasks >= MOST_WAITING)
    throw new ProblemError(503, 'Many photographs are on their way: try again in a moment.');
  try {
    return (await pooled.processes.exec('madeSmaller', [bytes]).timeout(pooled.longestMs)) as TwoSizes;
  } catch (error) {
    // The decoder's own bound comes back as a message only.
    if (error instanceof Task.TimeoutError || (error instanceof Error && error.message.startsWith('timeout: ')))
      throw new ProblemError(503, 'This photograph took too long. Try again, or take a smaller one.');
    throw error;
  }
}
