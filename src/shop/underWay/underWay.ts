import { AsyncLocalStorage } from 'node:async_hooks';
import { ProblemError } from '../problem';

/** One request while it is worked on. */
interface Work {
  /** Aborted when whoever asked has left, or has waited long enough. */
  signal: AbortSignal;
}

/** No answer is worth waiting for longer, but for a file of a hundred thousand rows. */
export const LONGEST_MS = 30_000;
export const LONGEST_FILE_MS = 180_000;
/** A paper waits for those before it, and is written behind everything that somebody presses. */
export const LONGEST_PAPER_MS = 90_000;
/** Twenty tabs that all come back at once. */
const MOST_AT_ONCE = 40;

/** The framework may load this file more than once in a process: what is under way is counted once. */
const held = globalThis as {
  gritkeeperWork?: { current: AsyncLocalStorage<Work>; under: Map<number, number> };
};
const works = (held.gritkeeperWork ??= { current: new AsyncLocalStorage(), under: new Map() });

/** When the work that is being done is no longer wanted; never, outside of a request. */
export function notWanted(): AbortSignal | undefined {
  return works.current.getStore()?.signal;
}

/**
 * Does the work of one request: cancelled when its sender leaves or after its time; so much at once per person and no more.
 * @param person who asks, null for one who has not signed in
 * @throws ProblemError 503 when this person has more under way than anybody needs
 */
export async function asWork<T>(
  person: number | null,
  left: AbortSignal,
  work: () => Promise<T>,
  longestMs = LONGEST_MS,
): Promise<T> {
  const whose = person ?? 0;
  const already = works.under.get(whose) ?? 0;
  if (already >= MOST_AT_ONCE)
    throw new ProblemError(503, 'You have asked for more than can be answered at once: try again in a moment.');
  works.under.set(whose, already + 1);
  try {
    const signal = AbortSignal.any([left, AbortSignal.timeout(longestMs)]);
    return await works.current.run({ signal }, work);
  } finally {
    const left = works.under.get(whose)! - 1;
    if (left === 0) works.under.delete(whose);
    else works.under.set(whose, left);
  }
}
