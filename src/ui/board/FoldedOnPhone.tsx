'use client';

import { ChevronDown, ChevronUp } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { classes } from '../parts/Words';
import styles from './folded.module.css';

/** On a phone the board is one line of what matters, unfolded by a touch: the work comes first. */
export function FoldedOnPhone({ says, children }: { says: string; children: ReactNode }) {
  const [unfolded, setUnfolded] = useState(false);
  return (
    <div>
      <button
        type="button"
        className={classes('no-print', styles.folded)}
        aria-expanded={unfolded}
        onClick={() => setUnfolded(!unfolded)}
      >
        <span>{says}</span>
        {unfolded ? <ChevronUp aria-hidden /> : <ChevronDown aria-hidden />}
      </button>
      <div className={classes(!unfolded && styles.whereWide)}>{children}</div>
    </div>
  );
}
