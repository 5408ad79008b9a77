'use client';

import { isAnyWorn } from '@/core/service/isAnyWorn';
import { fastenerWords } from '@/core/strip/tray';
import { visits } from '@/knowledge/counter';
import { planItem, renews } from '@/knowledge/plans';
import type { JobFacts, ServiceLine, StepView, VisitOrder } from '@/shop/jobView/dto';
import { CautionGate } from '../job/CautionGate';
import { cautionOf, faultLabel } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { CautionPlate } from '../parts/CautionPlate';
import { dayAt } from '../parts/instants';
import { Empty } from '../parts/Notice';
import { PhotographPicker } from '../parts/PhotographPicker';
import { Reading } from '../parts/Reading';
import { lieWords, toolWords } from '../strip/stepWords';
import { OperatorCare } from './OperatorCare';
import { StillLying } from './StillLying';
import { photographsOf, VisitItem } from './VisitItem';
import { Words } from '../parts/Words';
import { TextLink } from '../parts/TextLink';
import styles from './visit.module.css';
import { Press, PressLink } from '../parts/Press';

/**
 * A visit without a complaint: one list in the order in which the machine is turned least, what opens it and what is done there;
 * then what earlier visits left open, and what the operator did.
 */
export function VisitWork({ desk, onDone }: { desk: JobDesk; onDone: () => void }) {
  const { job, busy } = desk;
  const visit = visits.find((v) => v.id === job.visit)!;
  const lines = new Map(job.service.map((l) => [l.item, l]));
  const said = job.service.filter((l) => l.said !== null);
  const ahead = orderOf(job);
  const later = job.service.filter((l) => l.state === 'later' && l.said === null);
  const closed = job.stage === 'closed';
  return (
    <div className={styles.work}>
      <div className={styles.headOfVisit}>
        <Words size="h2">{visit.label}</Words>
        <Words tone="soft">
          <Sum order={job.visitOrder} left={ahead.filter((l) => l.sort === 'item').length} said={said.length} />
        </Words>
      </div>
      {job.complaints.length === 0 && <CautionGate desk={desk} />}
      <section aria-label="Service">
        {ahead.length === 0 && (
          <Empty>{said.length > 0 ? 'The list is through.' : 'Nothing is due within a month.'}</Empty>
        )}
        {ahead.map((l, i) =>
          l.sort === 'step' ? (
            <StepLine key={l.step.id} desk={desk} step={l.step} turned={lieBefore(ahead, i) !== l.step.lie} />
          ) : (
            <VisitItem key={l.item} desk={desk} line={lines.get(l.item)!} />
          ),
        )}
      </section>
      <Before desk={desk} />
      {!closed && <OperatorCare desk={desk} />}
      {said.length > 0 && <Said desk={desk} lines={said} />}
      {later.length > 0 && !closed && (
        <details className={styles.fold}>
          <Words size="body" as="summary" weight="strong">
            Not due yet
            <span className={styles.lighter}>, {later.length} that could be done while it is here</span>
          </Words>
          {later.map((l) => (
            <VisitItem key={l.item} desk={desk} line={l} />
          ))}
        </details>
      )}
      <div className={styles.wrap}>
        {/* With a cause found the press to Agree stands beside it. */}
        {!closed && job.complaints.length === 0 && job.proved.length === 0 && (
          <Press tone="strong" disabled={busy} onClick={onDone}>
            {isAnyWorn(job.service) ? 'To Agree' : 'To Fit'}
          </Press>
        )}
        <PressLink href={`/jobs/${job.id}/service-report`}>Service report</PressLink>
        <PressLink href={`/machines/${job.machine.tag}/operator-sheet`}>Operator’s sheet</PressLink>
      </div>
    </div>
  );
}

type Ahead = VisitOrder['lines'][number];

/** In the order of least turning where there is one; otherwise as it falls due. */
function orderOf(job: JobFacts): Ahead[] {
  if (job.visitOrder) return job.visitOrder.lines;
  return job.service
    .filter((l) => l.said === null && l.state !== 'later')
    .map((l) => ({ sort: 'item' as const, item: l.item }));
}

function lieBefore(lines: readonly Ahead[], at: number): StepView['lie'] | undefined {
  for (let i = at - 1; i >= 0; i--) {
    const l = lines[i]!;
    if (l.sort === 'step' && l.step.lie !== null) return l.step.lie;
  }
  return undefined;
}

function Sum({ order, left, said }: { order: VisitOrder | null; left: number; said: number }) {
  const times = (n: number) => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);
  return (
    <>
      {left} to do, {said} said
      {order !== null &&
        left > 0 &&
        `; about ${Math.round(order.minutes)} min in this order, the machine turned ${order.turnings === 0 ? 'not at all' : times(order.turnings)}${order.exact ? '' : ' (fewer may be possible)'}`}
    </>
  );
}

