import Skeleton from '@mui/material/Skeleton';
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

/** In the place of the odds before they come. */
export function OddsToCome() {
  return (
    <section aria-label="Odds of the faults" aria-busy>
      <Words size="h3" as="h2">
        Likely faults
      </Words>
      {[82, 64, 70, 48, 56].map((width) => (
        <Skeleton key={width} variant="text" width={`${width}%`} sx={{ fontSize: '1.6rem' }} />
      ))}
    </section>
  );
}
