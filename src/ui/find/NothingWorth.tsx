'use client';

import { repairOf } from '@/core/diagnosis/doing';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { faultLabel, faultOf } from '../job/labels';
import { Notice } from '../parts/Notice';
import { percent } from '../parts/Reading';
import { Press } from '../parts/Press';
import styles from './find.module.css';
import { Words } from '../parts/Words';

/** Less likely than this nothing is fitted for it. */
const LIKELY = 0.08;

interface Props {
  job: JobFacts;
  odds: AssessmentView;
  /** Labels of the cautions that hold back power. */
  held: string | null;
  onPick: (check: string) => void;
}

/** No look is worth its minutes: what to do instead is always said. */
export function NothingWorth({ job, odds, held, onPick }: Props) {
  if (held)
    return (
      <Notice title="No check is worth its minutes while power is held back.">
        <Words>Make it safe first: {held}. Until then look further below, with the power off.</Words>
      </Notice>
    );
  if (job.complaints.length === 0)
    return (
      <Notice title="No check is worth its minutes.">
        <Words>
          {job.struck.length > 0
            ? 'The complaint was struck. Run it as its owner does, and write down beside their words what else is seen.'
            : 'Nothing is complained of. What was found worn is put to its owner; what is suspected is looked at below.'}
        </Words>
      </Notice>
    );
  const tried = new Set(job.findings.filter((f) => !f.revoked).map((f) => f.check));
  const likely = odds.faults.find(
    (f) => f.suspect && !f.proved && f.probability >= LIKELY && !faultOf(f.id)?.symptom && !tried.has(repairOf(f.id)),
  );
  return (
    <Notice title="No check is worth its minutes any more.">
      {likely ? (
        <>
          <Words>
            Likeliest is “{faultLabel(likely.id)}”, {percent(likely.probability)}: try its repair and run it.
          </Words>
          <Press small tone="strong" onClick={() => onPick(repairOf(likely.id))} className={styles.below}>
            {faultOf(likely.id)!.repair.label}
          </Press>
        </>
      ) : (
        <Words>
          Nothing that is known explains it now. Ask when it happens, and run it that long; take back the answer that
          you doubt most; or strike the complaint, if it is not seen here.
        </Words>
      )}
    </Notice>
  );
}
