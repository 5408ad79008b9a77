'use client';

import { useCallback, useState } from 'react';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import type { Refusal } from '../parts/post';
import { sendOnce } from '../parts/sendOnce';
import { useLiveBench } from './useLiveBench';

/** Where a machine is to go, and whose work it is to be; what is not named stays. */
export interface Move {
  place?: BenchStrip['place'];
  benchNo?: number;
  personId?: number | null;
}

/** The Bench, alive: strips as the server has them, with moves of one's own shown at once. */
export function useBench(initial: BenchView) {
  const { view, live, look } = useLiveBench(initial);
  const [moves, setMoves] = useState<Record<number, Move & { version: number }>>({});
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const strips = view.strips.map((s) => {
    const m = moves[s.job];
    // What the server tells of a newer version has the move in it, or it was refused.
    if (!m || m.version !== s.version) return s;
    const person = m.personId === undefined ? s.person : (view.people.find((p) => p.id === m.personId) ?? null);
    return { ...s, place: m.place ?? s.place, benchNo: m.benchNo ?? s.benchNo, person };
  });
  const move = useCallback(
    async (strip: BenchStrip, to: Move) => {
      setRefusal(null);
      setMoves((now) => ({ ...now, [strip.job]: { ...to, version: strip.version } }));
      const sent = await sendOnce(`/api/v1/jobs/${strip.job}/move-job`, {
        key: crypto.randomUUID(),
        version: strip.version,
        ...to,
      });
      if (!sent.ok) {
        setRefusal(sent.refusal);
        setMoves((now) => Object.fromEntries(Object.entries(now).filter(([job]) => job !== String(strip.job))));
      }
      await look();
    },
    [look],
  );
  return { view: { ...view, strips }, move, live, refusal };
}
