'use client';

import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { BenchView } from '@/shop/bench/dto';
import { ask } from '../asking/ask';
import { useLive } from '../live/useLive';

/** The Bench as the server has it now: looked at again whenever anything changed, without the page around it. */
export function useLiveBench(initial: BenchView): { view: BenchView; live: boolean; look: () => Promise<void> } {
  const { data, refetch } = useQuery({
    // A page that was made anew is newer than whatever was read for the one before it.
    queryKey: ['bench', initial.now],
    queryFn: ({ signal }) => ask<BenchView>('/api/v1/bench', signal),
    initialData: initial,
    staleTime: Infinity,
  });
  const look = useCallback(async () => {
    await refetch();
  }, [refetch]);
  const live = useLive(() => void look());
  return { view: data, live, look };
}
