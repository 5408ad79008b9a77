'use client';

import { instantAt } from '../parts/instants';
import { bookOf } from '../job/trade';
import type { JobDesk } from '../job/useJob';
import { Words } from '../parts/Words';
import { TextLink } from '../parts/TextLink';
import styles from './job.module.css';
import { Press } from '../parts/Press';

/** What was measured and reckoned in this job; each can be opened again and reckoned anew. */
export function JobGauges({ desk }: { desk: JobDesk }) {
  const { job, busy, act } = desk;
  const closed = job.stage === 'closed';
  const { gauges: doors } = bookOf(job.machine.kind);
  return (
    <section aria-label="Gauges" className={styles.gauges}>
      <Words size="h3" as="h2">
        Measured
      </Words>
      {job.gauges.map((g) => {
        const gauge = doors.find((d) => d.id === g.gauge);
        return (
          <div key={g.id} className={styles.measured}>
            <Words>
              <TextLink href={`/gauges/${g.gauge}?job=${job.id}&kept=${g.id}`}>{gauge?.label ?? g.gauge}</TextLink>:{' '}
              {g.says}
            </Words>
            <div className={styles.middle}>
              <Words size="caption" as="span" tone="soft" className={styles.grow}>
                {instantAt(g.at, job.zone)}
                {g.by ? `, ${g.by}` : ''}
                {gauge && gauge.version !== g.version ? `, by method ${g.version}; now it is ${gauge.version}` : ''}
              </Words>
              {!closed && (
                <Press
                  small
                  tone="plain"
                  className="no-print"
                  disabled={busy}
                  aria-label={`Take back ${gauge?.label ?? g.gauge}`}
                  onClick={() => void act('take-back-gauge', { result: g.id })}
                >
                  take back
                </Press>
              )}
            </div>
          </div>
        );
      })}
      {!closed && (
        <TextLink href={`/gauges?job=${job.id}`} className="no-print">
          {job.gauges.length === 0 ? 'Measure something with a gauge' : 'Another gauge'}
        </TextLink>
      )}
    </section>
  );
}
