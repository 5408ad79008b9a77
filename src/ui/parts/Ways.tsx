import type { ReactNode } from 'react';
import { Press } from './Press';
import { classes } from './Words';
import styles from './ways.module.css';

interface Props<Id extends string> {
  /** Read out before them; or the id of the words that stand there. */
  label?: string;
  labelledBy?: string;
  ways: readonly { id: Id; label: string }[];
  value: string;
  /** The one that was pressed; null when it was the one that is chosen. */
  onChoose: (id: Id | null) => void;
}

/** One of a few, as keys side by side. */
export function Ways<Id extends string>({ label, labelledBy, ways, value, onChoose }: Props<Id>) {
  return (
    <div role="group" aria-label={label} aria-labelledby={labelledBy} className={styles.ways}>
      {ways.map((w) => (
        <Press
          key={w.id}
          small
          aria-pressed={w.id === value}
          onClick={() => onChoose(w.id === value ? null : w.id)}
          className={styles.key}
        >
          {w.label}
        </Press>
      ))}
    </div>
  );
}

/** One that is pressed in or not, whatever the others are. */
export function Toggle({ on, onPress, children }: { on: boolean; onPress: () => void; children: ReactNode }) {
  return (
    <Press small aria-pressed={on} onClick={onPress} className={classes(styles.key, styles.alone)}>
      {children}
    </Press>
  );
}
