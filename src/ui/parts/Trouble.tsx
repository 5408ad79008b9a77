'use client';

import styles from './parts.module.css';
import { Press } from './Press';
import { Words } from './Words';

/** The server failed while a page was made: what is saved, and what to do. Every page carries it: without weight. */
export function Trouble({ digest, onRetry }: { digest: string; onRetry: () => void }) {
  return (
    <div className={styles.trouble} role="alert">
      <Words size="h1">This page could not be made</Words>
      <Words size="body">
        What was saved before is safe; what you typed and did not send is kept in this browser. Try again; if it stays
        so, show the number to whoever keeps the server: {digest || 'none'}.
      </Words>
      <div>
        <Press tone="strong" onClick={onRetry}>
          Try again
        </Press>
      </div>
    </div>
  );
}
