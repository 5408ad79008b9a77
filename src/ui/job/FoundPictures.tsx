import { PhotographPicker } from '../parts/PhotographPicker';
import { faultLabel } from './labels';
import type { JobDesk } from './useJob';
import styles from './job.module.css';

/** So many keys beside each other leave room for the work; more are folded away, but for what has its picture. */
const AT_ONCE = 2;
const ALL = 'Photograph what was found';

/** What was found, as it looked: goes to the owner with the answer to their own idea, onto the estimate and the care sheet. */
export function FoundPictures({ desk, faults }: { desk: Pick<JobDesk, 'job' | 'act'>; faults: readonly string[] }) {
  const { job, act } = desk;
  const picturesOf = (fault: string) => job.photographs.filter((p) => p.shows === `fault:${fault}`).map((p) => p.id);
  const picker = (fault: string) => (
    <PhotographPicker
      key={fault}
      label={faults.length > 1 ? `Photograph: ${faultLabel(fault).toLowerCase()}` : ALL}
      photographs={picturesOf(fault)}
      onAdd={(id) =>
        void act('add-photograph', { photographs: [id], caption: faultLabel(fault), shows: `fault:${fault}` })
      }
    />
  );
  if (faults.length <= AT_ONCE) return <div className={styles.pictures}>{faults.map(picker)}</div>;
  return (
    <>
      <div className={styles.pictures}>{faults.filter((f) => picturesOf(f).length > 0).map(picker)}</div>
      <details className={styles.fold}>
        <summary>{ALL}</summary>
        <div className={styles.pictures}>{faults.filter((f) => picturesOf(f).length === 0).map(picker)}</div>
      </details>
    </>
  );
}
