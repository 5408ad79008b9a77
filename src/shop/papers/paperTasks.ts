import type { MessagePort } from 'node:worker_threads';
import { gaugeById } from '@/core/gauges/catalogue';
import { reckon } from '@/core/gauges/reckon';
import { fitLives } from '@/core/service/fitLives';
import { ProblemError, type FieldProblem } from '../problem';
import { bookPaper, type BookOrder } from './bookPaper';
import { bundleWithin } from './bundleWithin';
import { documentPaper } from './documentPaper';
import { lettersPaper } from './lettersPaper';
import { inPackets } from './packets';
import { reportPaper } from './reportPaper';
import { readCards } from './readCards';
import { readCsv } from './readCsv';

type Reckoned = ReturnType<typeof reckon>;

/** What takes long and needs no database: done in a thread where there is one. */
export const paperTasks = {
  /** Piece by piece into the port, null after the last. */
  async bookPaper({ port, ...order }: BookOrder & { port: MessagePort }): Promise<void> {
    for await (const piece of bookPaper(order)) port.postMessage(piece);
    port.postMessage(null);
  },
  /** Rows in packets. */
  readCsv: async (given: Parameters<typeof readCsv>[0]) => inPackets(readCsv(given)),
  readCards: async (given: Parameters<typeof readCards>[0]) => inPackets(readCards(given)),
  bundleWithin,
  documentPaper,
  reportPaper,
  lettersPaper,
  fitLives: async (given: Parameters<typeof fitLives>[0]) => fitLives(given),
  reckonGauge: async (given: { id: string; raw: Parameters<typeof reckon>[1]; room: Parameters<typeof reckon>[2] }) =>
    reckon(gaugeById(given.id)!, given.raw, given.room) as Reckoned,
};
export type PaperTasks = typeof paperTasks;

/** A refusal as it comes out of a thread: classes do not. */
export interface ThreadRefusal {
  refused: { status: ProblemError['status']; title: string; fields: FieldProblem[] };
}

/** What a thread is handed: the task's own, and where it says that it has begun. */
interface Handed {
  given: never;
  begun: Int32Array;
}

/** The tasks as a thread does them: it says when one is begun, and a refusal is an answer there. */
export const threadTasks = Object.fromEntries(
  Object.entries(paperTasks).map(([name, task]) => [
    name,
    async ({ given, begun }: Handed): Promise<unknown> => {
      Atomics.store(begun, 0, 1);
      try {
        return await task(given);
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error;
        return { refused: { status: error.status, title: error.title, fields: error.fields } } satisfies ThreadRefusal;
      }
    },
  ]),
) as Record<keyof PaperTasks, (handed: Handed) => Promise<unknown>>;
