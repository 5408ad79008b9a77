import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { findingWords, outcomeLabel } from '../job/labels';
import { Empty } from '../parts/Notice';
import { percent, Reading } from '../parts/Reading';
import { classes, Words } from '../parts/Words';
import styles from './find.module.css';
import { Press } from '../parts/Press';

/** What was done, in order; every line can be taken back and stays to be seen. */
export function FindingLog({
  job,
  asked,
  odds,
  onRevoke,
}: {
  job: JobFacts;
  /** A check stands above. */
  asked: boolean;
  odds: AssessmentView | null;
  onRevoke: ((id: number) => void) | null;
}) {
  return (
    <section aria-label="Findings so far">
      <Words size="h3" as="h2">
        Found so far
      </Words>
      {job.findings.length === 0 && (
        <Empty>{asked ? 'Nothing yet. Answer the check above by its key.' : 'Nothing yet.'}</Empty>
      )}
      <ol className={styles.list}>
        {job.findings.map((f) => {
          const { what, answer } = findingWords(job.machine.kind, f);
          const reading =
            f.value === null || f.revoked
              ? null
              : (odds?.readings ?? []).find((r) => r.check === f.check && (r.condition ?? null) === f.condition);
          return (
            <li key={f.id} className={styles.logged}>
              <Words tone={f.revoked ? 'soft' : undefined} className={classes(styles.said, f.revoked && styles.struck)}>
                {what}: {f.value === null ? <strong>{answer}</strong> : <Reading strong>{answer}</Reading>}
                {reading && (
                  <span>
                    {' '}
                    read as{' '}
                    {reading.readAs
                      .filter((r, i) => i === 0 || r.probability >= 0.03)
                      .map((r) => `${outcomeLabel(job.machine.kind, f.check, r.outcome)} ${percent(r.probability)}`)
                      .join(', ')}
                  </span>
                )}
              </Words>
              <Words size="caption" as="span" tone="soft" className={styles.when}>
                {f.id < 0 ? 'saving …' : f.before && !f.revoked ? `${f.by ?? ''}, before the repair` : f.by}
              </Words>
              {onRevoke && !f.revoked && (
                <Press
                  small
                  tone="plain"
                  aria-label={`Take back: ${what}`}
                  onClick={() => onRevoke(f.id)}
                  className={styles.atTheEdge}
                >
                  take back
                </Press>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
