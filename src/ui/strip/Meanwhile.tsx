'use client';

import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import type { JobFacts } from '@/shop/jobView/dto';
import type { BenchView } from '@/shop/bench/dto';
import { ask } from '../asking/ask';
import { Notice } from '../parts/Notice';
import { leftWords, useNow } from '../parts/useNow';
import NextLink from '../theme/NextLink';

/** While penetrant works or something dries there is another machine for the hands. */
export function Meanwhile({ job }: { job: Pick<JobFacts, 'id' | 'waits' | 'benchNo' | 'takenInAt'> }) {
  const running = job.waits.find((w) => w.endedAt === null);
  const now = useNow(running?.startedAt ?? job.takenInAt);
  const waits = running?.id;
  // Only an offer: the wait itself stands there without it.
  const { data: other } = useQuery({
    queryKey: ['meanwhile', job.id, waits],
    queryFn: ({ signal }) => ask<BenchView>('/api/v1/bench', signal),
    enabled: waits !== undefined,
    select({ strips }) {
      const free = strips.filter((s) => s.job !== job.id && s.wait === null && s.next !== null);
      // What lies at the same bench first, and of that what was promised first.
      return free.find((s) => s.place === 'bench' && s.benchNo === job.benchNo) ?? free[0] ?? null;
    },
  });
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
