'use client';

import { useCallback, useRef, useState } from 'react';
import type { JobView } from '@/shop/jobView/dto';
import { send, type Refusal } from '../parts/post';
import { useLive } from '../parts/useLive';

export interface JobDesk {
  job: JobView;
  busy: boolean;
  refusal: Refusal | null;
  /** Set when somebody else changed the job: what was tried, and on which version. */
  conflict: { deed: string; body: Record<string, unknown>; seen: JobView } | null;
  /** Does one deed; true when it was done. The same content pressed twice is one deed. */
  act(deed: string, body?: Record<string, unknown>): Promise<boolean>;
  dismiss(): void;
  /** Takes over the job as a deed that went another way answered it. */
  take(job: JobView): void;
}

/** One job on the screen: every write carries the version that is shown and a key of its own. */
export function useJob(initial: JobView): JobDesk {
  const [job, setJob] = useState(initial);
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [conflict, setConflict] = useState<JobDesk['conflict']>(null);
  const pending = useRef<{ content: string; key: string } | null>(null);
  const working = useRef(false);

  const act = useCallback(
    async (deed: string, body: Record<string, unknown> = {}) => {
      if (working.current) return false;
      working.current = true;
      setBusy(true);
      setRefusal(null);
      const content = JSON.stringify([deed, body, job.version]);
      // After a lost answer the same press is sent again under the same key: it is done once.
      if (pending.current?.content !== content) pending.current = { content, key: crypto.randomUUID() };
      const sent = await send<JobView>('POST', `/api/v1/jobs/${job.id}/${deed}`, {
        ...body,
        key: pending.current.key,
        version: job.version,
      });
      working.current = false;
      setBusy(false);
      if (sent.ok) {
        pending.current = null;
        setConflict(null);
        setJob(sent.value);
        return true;
      }
      if (sent.refusal.status === 409 && sent.refusal.current) {
        setConflict({ deed, body, seen: job });
        setJob(sent.refusal.current as JobView);
      }
      if (sent.refusal.status !== 0) pending.current = null;
      setRefusal(sent.refusal);
      return false;
    },
    [job],
  );
  // What somebody does at another bench is seen here at once; what is typed here stays.
  useLive(async (concerns) => {
    if (!concerns(job.id) || working.current) return;
    const response = await fetch(`/api/v1/jobs/${job.id}`).catch(() => null);
    if (!response?.ok || working.current) return;
    const now = (await response.json()) as JobView;
    setJob((shown) => (now.version > shown.version ? now : shown));
  });
  const dismiss = useCallback(() => {
    setRefusal(null);
    setConflict(null);
  }, []);
  return { job, busy, refusal, conflict, act, dismiss, take: setJob };
}
