import type { ReactNode } from 'react';
import styles from './parts.module.css';

/** A measured or computed number, in the instrument's typeface. */
export function Reading({ children, strong = false }: { children: ReactNode; strong?: boolean }) {
  return <span className={strong ? `${styles.reading} ${styles.strong}` : styles.reading}>{children}</span>;
}

/** A probability in words for the bench: whole per cent, never a false certainty. */
export function percent(p: number): string {
  if (p > 0.995) return '>99 %';
  if (p < 0.005) return '<1 %';
  return `${Math.round(p * 100)} %`;
}
