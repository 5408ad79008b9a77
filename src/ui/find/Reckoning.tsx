import { Words } from '../parts/Words';
import styles from './find.module.css';

/** In the place of the proposed check, as large as one, while the next step is worked out. */
export function Reckoning() {
  return (
    <section aria-label="Check on the bench" aria-busy className={styles.reckoning}>
      <Words size="h2" tone="soft">
        Reckoning the next step
      </Words>
    </section>
  );
}

/** In the place of the odds before they come, as large as they mostly are: nothing moves away from under a finger. */
export function OddsToCome() {
  return (
    <section aria-label="Odds of the faults" aria-busy className={styles.toCome}>
      <Words size="h3" as="h2">
        Likely faults
      </Words>
      {[82, 64, 70, 48, 56, 40, 34].map((width) => (
        <div key={width} aria-hidden className={styles.ghost} style={{ width: `${width}%` }} />
      ))}
    </section>
  );
}
