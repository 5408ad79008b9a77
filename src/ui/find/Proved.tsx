'use client';

import { useHotkeys } from 'react-hotkeys-hook';
import { repairOf } from '@/core/diagnosis/doing';
import type { AssessmentView } from '@/shop/finding/dto';
import { FoundPictures } from '../job/FoundPictures';
import type { JobDesk } from '../job/useJob';
import { complaintLabel, doingOf, faultLabel, faultOf, heldPower } from '../job/labels';
import { ShownKey } from '../parts/Key';
import { Notice } from '../parts/Notice';
import { percent } from '../parts/Reading';
import { Press } from '../parts/Press';
import styles from './find.module.css';
import { Words } from '../parts/Words';

interface Props {
  desk: JobDesk;
  /** Null while they are worked out: what is proved stands there already, so that nothing below it moves when they come. */
  odds: AssessmentView | null;
  /** What is put forward next, when the finding is not at its end. */
  next: string | null;
  disabled: boolean;
  onDone: (() => void) | null;
}

/** What is proved, how surely the complaint is gone with it, and whether a second cause is still worth a look. */
export function Proved({ desk, odds, next, disabled, onDone }: Props) {
  const { job } = desk;
  if (job.complaints.length === 0)
    return <FoundAtVisit desk={desk} isMain={odds !== null && next === null} disabled={disabled} onDone={onDone} />;
  const explained = odds?.explained ?? job.complaints.map((complaint) => ({ complaint, by: bringing(complaint, job) }));
  const causes = [...new Set(explained.flatMap((e) => e.by))];
  if (causes.length === 0 || explained.some((e) => e.by.length === 0)) return null;
  // A breaker that tripped is no cause: something tripped it.
  if (![...causes, ...job.proved].some((id) => !faultOf(id)?.symptom)) return null;
  const held = heldPower(job);
  const bystanders = job.proved.filter((id) => !causes.includes(id));
  return (
    <Notice title={`Cause proved: ${causes.map(faultLabel).join(', ')}.`}>
      <Words className={styles.told}>
        {causes.map((id) => faultOf(id)?.repair.label).join('; ')}. {odds ? goneWith(odds, job, next) : RECKONING}
        {bystanders.length > 0 && ` Also found: ${bystanders.map(faultLabel).join(', ').toLowerCase()}.`}
        {held && ` It is not run before it is made safe: ${held}.`}
      </Words>
      {onDone && (
        <div className={styles.ways}>
          <FoundPictures desk={desk} faults={[...causes, ...bystanders]} />
          <GoOn isMain={odds?.finished ?? false} disabled={disabled} onDone={onDone} />
        </div>
      )}
    </Notice>
  );
}

const RECKONING =
  'How surely what it came for is gone with that, and whether a second look is worth it, is being reckoned.';

/** What is proved and can bring a complaint on, before the odds tell how much of it it stands for. */
const bringing = (complaint: string, { proved, findings }: JobDesk['job']) =>
  proved
    .filter((id) =>
      faultOf(id)?.complaints.some((c) => c.complaint === complaint && !['never', 'rarely'].includes(c.strength)),
    )
    // Repaired, and complained of still: that was not it.
    .filter((id) => !findings.some((f) => !f.revoked && f.check === repairOf(id) && f.outcome === 'remains'));

function goneWith(odds: AssessmentView, job: JobDesk['job'], next: string | null): string {
  const least = odds.explained.reduce((a, b) => (b.gone < a.gone ? b : a));
  const look = !odds.finished && next ? doingOf(job.machine.kind, next) : null;
  return `After that “${complaintLabel(least.complaint).toLowerCase()}” is gone with ${percent(least.gone)}${
    look ? `: “${look.label}” is worth its minutes before it is closed.` : '.'
  }`;
}

/** What was found though nothing was complained of. */
function FoundAtVisit({
  desk,
  isMain,
  disabled,
  onDone,
}: Pick<Props, 'desk' | 'disabled' | 'onDone'> & { isMain: boolean }) {
  const { proved } = desk.job;
  if (proved.length === 0) return null;
  return (
    <Notice title={`Found: ${proved.map(faultLabel).join(', ').toLowerCase()}.`}>
      <Words>
        {proved.map((id) => faultOf(id)?.repair.label).join('; ')}. It was not complained of: its owner is asked first.
      </Words>
      {onDone && (
        <div className={styles.ways}>
          <FoundPictures desk={desk} faults={proved} />
          <GoOn isMain={isMain} disabled={disabled} onDone={onDone} />
        </div>
      )}
    </Notice>
  );
}

function GoOn({ isMain, disabled, onDone }: { isMain: boolean; disabled: boolean; onDone: () => void }) {
  useHotkeys('alt+a', onDone, { enabled: !disabled, preventDefault: true }, [onDone]);
  return (
    <Press tone={isMain ? 'strong' : 'line'} onClick={onDone} disabled={disabled} className={styles.below}>
      To Agree <ShownKey>Alt A</ShownKey>
    </Press>
  );
}
