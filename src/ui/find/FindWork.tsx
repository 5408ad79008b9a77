'use client';

import { useEffect, useMemo } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { repairedFault } from '@/core/diagnosis/doing';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import type { JobDesk } from '../job/useJob';
import { faultOf, heldPower } from '../job/labels';
import { Key } from '../parts/Key';
import { Notice } from '../parts/Notice';
import { useKeptText } from '../parts/useKeptText';
import { CheckCard, type Answered } from './CheckCard';
import { CautionGate } from '../job/CautionGate';
import { FaultList } from './FaultList';
import { FindingLog } from './FindingLog';
import { NothingWorth } from './NothingWorth';
import { OtherChecks } from './OtherChecks';
import { Proved } from './Proved';
import { OddsToCome, Reckoning } from './Reckoning';
import { SameWorth } from './SameWorth';
import { isAnyLookWorth, TELLS_LITTLE, waitsForTurning, whatIsNext } from './whatIsNext';
import { withWaiting } from './withWaiting';
import { WakesWhenNear } from '../parts/WakesWhenNear';
import { Words } from '../parts/Words';
import styles from './find.module.css';
import { Press } from '../parts/Press';

interface Props {
  desk: JobDesk;
  onLook: (check: string | null) => void;
  onDone: () => void;
  station: string | null;
  onStation: (station: string | null) => void;
}

/** What became of the answers that wait. */
function notSaved({ waiting: { length }, refusal }: JobDesk): string {
  if (refusal?.unknown)
    return `It is not known whether ${length === 1 ? 'your last answer was' : 'the first of your last answers was'} saved.`;
  return `${length} of your answers ${length === 1 ? 'is' : 'are'} not saved.`;
}

/** What is still to be spent, as far as it is known: the repair of what is proved, and the way to the end of what is not. */
function minutesLeft(job: JobFacts, odds: AssessmentView): string {
  const repairs = job.proved
    .filter((id) => !job.repaired.includes(id))
    .reduce((sum, id) => sum + (faultOf(id)?.repair.minutes ?? 0), 0);
  const isOpen = odds.explained.some((e) => e.by.length === 0);
  return [
    ...(repairs > 0 ? [`, about ${Math.round(repairs)} for the repair of what is proved`] : []),
    ...(isOpen ? [`, about ${Math.round(odds.minutesToGo)} more to the end with the repair`] : []),
  ].join('');
}

