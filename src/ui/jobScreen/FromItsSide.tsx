'use client';

import { useState, type ComponentProps } from 'react';
import { useLater } from '../asking/useLater';
import type { MachineDrawing } from '../drawing/MachineDrawing';
import { Notice } from '../parts/Notice';
import { Press } from '../parts/Press';
import { classes, Words } from '../parts/Words';
import styles from './job.module.css';

/** The machine as it lies, folded away: its drawing is fetched and drawn when somebody unfolds it. */
export function FromItsSide(drawing: ComponentProps<typeof MachineDrawing>) {
  const [unfolded, setUnfolded] = useState(false);
  return (
    <details className={classes('no-print', styles.fold)} onToggle={(e) => setUnfolded(e.currentTarget.open)}>
      <Words as="summary">The machine from its side</Words>
      {unfolded && <Drawn {...drawing} />}
    </details>
  );
}

function Drawn(drawing: ComponentProps<typeof MachineDrawing>) {
  const {
    piece: Drawing,
    failed,
    again,
  } = useLater('drawing', async () => (await import('../drawing/MachineDrawing')).MachineDrawing);
  if (Drawing) return <Drawing {...drawing} />;
  if (!failed) return <Words tone="soft">Fetching …</Words>;
  return (
    <Notice live title="The drawing cannot be fetched now.">
      <Press small onClick={again}>
        Try again
      </Press>
    </Notice>
  );
}
