import type { JobFacts } from '@/shop/jobView/dto';
import { instantAt } from '../parts/instants';
import { photographUrl } from '../parts/photographUrl';
import { Words } from '../parts/Words';
import styles from './job.module.css';

/** The photographs of a job, each leading to its large picture. */
export function JobPhotographs({ job }: { job: Pick<JobFacts, 'photographs' | 'zone'> }) {
  return (
    <div className={styles.row}>
      {job.photographs.map((p) => (
        <figure key={p.id} className={styles.figure}>
          <a href={photographUrl(p.id)} target="_blank" rel="noreferrer">
            {/* eslint-disable-next-line @next/next/no-img-element -- already small, behind the sign-in */}
            <img
              src={photographUrl(p.id, true)}
              alt={p.caption || `Photograph of ${instantAt(p.at, job.zone)}`}
              height={84}
              width={Math.round((84 * p.width) / p.height)}
              loading="lazy"
            />
          </a>
          {p.caption && (
            <Words size="caption" as="figcaption" className={styles.caption}>
              {p.caption}
            </Words>
          )}
        </figure>
      ))}
    </div>
  );
}
