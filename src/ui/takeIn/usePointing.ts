'use client';

import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { FindingAnswerDto } from '@/shop/finding/dto';
import { ask } from '../asking/ask';
import type { StationState } from '../board/stationState';
import type { Trade } from './useTrade';

/** Where the complaints point on the board, before anything is checked; computed on the server. */
export function usePointing(
  kind: string | null,
  complaints: string[],
  trade: Trade | undefined,
): Record<string, StationState> {
  const isWanted = kind !== null && complaints.length > 0;
  const { data } = useQuery({
    queryKey: ['pointing', kind, complaints],
    queryFn: ({ signal }) =>
      ask<FindingAnswerDto>('/api/v1/finding', signal, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ kind, mainsV: 120, complaints, findings: [] }),
      }),
    enabled: isWanted,
    // Not reached, or not yet: the board stays as it is.
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return isWanted && data && trade ? stationsOf(kind, data, trade) : {};
}

/** The odds that at least one of a station's suspects is there. */
function stationsOf(kind: string, { faults }: FindingAnswerDto, { faultById }: Trade): Record<string, StationState> {
  const absent: Record<string, number> = {};
  for (const f of faults) {
    const station = faultById(f.id)?.kinds[kind]?.station;
    if (f.suspect && station) absent[station] = (absent[station] ?? 1) * (1 - f.probability);
  }
  return Object.fromEntries(Object.entries(absent).map(([station, none]) => [station, { odds: 1 - none }]));
}
