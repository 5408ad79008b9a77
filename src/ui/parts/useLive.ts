'use client';

import { useEffect, useRef, useState } from 'react';

/** Several changes at once are one look. */
const SETTLE_MS = 120;
/** The server is heard every ten seconds at least; after this long a silence the line is dead. */
const SILENCE_MS = 25_000;

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
    let source: EventSource;
    let heardAt = Date.now();
    const hear = (act?: (event: MessageEvent<string>) => void) => (event: Event) => {
      heardAt = Date.now();
      setLive(true);
      act?.(event as MessageEvent<string>);
    };
    const open = () => {
      heardAt = Date.now();
      source = new EventSource('/api/v1/live');
      source.addEventListener(
        'hello',
        hear(() => {
          // The first greeting comes with a fresh page; a later one after a gap in which anything may have happened.
          if (greeted) soon(null);
          greeted = true;
        }),
      );
      source.addEventListener('here', hear());
      source.addEventListener(
        'change',
        hear((event) => {
          const { job, machine } = JSON.parse(event.data) as { job: number | null; machine: number | null };
          // What happened to a machine outside a job is nothing that an open job shows.
          soon(job !== null || machine === null ? job : -1);
        }),
      );
      source.addEventListener('error', lost);
    };
    const lost = () => setLive(false);
    const again = () => {
      source.close();
      open();
    };
    open();
    const watch = setInterval(() => {
      if (Date.now() - heardAt < SILENCE_MS) return;
      lost();
      again();
    }, 5000);
    window.addEventListener('offline', lost);
    window.addEventListener('online', again);
    return () => {
      clearTimeout(timer);
      clearInterval(watch);
      window.removeEventListener('offline', lost);
      window.removeEventListener('online', again);
      source.close();
    };
  }, []);
  return live;
}
