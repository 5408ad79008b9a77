'use client';

import ExpandLessIcon from '@mui/icons-material/ExpandLess';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
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
        {unfolded ? <ExpandLessIcon aria-hidden /> : <ExpandMoreIcon aria-hidden />}
      </button>
      <div className={classes(!unfolded && styles.whereWide)}>{children}</div>
    </div>
  );
}
