import { useMemo } from 'react';
import type { JobFacts } from '@/shop/jobView/dto';
import { TextLink } from '../parts/TextLink';
import { Words } from '../parts/Words';
import { StepList } from './StepList';
import { wayIn } from './wayIn';
import styles from './steps.module.css';

/** How what a check needs open is opened: folded, because whoever has done it a hundred times does not read it. */
export function WayInSteps({ job, access }: { job: JobFacts; access: string }) {
  const { machine, strip } = job;
  const { ahead } = useMemo(() => wayIn({ machine, strip }, access), [machine, strip, access]);
  if (ahead.length === 0) return null;
  return (
    <details className={styles.wayIn}>
      <Words as="summary">
        The way in: {ahead.length} step{ahead.length === 1 ? '' : 's'}
      </Words>
      <StepList steps={ahead} />
      <TextLink small href={`/jobs/${job.id}/strip?to=${access}`} className={styles.openIt}>
        Open it step by step, with the tray
      </TextLink>
    </details>
  );
}
