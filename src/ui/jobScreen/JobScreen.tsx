'use client';

import { Check } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { repairedFault } from '@/core/diagnosis/doing';
import { kindOfModel } from '@/core/diagnosis/kindOfModel';
import { isAnyWorn } from '@/core/service/isAnyWorn';
import { lineSplits } from '@/core/diagnosis/lineSplit';
import type { AssessmentView, OddsView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { FoldedOnPhone } from '../board/FoldedOnPhone';
import { LineBoard } from '../board/LineBoard';
import type { StationState } from '../board/stationState';
import { FindWork } from '../find/FindWork';
import { whatIsNext } from '../find/whatIsNext';
import { bookOf, isTold, toldKind } from '../job/trade';
import { useBook } from '../job/useBook';
import { NotFetched } from '../parts/NotFetched';
import { Notice } from '../parts/Notice';
import NextLink from '../theme/NextLink';
import { faultOf } from '../job/labels';
import { STAGES, type StageId } from '../job/stages';
import { FromItsSide } from '../drawing/FromItsSide';
import { JobGauges } from './JobGauges';
import { MachinePast } from './MachinePast';
import { TakenIn } from './TakenIn';
import { whatMatters } from './whatMatters';
import { useJob, type JobDesk } from '../job/useJob';
import { WakesWhenNear } from '../parts/WakesWhenNear';
import { classes, Words } from '../parts/Words';
import { TextLink } from '../parts/TextLink';
import { useGo } from '../theme/useGo';
import styles from './job.module.css';

// Each stage is fetched when it is come to: at Find nobody needs what Agree or the tray are made of.
const VisitWork = dynamic(() => import('../visit/VisitWork').then((m) => m.VisitWork));
const AgreeWork = dynamic(() => import('../agree/AgreeWork').then((m) => m.AgreeWork));
const StripWork = dynamic(() => import('../strip/StripWork').then((m) => m.StripWork));
const FitWork = dynamic(() => import('../fit/FitWork').then((m) => m.FitWork));
const ProveWork = dynamic(() => import('../prove/ProveWork').then((m) => m.ProveWork));
const JobConflict = dynamic(() => import('../job/JobConflict').then((m) => m.JobConflict));
// Stands below the work, and wakes after it.
const JobBook = dynamic(() => import('./JobBook').then((m) => m.JobBook));
const HandBackWork = dynamic(() => import('../handBack/HandBackWork').then((m) => m.HandBackWork));

interface Props {
  initial: JobFacts;
  /** The odds, when they are known already, or on their way. */
  told: OddsView | Promise<OddsView>;
  /** Where what is known of the machine's kind is. */
  book: string;
  stage: StageId;
  /** Who is signed in. */
  me: string;
}

/** One job: the stages as a rail, the board at the top, the stage's work below, the machine's past at the side. */
export function JobScreen({ initial, told, book, stage, me }: Props) {
  const desk = useJob(initial, told);
  const { kind } = desk.job.machine;
  // Somebody corrected what the machine is while this page was open: then the other book is asked for.
  const { failed, again } = useBook(kind, kind === initial.machine.kind ? book : `/api/v1/knowledge/${kind}`);
  if (!isTold(kind)) return <NotFetched failed={failed} what="What is known of this machine" again={again} />;
  return <ToldScreen desk={desk} stage={stage} me={me} />;
}

function ToldScreen({ desk, stage, me }: { desk: JobDesk; stage: StageId; me: string }) {
  const router = useGo();
  const { job, odds } = desk;
  const { addedStations } = job.machine;
  const { knowledge } = bookOf(job.machine.kind);
  const kind = useMemo(() => kindOfModel(toldKind(job.machine.kind), addedStations), [job.machine.kind, addedStations]);
  const isFinding = stage === 'find' && (!job.visit || job.complaints.length > 0 || tellsOfCause(job));
  // Where the look that comes first splits the lines is drawn with the page, not when it is awake.
  const [looked, setLooked] = useState(() => {
    if (!isFinding || !odds) return null;
    const { proposed, finished } = whatIsNext(job, odds);
    return finished ? null : proposed;
  });
  const [chosen, setChosen] = useState<string | null>(null);
  const states = useMemo(() => boardStates(job, odds, looked), [job, odds, looked]);
  const splits = useMemo(() => {
    if (!looked || job.stage === 'closed') return [];
    const odds = Object.fromEntries(Object.entries(states).map(([id, s]) => [id, s.odds ?? 0]));
    return lineSplits(knowledge, kind, job.machine.droppedStations, looked, odds);
  }, [job, looked, states, kind, knowledge]);
  const go = async (to: Exclude<StageId, 'take-in'>) => {
    if (job.stage === 'closed' || (await desk.act('move-stage', { to }))) router.push(`/jobs/${job.id}/${to}`);
  };
  // What can be mended from outside needs no way in.
  const inside = job.strip.ahead.length > 0 ? 'strip' : 'fit';
  const reached = STAGES.findIndex((s) => s.id === job.stage);

  return (
    <div className={styles.screen}>
      <div className={styles.title}>
        <Words size="h1">
          <TextLink href={`/machines/${job.machine.tag}`} className={styles.tag}>
            {job.machine.tag}
          </TextLink>{' '}
          {job.machine.maker} {job.machine.model}
        </Words>
        <Words>
          {job.customer.name}
          {job.customer.phone ? `, ${job.customer.phone}` : ''}
        </Words>
        <Words tone="soft">
          Job {job.id}, promised {job.promisedOn}
          {job.practice && ', practice: faults are hidden, instruments are simulated'}
          {job.comebackOf && ', comes back'}
        </Words>
        <nav aria-label="Stages of the job" className={classes('no-print', styles.stages)}>
          {STAGES.map((s, i) => (
            <NextLink
              key={s.id}
              href={`/jobs/${job.id}/${s.id}`}
              aria-current={s.id === stage ? 'step' : undefined}
              className={classes(
                styles.stage,
                job.stage === 'closed' || i < reached ? styles.done : i === reached && styles.reached,
              )}
            >
              {s.label}
              {(job.stage === 'closed' || i < reached) && (
                <Check role="img" aria-label=" done" className={styles.doneMark} />
              )}
            </NextLink>
          ))}
        </nav>
      </div>

      <FoldedOnPhone
        says={whatMatters(
          job,
          odds,
          kind.access.filter((a) => job.open.includes(a.id)).map((a) => a.label.toLowerCase()),
        )}
      >
        <WakesWhenNear>
          <LineBoard
            kind={kind}
            dropped={job.machine.droppedStations}
            states={states}
            splits={splits}
            onChoose={setChosen}
            title={`Line board of ${job.machine.tag}`}
          />
        </WakesWhenNear>
      </FoldedOnPhone>

      {desk.conflict && <JobConflict desk={desk} />}
      {desk.inDoubt && (
        <Notice
          live
          title="The answer was lost on its way. Whether your last press was saved is not known: the server is being asked."
        />
      )}
      {desk.refusal && !desk.conflict && (
        <Notice live title={desk.refusal.title}>
          {desk.refusal.fields.map((f) => (
            <Words key={f.field}>{f.message}</Words>
          ))}
        </Notice>
      )}

      <div className={styles.halves}>
        <div className={styles.work}>
          {stage === 'take-in' && <TakenIn job={job} />}
          {stage === 'find' && job.visit && (
            <VisitWork desk={desk} onDone={() => go(hasFound(job) ? 'agree' : 'fit')} />
          )}
          {isFinding && (
            <FindWork
              desk={desk}
              onLook={setLooked}
              onDone={() => go('agree')}
              station={chosen}
              onStation={setChosen}
            />
          )}
          {stage === 'agree' && <AgreeWork desk={desk} onDone={() => go(inside)} onBack={() => go('find')} />}
          {stage === 'strip' && <StripWork desk={desk} onDone={() => go('fit')} onBack={() => go('find')} />}
          {stage === 'fit' && <FitWork desk={desk} onDone={() => go('prove')} onBack={() => go('find')} />}
          {stage === 'prove' && (
            <ProveWork me={me} desk={desk} onDone={() => go('hand-back')} onBack={() => go('find')} />
          )}
          {stage === 'hand-back' && <HandBackWork desk={desk} />}
        </div>
        <WakesWhenNear className={styles.beside}>
          {stage === 'find' && (
            <FromItsSide
              folded="The machine from its side"
              kind={kind.id}
              open={job.open}
              title={`${job.machine.model}: where the odds are`}
              points={Object.fromEntries(
                Object.entries(states).flatMap(([id, s]) =>
                  s.odds !== undefined && s.odds >= 0.05 ? [[id, String(Math.round(100 * s.odds))]] : [],
                ),
              )}
              onChoose={setChosen}
            />
          )}
          <MachinePast desk={desk} />
          <JobGauges desk={desk} />
          <JobBook desk={desk} />
        </WakesWhenNear>
      </div>
    </div>
  );
}

/** What was looked at, at a visit, says something of a cause: then it is looked for. Words alone say nothing to the finder. */
const tellsOfCause = (job: JobFacts) =>
  job.proved.length > 0 || (isAnyWorn(job.service) && job.findings.some((f) => !f.revoked));

/** A visit found something that its owner is asked about. */
const hasFound = (job: JobFacts) => job.proved.length > 0 || isAnyWorn(job.service);

/** What the board shows of a job: odds where a fault may stand behind the complaint, proof, what is open, age of parts. */
function boardStates(job: JobFacts, odds: AssessmentView | null, looked: string | null): Record<string, StationState> {
  const kindId = job.machine.kind;
  const { knowledge } = bookOf(kindId);
  const kind = toldKind(kindId);
  const states: Record<string, StationState> = {};
  const at = (station: string) => (states[station] ??= {});
  const absent: Record<string, number> = {};
  const hadOdds = new Set<string>();
  for (const id of job.proved) {
    const station = faultOf(id)?.kinds[kindId]?.station;
    if (station) at(station).proved = true;
  }
  for (const f of odds?.faults ?? []) {
    const station = faultOf(f.id)?.kinds[kindId]?.station;
    if (!station || !f.suspect) continue;
    if (f.prior > 0.01) hadOdds.add(station);
    absent[station] = (absent[station] ?? 1) * (1 - f.probability);
  }
  const answered = job.findings.some((f) => !f.revoked);
  for (const [station, none] of Object.entries(absent)) {
    at(station).odds = 1 - none;
    if (answered && hadOdds.has(station) && 1 - none < 0.01) at(station).ruledOut = true;
  }
  for (const access of kind.access) if (job.open.includes(access.id)) for (const s of access.bares) at(s).open = true;
  for (const [station, days] of Object.entries(job.partAgeDays)) at(station).ageDays = days;
  for (const mark of job.marks) at(mark.station).marks = (at(mark.station).marks ?? 0) + 1;
  const check = looked && knowledge.checks.find((c) => c.id === looked);
  if (check)
    for (const id of check.aspects.flatMap((a) => a.outcomes.flatMap((o) => o.proves ?? []))) {
      const station = faultOf(id)?.kinds[kindId]?.station;
      if (station) at(station).looked = true;
    }
  const repairing = looked === null ? null : repairedFault(looked);
  const repaired = repairing && faultOf(repairing)?.kinds[kindId]?.station;
  if (repaired) at(repaired).looked = true;
  return states;
}
