'use client';

import ExpandLessIcon from '@mui/icons-material/ExpandLess';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import { useState, type ReactNode } from 'react';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { faultLabel } from '../job/labels';
import { percent } from '../parts/Reading';
import { classes } from '../parts/Words';
import styles from './job.module.css';

interface Props {
  job: JobFacts;
  odds: AssessmentView | null;
  /** What is open, in words. */
  open: string[];
  children: ReactNode;
}

/** On a phone the board is one line of what matters, unfolded by a touch: the work comes first. */
export function FoldedBoard({ job, odds, open, children }: Props) {
  const [unfolded, setUnfolded] = useState(false);
  return (
    <div>
      <button
        type="button"
        className={classes('no-print', styles.folded)}
        aria-expanded={unfolded}
        onClick={() => setUnfolded(!unfolded)}
      >
        <span>{whatMatters(job, odds, open)}</span>
        {unfolded ? <ExpandLessIcon aria-hidden /> : <ExpandMoreIcon aria-hidden />}
      </button>
      <div className={classes(!unfolded && styles.whereWide)}>{children}</div>
    </div>
  );
}

/** The suspects, what is proved, what is open: in one line. */
function whatMatters(job: JobFacts, odds: AssessmentView | null, open: string[]): string {
  const proved = job.proved.map(faultLabel);
  const suspects = (odds?.faults ?? [])
    .filter((f) => f.suspect && !f.proved && f.probability >= 0.1)
    .slice(0, 2)
    .map((f) => `${percent(f.probability)} ${faultLabel(f.id).toLowerCase()}`);
  const parts = [
    proved.length > 0 ? `Proved: ${proved.join(', ')}` : '',
    proved.length === 0 ? suspects.join(', ') : '',
    open.length > 0 ? `open: ${open.join(', ')}` : '',
  ].filter(Boolean);
  return parts.join('; ') || 'The line board of this machine';
}
