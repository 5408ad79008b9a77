import { useEffect, useState } from 'react';
import type { StepTime } from '@/shop/procedures/dto';

/** Fewer than so many presses say nothing of the next. */
const FEWEST = 3;

/** How long the steps of a model take the shop, by step; empty before it is known, and when nobody counted. */
export function useStepTimes(modelId: number): ReadonlyMap<string, StepTime> {
  const [times, setTimes] = useState<ReadonlyMap<string, StepTime>>(new Map());
  useEffect(() => {
    const stop = new AbortController();
    void fetch(`/api/v1/models/${modelId}/step-times`, { signal: stop.signal })
      .then(async (response) => {
        if (!response.ok) return;
        const told = ((await response.json()) as { times?: StepTime[] }).times ?? [];
        setTimes(new Map(told.filter((t) => t.presses >= FEWEST).map((t) => [t.step, t])));
      })
      // Only an addition to the minutes of the book: without it those stand.
      .catch(() => undefined);
    return () => stop.abort();
  }, [modelId]);
  return times;
}
