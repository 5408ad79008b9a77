'use client';

import { startTransition, use, useReducer } from 'react';
import type { TradeBook } from '@/knowledge/tradeBook';
import { isTold, tell, tellLent } from './trade';

/** A server that is away for a moment is asked again before anybody is told. */
const AGAIN_MS = [1_000, 4_000];

/** Address → whether it came; it never rejects. */
const asked = new Map<string, Promise<boolean>>();

/**
 * Has a page told of a kind before it wakes. What is known of a kind is the same for all its machines and changes with the
 * application alone: a browser fetches it once, beside the page, and keeps it. Until then the page stands as the server drew it.
 * @param address where the book is
 */
export function useBook(kindId: string, address: string): { failed: boolean; again: () => void } {
  const [, look] = useReducer((n: number) => n + 1, 0);
  tellLent(kindId);
  const again = () => {
    asked.delete(address);
    startTransition(look);
  };
  // Whoever waited for it looks at it again when it is there.
  const coming = isTold(kindId) ? asked.get(address) : bookAt(address);
  const came = coming === undefined || use(coming);
  return { failed: !came && !isTold(kindId), again };
}

function bookAt(address: string): Promise<boolean> {
  const known = asked.get(address) ?? fetchBook(address);
  asked.set(address, known);
  return known;
}

async function fetchBook(address: string): Promise<boolean> {
  for (const pause of [...AGAIN_MS, null]) {
    const book = await fetch(address)
      .then((r) => (r.ok ? (r.json() as Promise<TradeBook>) : null))
      .catch(() => null);
    if (book) {
      tell(book);
      return true;
    }
    if (pause !== null) await new Promise((done) => setTimeout(done, pause));
  }
  return false;
}
