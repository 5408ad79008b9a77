'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import { reckon, type AnyGauge, type Reckoned } from '@/core/gauges/catalogue';
import type { RawValues } from '@/core/gauges/fields';
import type { Surroundings } from '@/core/gauges/gauge';

/** A heavy gauge waits so long for the next key before it begins. */
const PAUSE_MS = 120;

export interface Reckoning {
  reckoned: Reckoned | null;
  /** 0 to 1 while a worker reckons; null otherwise. */
  working: number | null;
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
          worker?.terminate();
        } else setProgress({ raw, done: data.progress! });
      };
      worker.postMessage({ gauge: gauge.id, raw, around });
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [gauge, heavy, raw, around, cancelled]);
  const cancel = useCallback(() => {
    setCancelled(raw);
    setProgress(null);
  }, [raw]);
  if (!heavy) return { reckoned: light, working: null, cancel };
  const current = far?.raw === raw;
  return {
    // The last answer stays while the next is reckoned.
    reckoned: far?.reckoned ?? null,
    working: current || cancelled === raw ? null : progress?.raw === raw ? progress.done : 0,
    cancel,
  };
}
