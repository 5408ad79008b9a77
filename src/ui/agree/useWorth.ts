'use client';

import { useEffect, useState } from 'react';
import type { WayOn } from '@/core/money/worth';
import type { WorthAsked, WorthTold } from '@/core/money/worthAsked';

const PAUSE_MS = 150;

/** What a year costs on each way on, reckoned beside the screen; every change ends what was reckoned and begins anew. */
export function useWorth(
  ways: readonly WayOn[],
  doubt: string | null,
): { told: WorthTold | null; working: number | null } {
  const key = JSON.stringify([ways, doubt]);
  const [state, setState] = useState<{ key: string; told: WorthTold } | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  useEffect(() => {
    const [asked, part] = JSON.parse(key) as [WayOn[], string | null];
    if (asked.length === 0) return;
    let worker: Worker | undefined;
    const timer = setTimeout(() => {
      worker = new Worker(new URL('../../workers/worth.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<{ progress?: number; told?: WorthTold }>) => {
        if (!data.told) return setProgress(data.progress!);
        setState({ key, told: data.told });
        setProgress(null);
        worker?.terminate();
      };
      worker.postMessage({ ways: asked, doubt: part } satisfies WorthAsked);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [key]);
  // The last answer stays while the next is reckoned.
  return { told: state?.told ?? null, working: state?.key === key ? null : progress };
}
