import { preload } from 'react-dom';
import { writtenBook } from '@/knowledge/tradeBook';
import { lend } from '@/ui/job/trade';

/**
 * Where a page finds what is known of its machine's kind: asked for with the head of the page, so that it is there when the page
 * wakes, and lent to what draws the page here. It goes beside the page, not in it: a browser has it once for all machines of the
 * kind, and does not compile it.
 * @throws RangeError for a kind that is not known
 */
export function bookFor(kindId: string): string {
  const { text, sum } = writtenBook(kindId);
  lend(kindId, text);
  const address = `/api/v1/knowledge/${kindId}?sum=${sum}`;
  preload(address, { as: 'fetch', crossOrigin: 'anonymous' });
  return address;
}
