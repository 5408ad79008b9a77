'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import { reckon, type AnyGauge, type Reckoned } from '@/core/gauges/reckon';
import type { RawValues } from '@/core/gauges/fields';
import type { Surroundings } from '@/core/gauges/gauge';

/** A heavy gauge waits so long for the next key before it begins. */
const PAUSE_MS = 120;
/** Work shorter than this shows no bar: it would only flicker while somebody types. */
const SLOW_MS = 400;

export interface Reckoning {
  reckoned: Reckoned | null;
  /** 0 to 1 while a worker reckons and takes its time; null otherwise. */
  working: number | null;
  /** The person stopped it; the next key begins anew. */
  stopped: boolean;
  cancel(): void;
}

/** The answer to what is typed: at once, or from a worker that every new key ends and begins anew. */
export function useReckoned(gauge: AnyGauge, raw: RawValues, around: Surroundings): Reckoning {
  const heavy = gauge.heavy === true;
  const light = useMemo(() => (heavy ? null : reckon(gauge, raw, around)), [gauge, heavy, raw, around]);
  const [far, setFar] = useState<{ raw: RawValues; reckoned: Reckoned } | null>(null);
  const [progress, setProgress] = useState<{ raw: RawValues; done: number } | null>(null);
  const [cancelled, setCancelled] = useState<RawValues | null>(null);
  useEffect(() => {
    if (!heavy || cancelled === raw) return;
    let worker: Worker | undefined;
    const timer = setTimeout(() => {
      worker = new Worker(new URL('../../workers/gauge.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<{ progress?: number; reckoned?: Reckoned }>) => {
        if (data.reckoned) {
          setFar({ raw, reckoned: data.reckoned });
          setProgress(null);
          clearTimeout(slow);
          worker?.terminate();
        } else setProgress((p) => (p?.raw === raw ? { raw, done: data.progress! } : p));
      };
      worker.postMessage({ gauge: gauge.id, raw, around });
    }, PAUSE_MS);
    const slow = setTimeout(() => setProgress((p) => (p?.raw === raw ? p : { raw, done: 0 })), SLOW_MS);
    return () => {
      clearTimeout(timer);
      clearTimeout(slow);
      worker?.terminate();
    };
  }, [gauge, heavy, raw, around, cancelled]);
  const cancel = useCallback(() => {
    setCancelled(raw);
    setProgress(null);
  }, [raw]);
  if (!heavy) return { reckoned: light, working: null, stopped: false, cancel };
  const current = far?.raw === raw;
  return {
    // The last answer stays while the next is reckoned.
    reckoned: far?.reckoned ?? null,
    working: current || cancelled === raw || progress?.raw !== raw ? null : progress.done,
    stopped: cancelled === raw && !current,
    cancel,
  };
}
