'use client';

import { useCallback, useRef, useState } from 'react';
import type { BenchView } from '@/shop/bench/dto';
import { useLive } from '../live/useLive';

/** The Bench as the server has it now: looked at again whenever anything changed, without the page around it. */
export function useLiveBench(initial: BenchView): { view: BenchView; live: boolean; look: () => Promise<void> } {
  const [view, setView] = useState(initial);
  const round = useRef(0);
  const look = useCallback(async () => {
    const mine = ++round.current;
    const response = await fetch('/api/v1/bench').catch(() => null);
    // A whole new page, on purpose: the session has ended.
    if (response?.status === 401) window.location.reload();
    if (response?.ok && mine === round.current) setView((await response.json()) as BenchView);
  }, []);
  const live = useLive(() => void look());
  return { view, live, look };
}
