import type { ReactNode } from 'react';
import styles from './parts.module.css';
import { Words } from './Words';

/** Something to know or to decide, in brass; never a hazard. */
export function Notice({ title, children, live = false }: { title: string; children?: ReactNode; live?: boolean }) {
  return (
    <div role={live ? 'alert' : 'note'} className={styles.notice}>
      <Words weight="strong">{title}</Words>
      {children}
    </div>
  );
}

/** A place with nothing in it yet: says so, and what to do. */
export function Empty({ children }: { children: ReactNode }) {
  return (
    <Words tone="soft" className={styles.empty}>
      {children}
    </Words>
  );
}
