import { countTries, insertTry, type Try } from '@/data/doorKeys';
import type { Db } from '@/data/database';
import { ProblemError } from '../problem';

const WINDOW_MINUTES = 15;
/**
 * Wrong tries in a quarter of an hour. A browser that has signed in before as this person is counted by itself: who guesses
 * under somebody's name, or behind the same address, does not lock its owner out. Common practice, no source.
 */
const MOST = { browser: 10, pair: 8, address: 60, name: 200 };

/**
 * Counts a try before it is judged: however many come at once, no more pass than the limits say.
 * @returns the number of the try, to be forgiven when it was right
 * @throws ProblemError 429 with the seconds after which another try is taken
 */
export async function countTry(db: Db, one: Try): Promise<number> {
  const id = await insertTry(db, one);
  const tries = await countTries(db, one, WINDOW_MINUTES);
  const tooMany = one.browser
    ? tries.browser > MOST.browser
    : tries.pair > MOST.pair || tries.address > MOST.address || tries.name > MOST.name;
  if (tooMany)
    throw new ProblemError(429, `Too many wrong tries. Wait ${WINDOW_MINUTES} minutes, then try again.`, [], {
      retryAfterS: WINDOW_MINUTES * 60,
    });
  return id;
}
