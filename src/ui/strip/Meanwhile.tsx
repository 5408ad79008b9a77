'use client';

import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { JobFacts } from '@/shop/jobView/dto';
import type { BenchView } from '@/shop/bench/dto';
import { Notice } from '../parts/Notice';
import { leftWords, useNow } from '../parts/useNow';
import NextLink from '../theme/NextLink';

/** While penetrant works or something dries there is another machine for the hands. */
export function Meanwhile({ job }: { job: Pick<JobFacts, 'id' | 'waits' | 'benchNo' | 'takenInAt'> }) {
  const running = job.waits.find((w) => w.endedAt === null);
  const now = useNow(running?.startedAt ?? job.takenInAt);
  const [other, setOther] = useState<BenchView['strips'][number] | null>(null);
  const waits = running?.id;
  useEffect(() => {
    if (waits === undefined) return;
    const stop = new AbortController();
    void fetch('/api/v1/bench', { signal: stop.signal })
      .then(async (response) => {
        if (!response.ok) return;
        const { strips } = (await response.json()) as BenchView;
        const free = strips.filter((s) => s.job !== job.id && s.wait === null && s.next !== null);
        // What lies at the same bench first, and of that what was promised first.
        setOther(free.find((s) => s.place === 'bench' && s.benchNo === job.benchNo) ?? free[0] ?? null);
      })
      // Only an offer: the wait itself stands there without it.
      .catch(() => undefined);
    return () => stop.abort();
  }, [waits, job.id, job.benchNo]);
  if (!running) return null;
  return (
    <Notice title={`${running.what || 'It waits'}: ${leftWords(running.endsAt, now)} left.`}>
      {other && (
        <Typography variant="body2">
          Meanwhile:{' '}
          <Link component={NextLink} href={`/jobs/${other.job}`}>
            {other.tag} {other.maker} {other.model}
          </Link>
          , {other.next!.text.toLowerCase()}
        </Typography>
      )}
    </Notice>
  );
}