/** Finding: the proposed check with its keys, the odds, and what was done so far. */
export function FindWork({ desk, onLook, onDone, station, onStation }: Props) {
  const { odds, fresh, act, busy } = desk;
  // What was pressed stands there at once, also while it is still being saved.
  const job = useMemo(() => withWaiting(desk.job, desk.waiting), [desk.job, desk.waiting]);
  // The check that lies on the bench half done is there again after a reload.
  const [kept, keep, forget] = useKeptText(`job-${job.id}`, 'check', '');
  const pinned = kept === '' ? null : kept;
  const setPinned = (check: string | null) => {
    keep(check ?? '');
    if (check === null) forget();
  };
  const closed = job.stage === 'closed';
  // Odds of an earlier state propose nothing: an answer given to them would fall on a check that nobody was shown.
  const assessment = fresh && desk.waiting.length === 0 ? odds : null;
  const { proposed, finished } = assessment ? whatIsNext(job, assessment) : { proposed: null, finished: false };
  const current = pinned ?? (finished ? null : proposed);
  useEffect(() => onLook(current), [current, onLook]);

  const inForce = useMemo(() => job.findings.filter((f) => !f.revoked), [job.findings]);
  const last = inForce.at(-1);
  const undo = () => last && desk.waiting.length === 0 && act('revoke-finding', { finding: last.id });
  useHotkeys('u', () => void undo(), { enabled: !closed }, [last, act]);
  useHotkeys('escape', () => setPinned(null));

  const record = (answered: Answered[], stay: boolean) => {
    desk.press('record-findings', { findings: answered, ...(current ? { shown: current } : {}) });
    setPinned(stay ? (answered[0]?.check ?? null) : null);
  };
  const next = assessment?.next.find((n) => n.check === current) ?? null;
  const told = assessment !== null;
  const held = heldPower(job);
  // As sure as it gets without power.
  const isToBeFitted = current !== null && repairedFault(current) !== null && (next?.heldBackBy.length ?? 0) > 0;

  return (
    <div className={styles.screen}>
      <CautionGate desk={desk} />
      {desk.stalled && !desk.conflict && (
        <Notice live title={notSaved(desk)}>
          <div className={styles.pressed}>
            <Press small tone="strong" onClick={desk.retry} disabled={busy}>
              {desk.refusal?.unknown ? 'Ask again' : 'Save them now'}
            </Press>
            <Press small onClick={desk.dismiss}>
              Leave them out
            </Press>
          </div>
        </Notice>
      )}
      {!desk.problem && (
        <Proved desk={desk} odds={assessment} next={proposed} disabled={busy} onDone={closed ? null : onDone} />
      )}
      <div className={styles.columns}>
        <div className={styles.column}>
          {current && !closed && job.firstChecks.includes(current) && (
            <Notice title="First, because of how it arrived." />
          )}
          {current &&
            !closed &&
            current === proposed &&
            !job.firstChecks.includes(current) &&
            !isToBeFitted &&
            (next?.informs ?? 0) <= TELLS_LITTLE &&
            !isAnyLookWorth(assessment!) && (
              <NothingWorth job={job} odds={assessment!} held={held} onPick={setPinned} />
            )}
          {current &&
            !closed &&
            current === proposed &&
            repairedFault(current) !== null &&
            (isToBeFitted || (next?.informs ?? 0) > TELLS_LITTLE) && (
              <Notice title={held ? 'Fit it; it is run when it is made safe.' : 'Fit it and run it.'}>
                <Words>Looking further would cost more than it is expected to save.</Words>
              </Notice>
            )}
          {current && !closed ? (
            <CheckCard
              key={current}
              job={job}
              checkId={current}
              next={next}
              waiting={
                current === proposed && assessment ? waitsForTurning(job.machine.kind, current, assessment) : null
              }
              proposed={current === proposed}
              onRecord={record}
              onLeave={() => setPinned(null)}
              onBegin={() => setPinned(current)}
            />
          ) : closed ? (
            <Notice title="This job is closed." />
          ) : desk.problem ? (
            <Notice live title="These findings cannot all be true.">
              <Words>{desk.problem} Take back the one that you doubt most.</Words>
            </Notice>
          ) : !told ? (
            <Reckoning />
          ) : (
            !finished && <NothingWorth job={job} odds={assessment} held={held} onPick={setPinned} />
          )}
          {current && !closed && current === proposed && (
            <SameWorth job={job} odds={assessment!} current={current} onPick={setPinned} />
          )}
          <FindingLog
            job={job}
            asked={current !== null && !closed}
            odds={assessment}
            onRevoke={closed || desk.waiting.length > 0 ? null : (id) => void act('revoke-finding', { finding: id })}
          />
          {!closed && (
            <div className={styles.ways}>
              <Press small onClick={undo} disabled={busy || desk.waiting.length > 0 || !last}>
                Undo last &nbsp;<Key>u</Key>
              </Press>
              {!finished && (
                <Press small onClick={onDone} disabled={busy}>
                  Go on without proof
                </Press>
              )}
              <Words size="caption" as="span" tone="soft">
                {job.minutesSpent.toFixed(1)} min spent
                {assessment && !finished && job.complaints.length > 0 && minutesLeft(job, assessment)}
              </Words>
            </div>
          )}
        </div>
        <div className={styles.aside}>
          {odds ? (
            <WakesWhenNear>
              <FaultList job={job} odds={odds} fresh={assessment !== null} station={station} onStation={onStation} />
            </WakesWhenNear>
          ) : (
            !desk.problem && <OddsToCome />
          )}
          {!closed && <OtherChecks job={job} odds={assessment} current={current} onPick={setPinned} />}
        </div>
      </div>
    </div>
  );
}
