'use client';

import { useHotkeys } from 'react-hotkeys-hook';
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
  odds: AssessmentView;
  /** What is put forward next, when the finding is not at its end. */
  next: string | null;
  disabled: boolean;
  onDone: (() => void) | null;
}

/** What is proved, how surely the complaint is gone with it, and whether a second cause is still worth a look. */
export function Proved({ desk, odds, next, disabled, onDone }: Props) {
  const { job } = desk;
  if (job.complaints.length === 0)
    return <FoundAtVisit desk={desk} isMain={next === null} disabled={disabled} onDone={onDone} />;
  const causes = [...new Set(odds.explained.flatMap((e) => e.by))];
  if (causes.length === 0 || odds.explained.some((e) => e.by.length === 0)) return null;
  const held = heldPower(job);
  const least = odds.explained.reduce((a, b) => (b.gone < a.gone ? b : a));
  const gone = `After that “${complaintLabel(least.complaint).toLowerCase()}” is gone with ${percent(least.gone)}`;
  const look = next ? doingOf(job.machine.kind, next) : null;
  const bystanders = job.proved.filter((id) => !causes.includes(id));
  return (
    <Notice title={`Cause proved: ${causes.map(faultLabel).join(', ')}.`}>
      <Words>
        {causes.map((id) => faultOf(id)?.repair.label).join('; ')}. {gone}
        {odds.finished ? '.' : look ? `: “${look.label}” is worth its minutes before it is closed.` : '.'}
        {bystanders.length > 0 && ` Also found: ${bystanders.map(faultLabel).join(', ').toLowerCase()}.`}
        {held && ` It is not run before it is made safe: ${held}.`}
      </Words>
      {onDone && <FoundPictures desk={desk} faults={[...causes, ...bystanders]} />}
      {onDone && <GoOn isMain={odds.finished} disabled={disabled} onDone={onDone} />}
    </Notice>
  );
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
      {onDone && <FoundPictures desk={desk} faults={proved} />}
      {onDone && <GoOn isMain={isMain} disabled={disabled} onDone={onDone} />}
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
