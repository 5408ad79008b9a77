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
  const causes = odds ? odds.causes : likelyCauses(job);
  if (causes.length === 0) return null;
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

/** What will be told as the cause, as far as it is known without odds: nothing while a complaint has none but a symptom. */
function likelyCauses({ complaints, proved, findings }: JobDesk['job']): string[] {
  // Repaired, and complained of still: that was not it.
  const notIt = new Set(findings.filter((f) => !f.revoked && f.outcome === 'remains').map((f) => f.check));
  const roots = proved.map((id) => faultOf(id)).filter((f) => f && !f.symptom && !notIt.has(repairOf(f.id)));
  const by = complaints.map((complaint) =>
    roots.filter((f) =>
      f!.complaints.some((c) => c.complaint === complaint && c.strength !== 'never' && c.strength !== 'rarely'),
    ),
  );
  return by.some((faults) => faults.length === 0) ? [] : [...new Set(by.flat().map((f) => f!.id))];
}

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