/** A step on the way in, thin: it is only the way to what is done. */
function StepLine({ desk, step, turned }: { desk: JobDesk; step: StepView; turned: boolean }) {
  const { job, busy, act } = desk;
  const pieces = step.fasteners.map(fastenerWords).join('; ');
  return (
    <div className={styles.line}>
      {turned && step.lie && (
        <Words weight="strong" tone="brass" className={styles.late}>
          Machine {lieWords(step.lie)}
        </Words>
      )}
      <div className={styles.row}>
        <Words className={styles.grow}>
          {step.label}
          <span className={styles.soft}>
            {step.tool && `, ${toolWords(step.tool)}`}
            {pieces && `; ${pieces}`}
            {step.photograph && `. Photograph: ${step.photograph}`}
            {step.stays && ` ${step.stays}`}
            {step.note && ` This model: ${step.note}`}
          </span>
        </Words>
        {job.stage !== 'closed' && (
          <Press
            small
            tone="plain"
            disabled={busy}
            aria-label={`Opened: ${step.label}`}
            onClick={() => void act('strip-step', { step: step.id, state: 'done' })}
          >
            opened
          </Press>
        )}
      </div>
      {step.cautions.map((id) => (
        <CautionPlate key={id} {...cautionOf(id)} />
      ))}
    </div>
  );
}

/** What earlier visits left: found and not mended, and what the owner did not want. */
function Before({ desk }: { desk: JobDesk }) {
  const { job, busy, act } = desk;
  const { declinedBefore } = job.agree;
  if (job.openFaults.length + declinedBefore.length === 0) return null;
  return (
    <section aria-label="Left at earlier visits">
      <Words size="h3">Left at earlier visits</Words>
      {job.openFaults.map((f) => (
        <div key={f.fault} className={styles.ruledRow}>
          <Words className={styles.growWide}>
            {faultLabel(f.fault)}, found <Reading>{dayAt(f.at, job.zone)}</Reading>, not mended
          </Words>
          {job.stage !== 'closed' && (
            <Press
              small
              disabled={busy}
              aria-label={`Mended now: ${faultLabel(f.fault)}`}
              onClick={() => void act('mark-repaired', { fault: f.fault, done: true })}
            >
              Mended now
            </Press>
          )}
        </div>
      ))}
      {declinedBefore.map((d) => (
        <Words key={`${d.job} ${d.label}`} className={styles.gap}>
          {d.label}: not wanted on <TextLink href={`/jobs/${d.job}/agree`}>{dayAt(d.at, job.zone)}</TextLink>; put it to
          them again
        </Words>
      ))}
    </section>
  );
}

const SAYS = { done: 'done', worn: 'found worn', left: 'left' };

/** What was said at this visit, in the order of the list; each can be taken back. */
function Said({ desk, lines }: { desk: JobDesk; lines: readonly ServiceLine[] }) {
  const { job, busy, act } = desk;
  return (
    <section aria-label="Said at this visit">
      <Words size="h3">At this visit</Words>
      <StillLying job={job} />
      {lines.map((l) => (
        <div key={l.item} className={styles.ruledRow}>
          <Words className={styles.grow}>
            {l.label}: <strong>{SAYS[l.said!]}</strong>
            {l.said === 'done' && newPartWords(job, l)}
            {l.readings.length > 0 && (
              <>
                , <Reading>{readingWords(l)}</Reading>
              </>
            )}
            {l.words && `; ${l.words}`}
            {l.lookAgainOn && (
              <>
                ; look again by <Reading>{l.lookAgainOn}</Reading>
              </>
            )}
            {l.minutes !== null && l.minutes > 0 && <span className={styles.soft}>, {l.minutes} min</span>}
          </Words>
          {job.stage !== 'closed' && (
            <PhotographPicker
              label="Photograph"
              photographs={photographsOf(job, l.item)}
              onAdd={(id) =>
                void act('add-photograph', { photographs: [id], caption: l.label, shows: `item:${l.item}` })
              }
            />
          )}
          {job.stage !== 'closed' && (
            <Press
              small
              tone="plain"
              disabled={busy}
              aria-label={`Take back: ${l.label}`}
              onClick={() => void act('serve-item', { item: l.item, state: '' })}
            >
              take back
            </Press>
          )}
        </div>
      ))}
    </section>
  );
}

/** The part that went in where an item makes it new every time. */
function newPartWords({ fitted }: JobFacts, { item, station }: ServiceLine): string {
  const part = fitted.find((f) => f.station === station);
  return part && renews(planItem(item)!) ? `, ${part.label}` : '';
}

/** What was read, place by place, with its unit. */
function readingWords({ item, readings }: ServiceLine): string {
  const unit = planItem(item)?.reading?.unit ?? '';
  return readings.map((r) => [r.place, r.value, unit].filter((x) => x !== '').join(' ')).join(', ');
}
