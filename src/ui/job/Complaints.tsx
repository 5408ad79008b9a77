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

/**
 * What the machine is here for. A complaint that the bench does not find is struck for what is seen instead, and what is seen
 * besides is added; the customer's words stay.
 */
export function Complaints({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  // A complaint that is not found; empty for what is seen besides.
  const [saying, setSaying] = useState<string | null>(null);
  const closed = job.stage === 'closed';
  const later = useLater('seen', async () => (await import('./SeenAtBench')).SeenAtBench, saying !== null);
  const Seen = later.piece;
  const say = (struck: string | null) =>
    Seen ? (
      <Seen desk={desk} struck={struck} onEnd={() => setSaying(null)} />
    ) : (
      <NotFetched failed={later.failed} what="What it is written with" again={later.again} />
    );
  return (
    <div className={styles.all}>
      {job.visit && <Words>Here for {visits.find((v) => v.id === job.visit)!.says}.</Words>}
      {job.complaints.map((id) => (
        <div key={id}>
          <Words as="span">{complaintLabel(id)}</Words>
          {!closed && saying !== id && (
            <Press
              small
              tone="plain"
              aria-label={`Not found at the bench: ${complaintLabel(id)}`}
              onClick={() => setSaying(id)}
              className={classes('no-print', styles.aside)}
            >
              not found?
            </Press>
          )}
          {saying === id && say(id)}
        </div>
      ))}
      {job.struck.map((s) => (
        <Words tone="soft" key={s.complaint}>
          <s>{complaintLabel(s.complaint)}</s>: {s.why}
        </Words>
      ))}
      {saying === '' && say(null)}
      {!closed && saying !== '' && (
        <Press small tone="plain" onClick={() => setSaying('')} className={classes('no-print', styles.besides)}>
          Something else is seen here
        </Press>
      )}
    </div>
  );
}
