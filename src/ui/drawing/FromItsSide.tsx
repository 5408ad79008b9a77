'use client';

import { useState, type ComponentProps } from 'react';
import { useLater } from '../asking/useLater';
import type { MachineDrawing } from './MachineDrawing';
import { NotFetched } from '../parts/NotFetched';
import { classes, Words } from '../parts/Words';
import styles from './drawing.module.css';

/** The machine as it lies, folded away: its drawing is fetched and drawn when somebody unfolds it. */
export function FromItsSide({ folded, ...drawing }: { folded: string } & ComponentProps<typeof MachineDrawing>) {
  const [unfolded, setUnfolded] = useState(false);
  return (
    <details className={classes('no-print', styles.fold)} onToggle={(e) => setUnfolded(e.currentTarget.open)}>
      <Words as="summary">{folded}</Words>
      {unfolded && <Drawn {...drawing} />}
    </details>
  );
}

function Drawn(drawing: ComponentProps<typeof MachineDrawing>) {
  const {
    piece: Drawing,
    failed,
    again,
  } = useLater('drawing', async () => (await import('./MachineDrawing')).MachineDrawing);
  if (Drawing) return <Drawing {...drawing} />;
  return <NotFetched failed={failed} what="The drawing" again={again} />;
}
