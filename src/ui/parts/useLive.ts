'use client';

import { useEffect, useRef, useState } from 'react';

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
    let greeted = false;
    let jobs: Set<number> | null = new Set<number>();
    const soon = (job: number | null) => {
      if (job === null) jobs = null;
      else jobs?.add(job);
      clearTimeout(timer);
      timer = setTimeout(() => {
        const changed = jobs;
        jobs = new Set();
        call.current((id) => changed === null || changed.has(id));
      }, SETTLE_MS);
    };
    const source = new EventSource('/api/v1/live');
    source.addEventListener('hello', () => {
      setLive(true);
      // The first greeting comes with a fresh page; a later one after a gap in which anything may have happened.
      if (greeted) soon(null);
      greeted = true;
    });
    source.addEventListener('change', (event) => {
      const { job, machine } = JSON.parse((event as MessageEvent<string>).data) as {
        job: number | null;
        machine: number | null;
      };
      // What happened to a machine outside a job is nothing that an open job shows.
      if (job !== null || machine === null) soon(job);
      else soon(-1);
    });
    source.addEventListener('error', () => setLive(false));
    return () => {
      clearTimeout(timer);
      source.close();
    };
  }, []);
  return live;
}
