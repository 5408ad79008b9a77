import { waitKinds } from '@/knowledge/counter';
import type { JobFacts } from '@/shop/jobView/dto';
import { Reading } from '../parts/Reading';
import { leftWords, useNow } from '../parts/useNow';
import { Words } from '../parts/Words';

/** The clock that runs, where the list starts it: what was washed is not put back wet. */
export function StillLying({ job }: { job: Pick<JobFacts, 'waits' | 'takenInAt'> }) {
  const running = job.waits.find((w) => w.endedAt === null);
  const now = useNow(running?.startedAt ?? job.takenInAt);
  if (!running) return null;
  const left = leftWords(running.endsAt, now);
  return (
    <Words>
      <strong>{waitKinds.find((w) => w.id === running.kind)!.label}</strong>
      {running.what && `: ${running.what}`}, <Reading>{left}</Reading>
      {left === 'ready' ? '' : ' left'}. It is ended under Fit.
    </Words>
  );
}
