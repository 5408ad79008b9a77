'use client';

import { useEffect, useRef, useState } from 'react';
import { listenToShop } from './liveLine';

/** Several changes at once are one look. */
const SETTLE_MS = 120;

/** Whether a change concerns a job; one that names none may concern any. */
export type Concerns = (job: number) => boolean;

/**
 * Calls `onChange` soon after anything changed in the shop, at whichever bench, and after the line was lost and came back.
 * @returns whether the line stands now
 */
export function useLive(onChange: (concerns: Concerns) => void): boolean {
  const [live, setLive] = useState(true);
  const call = useRef(onChange);
  useEffect(() => {
    call.current = onChange;
  });
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let jobs: Set<number> | null = new Set<number>();
    const silence = listenToShop({
      onState: setLive,
      onChange(job) {
        if (job === null) jobs = null;
        else jobs?.add(job);
        clearTimeout(timer);
        timer = setTimeout(() => {
          const changed = jobs;
          jobs = new Set();
          call.current((id) => changed === null || changed.has(id));
        }, SETTLE_MS);
      },
    });
    return () => {
      clearTimeout(timer);
      silence();
    };
  }, []);
  return live;
}
