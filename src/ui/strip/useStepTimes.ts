import { useQuery } from '@tanstack/react-query';
import type { StepTime } from '@/shop/procedures/dto';
import { ask } from '../asking/ask';

/** Fewer than so many presses say nothing of the next. */
const FEWEST = 3;
const NONE: ReadonlyMap<string, StepTime> = new Map();

/** How long the steps of a model take the shop, by step; empty before it is known, and when nobody counted. */
export function useStepTimes(modelId: number): ReadonlyMap<string, StepTime> {
  // Only an addition to the minutes of the book: without it those stand.
  const { data } = useQuery({
    queryKey: ['step-times', modelId],
    queryFn: ({ signal }) => ask<{ times?: StepTime[] }>(`/api/v1/models/${modelId}/step-times`, signal),
    select: counted,
  });
  return data ?? NONE;
}

function counted({ times = [] }: { times?: StepTime[] }): ReadonlyMap<string, StepTime> {
  return new Map(times.filter((t) => t.presses >= FEWEST).map((t) => [t.step, t]));
}
