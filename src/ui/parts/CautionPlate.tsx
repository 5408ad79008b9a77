import { OctagonAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { Words } from './Words';
import styles from './parts.module.css';

/** Where the work can hurt someone: the only place where brick red appears. */
export function CautionPlate({ label, text, children }: { label: string; text: string; children?: ReactNode }) {
  return (
    <div role="note" className={styles.caution}>
      <OctagonAlert size={19} className={styles.hazard} aria-hidden />
      <div className={styles.cautionWords}>
        <Words>
          <strong className={styles.hazard}>{label}.</strong> {text}
        </Words>
        {children}
      </div>
    </div>
  );
}
