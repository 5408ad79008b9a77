import type { ReactNode } from 'react';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import styles from './takeIn.module.css';

/** What was found and chosen, with the way back. */
export function Chosen({
  title,
  text,
  onDrop,
  children,
}: {
  title: string;
  text: string;
  onDrop: () => void;
  children?: ReactNode;
}) {
  return (
    <div className={styles.chosen}>
      <div>
        <Words size="body" weight="strong">
          {title}
        </Words>
        <Words>{text}</Words>
        {children}
      </div>
      <Press small onClick={onDrop}>
        Another
      </Press>
    </div>
  );
}
