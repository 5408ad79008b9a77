import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { doingOf } from '../job/labels';
import { Reading } from '../parts/Reading';
import { Words } from '../parts/Words';
import styles from './find.module.css';
import { Press } from '../parts/Press';

const MOST = 3;

/** Other next steps that are worth the same as the proposed one: whoever stands at the bench may choose. */
export function SameWorth({
  job,
  odds,
  current,
  onPick,
}: {
  job: JobFacts;
  odds: AssessmentView;
  current: string;
  onPick: (check: string) => void;
}) {
  const { next } = odds;
  if (!next.find((n) => n.check === current)?.asGood) return null;
  const others = next.filter((n) => n.asGood && n.check !== current).slice(0, MOST);
  if (others.length === 0) return null;
  return (
    <div role="group" aria-label="Worth the same" className={styles.same}>
      <Words>Worth the same:</Words>
      {others.map((n) => (
        <Press small tone="plain" key={n.check} onClick={() => onPick(n.check)} className={styles.bare}>
          {doingOf(job.machine.kind, n.check)?.label ?? n.check}
          <span className={styles.beside}>
            <Reading>{(n.minutes + n.openingMinutes).toFixed(1)} min</Reading>
          </span>
        </Press>
      ))}
    </div>
  );
}
