'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { send, type Refusal } from '../parts/post';
import { useLive } from '../parts/useLive';

/** Where a machine is to go, and whose work it is to be; what is not named stays. */
export interface Move {
  place?: BenchStrip['place'];
  benchNo?: number;
  personId?: number | null;
}

/** The Bench, alive: strips as the server has them, with moves of one's own shown at once. */
export function useBench(view: BenchView) {
  const router = useRouter();
  const [moved, setMoved] = useState<{ of: BenchView; moves: Record<number, Move> }>({ of: view, moves: {} });
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const live = useLive(() => router.refresh());
  // What the server tells now has the moves in it, or they were refused.
  const moves = moved.of === view ? moved.moves : {};
  const strips = view.strips.map((s) => {
    const m = moves[s.job];
    if (!m) return s;
    const person = m.personId === undefined ? s.person : (view.people.find((p) => p.id === m.personId) ?? null);
    return { ...s, place: m.place ?? s.place, benchNo: m.benchNo ?? s.benchNo, person };
  });
  const move = useCallback(
    async (strip: BenchStrip, to: Move) => {
      setRefusal(null);
      setMoved((now) => ({ of: view, moves: { ...(now.of === view ? now.moves : {}), [strip.job]: to } }));
      const sent = await send('POST', `/api/v1/jobs/${strip.job}/move-job`, {
        key: crypto.randomUUID(),
        version: strip.version,
        ...to,
      });
      if (!sent.ok) {
        setRefusal(sent.refusal);
        setMoved({ of: view, moves: {} });
      }
      router.refresh();
    },
    [router, view],
  );
  return { view: { ...view, strips }, move, live, refusal };
}
