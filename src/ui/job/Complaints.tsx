'use client';

import { useState } from 'react';
import { visits } from '@/knowledge/counter';
import { useLater } from '../asking/useLater';
import { complaintLabel } from './labels';
import type { JobDesk } from './useJob';
import { NotFetched } from '../parts/NotFetched';
import { classes, Words } from '../parts/Words';
import styles from './job.module.css';
import { Press } from '../parts/Press';

/** What the machine is here for; a complaint that the bench does not find is struck with a reason, the words stay. */
export function Complaints({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  const [striking, setStriking] = useState<string | null>(null);
  const closed = job.stage === 'closed';
  const later = useLater('strike', async () => (await import('./StrikeComplaint')).StrikeComplaint, striking !== null);
  const Strike = later.piece;
  return (
    <div className={styles.all}>
      {job.visit && <Words>Here for {visits.find((v) => v.id === job.visit)!.says}.</Words>}
      {job.complaints.map((id) => (
        <div key={id}>
          <Words as="span">{complaintLabel(id)}</Words>
          {!closed && striking !== id && (
            <Press
              small
              tone="plain"
              aria-label={`Not found at the bench: ${complaintLabel(id)}`}
              onClick={() => setStriking(id)}
              className={classes('no-print', styles.aside)}
            >
              not found?
            </Press>
          )}
          {striking === id &&
            (Strike ? (
              <Strike desk={desk} complaint={id} onEnd={() => setStriking(null)} />
            ) : (
              <NotFetched failed={later.failed} what="What it is struck with" again={later.again} />
            ))}
        </div>
      ))}
      {job.struck.map((s) => (
        <Words tone="soft" key={s.complaint}>
          <s>{complaintLabel(s.complaint)}</s>: {s.why}
        </Words>
      ))}
    </div>
  );
}
