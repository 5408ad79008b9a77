'use client';

import { useEffect, useState } from 'react';
import type { FindingAnswerDto } from '@/shop/finding/dto';
import type { StationState } from '../board/stationState';
import { faultOf } from '../job/labels';

/** Where the complaints point on the board, before anything is checked; computed on the server. */
export function usePointing(kindId: string | null, complaints: string[]): Record<string, StationState> {
  const [states, setStates] = useState<Record<string, StationState>>({});
  const wanted =
    kindId && complaints.length > 0 ? JSON.stringify({ kind: kindId, mainsV: 120, complaints, findings: [] }) : null;
  useEffect(() => {
    if (!wanted || !kindId) return;
    const stop = new AbortController();
    void look();
    async function look() {
      try {
        const response = await fetch('/api/v1/finding', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: wanted,
          signal: stop.signal,
        });
        if (!response.ok) return setStates({});
        const { faults } = (await response.json()) as FindingAnswerDto;
        const absent: Record<string, number> = {};
        for (const f of faults) {
          const station = faultOf(f.id)?.kinds[kindId!]?.station;
          if (f.suspect && station) absent[station] = (absent[station] ?? 1) * (1 - f.probability);
        }
        setStates(Object.fromEntries(Object.entries(absent).map(([s, none]) => [s, { odds: 1 - none }])));
      } catch {
        // Not reached or overtaken by the next press: the board stays as it is.
      }
    }
    return () => stop.abort();
  }, [wanted, kindId]);
  return wanted ? states : {};
}
