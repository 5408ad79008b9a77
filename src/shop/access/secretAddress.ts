import type { Db } from '@/data/database';
import { countWrongLinks, insertWrongLink } from '@/data/links';
import { notFound, ProblemError } from '../problem';
import { tokenHash } from './secrets';

/** Wrong tokens from one address in a quarter of an hour; one has 256 bits, so nobody comes near it by guessing. */
const MOST_WRONG = 20;
const WINDOW_MINUTES = 15;

/**
 * What a token opens that is its own key. Wrong ones are counted by address before the next is looked at.
 * @param find by the hash of the token, which is all that is kept of it
 * @throws ProblemError 404 for every token that opens nothing, whatever the reason; 429 after too many
 */
export async function openedBy<T>(
  db: Db,
  token: string,
  address: string,
  what: string,
  find: (hash: Buffer) => Promise<T | undefined>,
): Promise<T> {
  if ((await countWrongLinks(db, address, WINDOW_MINUTES)) >= MOST_WRONG)
    throw new ProblemError(429, 'Too many wrong addresses. Wait a quarter of an hour.', [], {
      retryAfterS: WINDOW_MINUTES * 60,
    });
  const found = await find(tokenHash(token));
  if (found !== undefined) return found;
  await insertWrongLink(db, address);
  throw notFound(what);
}
