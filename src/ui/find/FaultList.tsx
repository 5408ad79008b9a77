'use client';

import { useState } from 'react';
import { shownOdds } from '@/core/diagnosis/assess';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { evidenceWords, faultLabel, faultOf, stationLabel } from '../job/labels';
import { percent, Reading } from '../parts/Reading';
import { classes, Words } from '../parts/Words';
import styles from './find.module.css';
import { Press } from '../parts/Press';

const SHORT = 7;
const SHORT_OPEN = 4;

/** The first of a list by its odds: what is proved does not push out what is still open. */
function shortOf(suspects: AssessmentView['faults']): AssessmentView['faults'] {
  const open = suspects.filter((f) => !f.proved);
  const proved = suspects.filter((f) => f.proved);
  const room = Math.max(SHORT - proved.length, Math.min(open.length, SHORT_OPEN));
  return [...proved.slice(0, SHORT - room), ...open.slice(0, room)];
}

/** Faults by their odds; why opens the evidence for and against. */
export function FaultList({
  job,
  odds,
  fresh,
  station,
  onStation,
}: {
  job: JobFacts;
  odds: AssessmentView;
  /** They belong to the job as it stands. */
  fresh: boolean;
  station: string | null;
  onStation: (s: string | null) => void;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const { faults, explanations, basis } = odds;
  const stationOf = (id: string) => faultOf(id)?.kinds[job.machine.kind]?.station;
  const suspects = faults.filter((f) => f.suspect && (station ? stationOf(f.id) === station : shownOdds(f) >= 0.005));
  // What was mended here is nothing that such machines have besides.
  const others = faults.filter((f) => !f.suspect && f.probability >= 0.03 && !job.repaired.includes(f.id));
  // A filter that cannot fall apart yet says nothing of a roll that turns slowly.
  const asked = job.madeNew.filter((id) => faults.some((f) => f.id === id && f.suspect));
  const weighedAsNew = [...new Set(asked.flatMap((f) => stationOf(f) ?? []))].map((s) => stationLabel(job, s));
  const shown = all || station ? suspects : shortOf(suspects);
  const besides = (of: readonly string[]) => of.filter((id) => !job.proved.includes(id));
  return (
    <section aria-label="Odds of the faults" aria-busy={!fresh} className={styles.odds}>
      <div className={styles.lineOfHead}>
        <Words size="h3" as="h2">
          {station ? `At this station` : 'Likely faults'}
        </Words>
        <Words size="caption" as="span" tone="soft">
          several at once are possible
        </Words>
        {station && (
          <Press small tone="plain" onClick={() => onStation(null)} className={styles.toTheEnd}>
            All stations
          </Press>
        )}
      </div>
      {shown.length === 0 && (
        <Words>{station ? 'Nothing here can explain the complaint.' : 'No fault stands out.'}</Words>
      )}
      <ul className={styles.list}>
        {shown.map((f) => (
          <li key={f.id} className={styles.fault}>
            <div className={styles.faultRow}>
              <div className={styles.what}>
                <Words
                  as="div"
                  weight={f.proved ? 'heavy' : undefined}
                  className={classes(shownOdds(f) < 0.01 && styles.struck)}
                >
                  {faultLabel(f.id)}
                  {shownOdds(f) > f.probability + 0.03 && (
                    <span className={styles.hazard}>by its signs alone; nothing else that was found makes it less</span>
                  )}
                </Words>
                <div aria-hidden className={styles.bar}>
                  <div
                    className={classes(f.proved && styles.proved)}
                    style={{ width: `${Math.max(1, shownOdds(f) * 100)}%` }}
                  />
                </div>
              </div>
              <div className={styles.right}>
                <Reading strong={f.probability > 0.2}>{f.proved ? 'proved' : percent(shownOdds(f))}</Reading>
              </div>
              <Press
                small
                tone="plain"
                aria-expanded={open === f.id}
                aria-label={`Why ${faultLabel(f.id)}`}
                onClick={() => setOpen(open === f.id ? null : f.id)}
                className={styles.atTheEdge}
              >
                why
              </Press>
            </div>
            {open === f.id && <Evidence kind={job.machine.kind} fault={f} />}
          </li>
        ))}
      </ul>
      {!station && suspects.length > SHORT && (
        <Press small tone="plain" onClick={() => setAll(!all)}>
          {all ? 'Fewer' : `${suspects.length - shown.length} more`}
        </Press>
      )}
      {!station && explanations.length > 0 && (
        <Words className={styles.after}>
          {job.proved.length > 0 ? 'Besides what is proved:' : 'Best explanations:'}{' '}
          {explanations.slice(0, 3).map((e, i) => (
            <span key={e.faults.join()}>
              {i > 0 && '; '}
              {besides(e.faults)
                .map((id) => faultLabel(id).toLowerCase())
                .join(' with ') || (job.proved.length > 0 ? 'nothing more' : 'none of these')}{' '}
              <Reading>{percent(e.probability)}</Reading>
            </span>
          ))}
        </Words>
      )}
      {!station && others.length > 0 && (
        <Words size="caption" as="p" tone="soft" className={styles.note}>
          Common on such machines, whatever the complaint:{' '}
          {others
            .slice(0, 4)
            .map((f) => `${faultLabel(f.id).toLowerCase()} ${percent(shownOdds(f))}`)
            .join(', ')}
          .
        </Words>
      )}
      <Words size="caption" as="p" tone="soft" className={styles.note}>
        {basis.method === 'exact' ? 'Exact odds' : `Sampled odds, error up to ${percent(basis.standardError)}`} on
        shipped figures and {basis.kindJobs} finished jobs of this kind, {basis.modelJobs} of this model.
        {job.openedLately && ' It was opened lately: what goes wrong when a machine is put together weighs more.'}
        {weighedAsNew.length > 0 && ` Made new here lately, and weighed as new: ${weighedAsNew.join(', ')}.`}
      </Words>
    </section>
  );
}

function Evidence({ kind, fault }: { kind: string; fault: AssessmentView['faults'][number] }) {
  if (fault.evidence.length === 0)
    return (
      <Words className={styles.why}>
        Nothing found yet speaks for or against it; it is this common: <Reading>{percent(fault.prior)}</Reading>.
      </Words>
    );
  return (
    <ul className={styles.whyList}>
      {fault.evidence.slice(0, 8).map((e) => (
        <li key={e.finding} className={styles.evidence}>
          <span className={classes(e.logOdds <= 0 && styles.against)}>
            {e.logOdds > 0 ? 'for' : 'against'} <Reading>×{factor(e.logOdds)}</Reading>
          </span>
          <span>{evidenceWords(kind, e.finding)}</span>
        </li>
      ))}
    </ul>
  );
}

function factor(logOdds: number): string {
  const f = Math.exp(Math.abs(logOdds));
  return f > 99 ? '99+' : f >= 10 ? f.toFixed(0) : f.toFixed(1);
}
