import { once } from 'node:events';
import { MessageChannel, type Transferable } from 'node:worker_threads';
import { ProblemError } from '../problem';
import { threadPool } from '../threads/threadPool';
import { notWanted } from '../underWay/underWay';
import type { BookOrder } from './bookPaper';
import type { PaperTasks, ThreadRefusal } from './paperTasks';

/**
 * A paper that takes longer is none that anybody waits for: its thread is ended. Counted from when it is begun: what waits for
 * others, or for a thread that is just starting, has done nothing wrong yet.
 */
const LONGEST_MS = 20_000;
const LOOK_MS = 250;
/**
 * Stands back, and not so far that a busy shop gets no paper at all: beside a server and a database that want both cores, ten
 * steps left a book of a tenth of a second unfinished after twenty.
 */
const NICER = 5;

const pool = threadPool('papers', 16, 'More is being written than can be just now: try again in a moment.');

/** Gives papers, files of rows and gauges threads of their own, so that none of them holds the server up. */
export function openPaperThreads(file: string): void {
  pool.open(file, { least: 1, most: 2, nicer: NICER, mostMegabytes: 512 });
}

export const closePaperThreads = (): Promise<void> => pool.close();

/**
 * One task, in a thread where there are some; ended when nobody waits for it any more.
 * @throws ProblemError what the task refuses; 503 when too many wait, or it takes too long
 */
export async function inPaperThread<Name extends keyof PaperTasks>(
  name: Name,
  given: Parameters<PaperTasks[Name]>[0],
  transfer: Transferable[] = [],
  longestMs = LONGEST_MS,
): Promise<Awaited<ReturnType<PaperTasks[Name]>>> {
  type Answer = Awaited<ReturnType<PaperTasks[Name]>>;
  if (!pool.isOpen()) {
    const { paperTasks } = await import('./paperTasks');
    return (await (paperTasks[name] as (given: unknown) => Promise<unknown>)(given)) as Answer;
  }
  const begun = new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT));
  const late = new AbortController();
  let since: number | null = null;
  const watch = setInterval(() => {
    if (Atomics.load(begun, 0) === 0) return;
    since ??= performance.now();
    if (performance.now() - since > longestMs) late.abort();
  }, LOOK_MS).unref();
  const left = notWanted();
  try {
    const signal = left ? AbortSignal.any([left, late.signal]) : late.signal;
    const answer = await pool.run(name, { given, begun }, signal, transfer);
    if (isRefusal(answer)) throw new ProblemError(answer.refused.status, answer.refused.title, answer.refused.fields);
    return answer as Answer;
  } catch (error) {
    if (late.signal.aborted)
      throw new ProblemError(503, 'This takes longer than it should, and was given up. Take less at once.');
    throw error;
  } finally {
    clearInterval(watch);
  }
}

/**
 * A book on paper as it is written. Nothing is told before its first piece is there, so that a refusal is still one.
 * @throws ProblemError 503 when too many papers are written already, or it takes too long
 */
export async function bookInPieces(order: BookOrder): Promise<ReadableStream<Uint8Array<ArrayBuffer>>> {
  const { port1: ours, port2: port } = new MessageChannel();
  const written = inPaperThread('bookPaper', { ...order, port }, [port]);
  const pieces = new ReadableStream<Uint8Array<ArrayBuffer>>({
    start(to) {
      ours.on('message', (piece: Uint8Array<ArrayBuffer> | null) => {
        if (piece !== null) return to.enqueue(piece);
        to.close();
        ours.close();
      });
      // What was begun and cannot be finished must not look like a whole paper.
      written.catch((error: unknown) => {
        to.error(error);
        ours.close();
      });
    },
    cancel: () => ours.close(),
  });
  await Promise.race([once(ours, 'message'), written]);
  return pieces;
}

function isRefusal(answer: unknown): answer is ThreadRefusal {
  return typeof answer === 'object' && answer !== null && 'refused' in answer;
}
