import { PhotographPicker } from '../parts/PhotographPicker';
import { faultLabel } from './labels';
import type { JobDesk } from './useJob';
import styles from './job.module.css';

/** What was found, as it looked: goes to the owner with the answer to their own idea, onto the estimate and the care sheet. */
export function FoundPictures({ desk, faults }: { desk: Pick<JobDesk, 'job' | 'act'>; faults: readonly string[] }) {
  const { job, act } = desk;
  return (
    <div className={styles.pictures}>
      {faults.map((fault) => (
        <PhotographPicker
          key={fault}
          label={faults.length > 1 ? `Photograph: ${faultLabel(fault).toLowerCase()}` : 'Photograph what was found'}
          photographs={job.photographs.filter((p) => p.shows === `fault:${fault}`).map((p) => p.id)}
          onAdd={(id) =>
            void act('add-photograph', { photographs: [id], caption: faultLabel(fault), shows: `fault:${fault}` })
          }
        />
      ))}
    </div>
  );
}
