'use client';

import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { AssessmentView, OddsView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { ask } from '../asking/ask';

const AGAIN_MS = 1500;

/**
 * The odds that belong to the job as it is shown: those that came with the page, then asked for whenever it changed. What was
 * told before is there at once when an answer is taken back.
 * @param told with the page, at once or in a moment; null where nobody wants odds
 */
export function useOdds(
  { id, oddsKey }: Pick<JobFacts, 'id' | 'oddsKey'>,
  told: OddsView | Promise<OddsView> | null,
): {
  /** As they were last told, though they may be those of a moment ago. */
  odds: AssessmentView | null;
  /** They belong to the job as it stands. */
  fresh: boolean;
  /** Why there are none. */
  problem: string | null;
} {
  const client = useQueryClient();
  const [first, setFirst] = useState(told && 'key' in told ? told : null);
  // What comes with the page is waited for a moment before it is asked for.
  const [isOnItsWay, setOnItsWay] = useState(told instanceof Promise);
  useEffect(() => {
    if (!(told instanceof Promise)) return;
    let here = true;
    const arrived = () => here && setOnItsWay(false);
    // What the framework passes as a promise takes both hands at once and gives nothing back.
    void told.then((odds) => {
      client.setQueryData(['odds', id, odds.key], odds);
      if (here) setFirst(odds);
      arrived();
      // One that fails is asked again below.
    }, arrived);
    const timer = setTimeout(arrived, AGAIN_MS);
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [told, id, client]);
  const { data, isPlaceholderData } = useQuery({
    queryKey: ['odds', id, oddsKey],
    async queryFn({ signal }) {
      const odds = await ask<OddsView>(`/api/v1/jobs/${id}/odds?key=${encodeURIComponent(oddsKey)}`, signal);
      if (odds.key === oddsKey) return odds;
      // The job changed on the way: the line says so in a moment, and these are there already.
      client.setQueryData(['odds', id, odds.key], odds);
      throw new Error('These are the odds of another moment.');
    },
    enabled: told !== null && !isOnItsWay,
    initialData: first?.key === oddsKey ? first : undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: true,
    retryDelay: AGAIN_MS,
  });
  const fresh = data !== undefined && !isPlaceholderData;
  return { odds: (data ?? first)?.assessment ?? null, fresh, problem: fresh ? data.problem : null };
}
