import { resolve } from 'node:path';
import type { Transferable } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { ProblemError } from '../problem';

/** The framework may load a file more than once in a process: of each pool there is one. */
const held = globalThis as { gritkeeperPools?: Map<string, Piscina> };
const pools = (held.gritkeeperPools ??= new Map());

export interface ThreadPool {
  /**
   * Starts the threads. Without them (scripts, tests) nothing runs here, and who asks does the work where they are.
   * @param file the thread's own program, from the folder in which the server was started
   * @param threads `nicer`: how far they stand back behind the one that answers, in steps of the system's priority, 0 to 19
   */
  open(file: string, threads: { least: number; most: number; nicer: number; mostMegabytes?: number }): void;
  close(): Promise<void>;
  isOpen(): boolean;
  /** @throws ProblemError 503 when too many wait already; what the task throws; an AbortError when `signal` ends it */
  run(task: string, given: unknown, signal?: AbortSignal, transfer?: Transferable[]): Promise<unknown>;
}

/**
 * Threads of the server under one name, with a queue that has an end.
 * @param mostWaiting more than these wait for no thread: whoever comes then is asked to come again
 * @param full what they are told
 */
export function threadPool(name: string, mostWaiting: number, full: string): ThreadPool {
  return {
    open(file, { least, most, nicer, mostMegabytes }) {
      if (pools.has(name)) return;
      pools.set(
        name,
        new Piscina({
          filename: resolve(file),
          minThreads: least,
          maxThreads: most,
          maxQueue: mostWaiting,
          // On Linux a thread of its own is nicer than the others: who presses is answered before what was only asked to be
          // reckoned, also where there are fewer cores than threads.
          niceIncrement: nicer,
          ...(mostMegabytes ? { resourceLimits: { maxOldGenerationSizeMb: mostMegabytes } } : {}),
        }),
      );
    },
    async close() {
      await pools.get(name)?.destroy();
      pools.delete(name);
    },
    isOpen: () => pools.has(name),
    async run(task, given, signal, transfer) {
      const pool = pools.get(name)!;
      if (pool.queueSize >= mostWaiting) throw new ProblemError(503, full);
      return pool.run(given, {
        name: task,
        ...(signal ? { signal } : {}),
        ...(transfer ? { transferList: transfer } : {}),
      });
    },
  };
}
