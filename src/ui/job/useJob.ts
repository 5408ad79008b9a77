'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { AssessmentView, OddsView } from '@/shop/finding/dto';
import type { JobChanges, JobFacts } from '@/shop/jobView/dto';
import type { Refusal } from '../parts/post';
import { ask } from '../asking/ask';
import { fateOf, sendOnce, UNKNOWN } from '../parts/sendOnce';
import { useLive } from '../live/useLive';
import { useOdds } from './useOdds';

export interface JobDesk {
  job: JobFacts;
  /** The odds as they were last told; null before they come, or when the findings cannot all be true. */
  odds: AssessmentView | null;
  /** The odds belong to the job as it stands; otherwise they are being worked out, and no answer may lean on them. */
  fresh: boolean;
  /** Why there are no odds. */
  problem: string | null;
  busy: boolean;
  /** The answer to the last press was lost, and the server is being asked whether it was done: nothing is taken meanwhile. */
  inDoubt: boolean;
  refusal: Refusal | null;
  /** Set when somebody else changed the job: what was tried, and on which version. */
  conflict: { deed: string; body: Record<string, unknown>; seen: JobFacts } | null;
  /** Does one deed; true when it was done. The same content pressed twice is one deed. */
  act(deed: string, body?: Record<string, unknown>): Promise<boolean>;
  /** Does one deed after those that were pressed before it; none is dropped, whatever is on its way. */
  press(deed: string, body: Record<string, unknown>): void;
  /** What was pressed and is not saved yet, in order. */
  waiting: readonly Press[];
  /** The first of them was not saved: nothing goes on before somebody says so. */
  stalled: boolean;
  /** Sends what waits again. */
  retry(): void;
  dismiss(): void;
  /** Takes over what a deed that went another way answered. */
  take(changes: JobChanges): void;
}

/** One deed that was pressed. */
export interface Press {
  deed: string;
  body: Record<string, unknown>;
  /** The job as it was shown to whoever pressed. */
  version: number;
}

const BREATH_MS = 15;

/** All that was told stands there already. */
const isShown = (shown: JobFacts, told: JobFacts) =>
  (Object.keys(told) as (keyof JobFacts)[]).every((k) => JSON.stringify(told[k]) === JSON.stringify(shown[k]));

/** One job on the screen: every write carries the version that is shown and a key of its own. */
export function useJob(initial: JobFacts, told: OddsView | Promise<OddsView> | null): JobDesk {
  const [job, setJob] = useState(initial);
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [conflict, setConflict] = useState<JobDesk['conflict']>(null);
  const [inDoubt, setInDoubt] = useState(false);
  /** Sent, and no answer yet: the same press goes again as it went, whatever was heard since. */
  const pending = useRef<{ content: string; key: string; version: number } | null>(null);
  /** The version that our own last press made: what was pressed behind it was pressed knowing it. */
  const own = useRef(0);
  const working = useRef(false);
  const { odds, fresh, problem } = useOdds(job, told);
  const latest = useRef(initial);
  const take = useCallback((changes: JobChanges) => {
    if (changes.version < latest.current.version) return;
    latest.current = { ...latest.current, ...changes };
    setJob(latest.current);
  }, []);

  const line = useRef<Press[]>([]);
  const [waiting, setWaiting] = useState<readonly Press[]>([]);
  const [stalled, setStalled] = useState(false);
  const pumping = useRef(false);

  const act = useCallback(
    async (deed: string, body: Record<string, unknown> = {}, seen = latest.current.version) => {
      if (working.current) return false;
      const job = latest.current;
      const content = JSON.stringify([deed, body]);
      working.current = true;
      setBusy(true);
      setRefusal(null);
      if (pending.current && pending.current.content !== content) {
        // Another press: first it is asked what became of the last. Done or not, this one is judged by what was seen.
        setInDoubt(true);
        const fate = await fateOf(pending.current.key);
        setInDoubt(false);
        if (fate === 'unknown') {
          working.current = false;
          setBusy(false);
          setRefusal(UNKNOWN);
          return false;
        }
        pending.current = null;
      }
      // Pressed for what was shown: what somebody else did since is a conflict, what we did ourselves is not.
      const version = job.version === own.current ? job.version : seen;
      pending.current ??= { content, key: crypto.randomUUID(), version };
      const sent = await sendOnce<JobChanges>(
        `/api/v1/jobs/${job.id}/${deed}`,
        { ...body, key: pending.current.key, version: pending.current.version },
        setInDoubt,
      );
      working.current = false;
      setBusy(false);
      if (sent.ok) {
        pending.current = null;
        own.current = sent.value.version;
        setConflict(null);
        take(sent.value);
        if (line.current[0]?.deed === deed && line.current[0].body === body)
          setWaiting((line.current = line.current.slice(1)));
        return true;
      }
      if (sent.refusal.status === 409 && sent.refusal.current) {
        setConflict({ deed, body, seen: job });
        latest.current = sent.refusal.current as JobFacts;
        setJob(latest.current);
      }
      if (!sent.refusal.unknown) pending.current = null;
      setRefusal(sent.refusal);
      return false;
    },
    [take],
  );
  const pump = useCallback(async () => {
    if (pumping.current) return;
    pumping.current = true;
    setStalled(false);
    while (line.current[0]) {
      // Another deed is on its way: this one is next.
      if (working.current) {
        await new Promise((done) => setTimeout(done, BREATH_MS));
        continue;
      }
      const { deed, body, version } = line.current[0];
      if (await act(deed, body, version)) continue;
      setStalled(line.current.length > 0);
      break;
    }
    pumping.current = false;
  }, [act]);
  const press = useCallback(
    (deed: string, body: Record<string, unknown>) => {
      // While it is not known what became of the last press, nobody knows what this one would fall on.
      if (inDoubt) return;
      setWaiting((line.current = [...line.current, { deed, body, version: latest.current.version }]));
      void pump();
    },
    [pump, inDoubt],
  );
  // Done by another way, such as "it still holds": those behind it go on.
  useEffect(() => {
    if (stalled && !refusal && !busy) void pump();
  }, [stalled, refusal, busy, pump]);
  // What somebody does at another bench is seen here at once; what is typed here stays.
  useLive(async (concerns) => {
    if (!concerns(job.id) || working.current) return;
    const now = await ask<JobFacts>(`/api/v1/jobs/${job.id}/facts`)
      // Not reached now: the next word of the line looks again.
      .catch(() => null);
    // Told again what is shown already, as whenever the line opens, nothing is drawn anew.
    if (now && !working.current && !isShown(latest.current, now)) take(now);
  });
  const dismiss = useCallback(() => {
    setRefusal(null);
    setConflict(null);
    pending.current = null;
    setWaiting((line.current = []));
    setStalled(false);
  }, []);
  return {
    job,
    odds,
    fresh,
    problem,
    busy,
    inDoubt,
    refusal,
    conflict,
    waiting,
    stalled,
    act: (deed, body) => act(deed, body),
    press,
    retry: () => void pump(),
    dismiss,
    take,
  };
}
