'use client';

import { useEffect, useState } from 'react';

/** The time, moved on every `everyMs`; starts from the server's own so that both draw the same first picture. */
export function useNow(startIso: string, everyMs = 15_000): number {
  const [now, setNow] = useState(() => Date.parse(startIso));
  useEffect(() => {
    const tick = () => setNow(Date.now());
    tick();
    const timer = setInterval(tick, everyMs);
    return () => clearInterval(timer);
  }, [startIso, everyMs]);
  return now;
}

/** What is left until an instant, in words: `3 h 20 min`, or `ready`. */
export function leftWords(endsAt: string, now: number): string {
  const minutes = Math.ceil((Date.parse(endsAt) - now) / 60_000);
  if (minutes <= 0) return 'ready';
  if (minutes < 60) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  return hours < 48 ? `${hours} h ${minutes % 60} min` : `${Math.round(hours / 24)} days`;
}
