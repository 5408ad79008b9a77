'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { fastenerWords } from '@/core/strip/tray';
import { visits } from '@/knowledge/counter';
import { planItem } from '@/knowledge/plans';
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
import NextLink from '../theme/NextLink';
import { OperatorCare } from './OperatorCare';
import { photographsOf, VisitItem } from './VisitItem';

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
    <Box sx={{ display: 'grid', gap: 1.5, mb: 2, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'baseline' }}>
        <Typography component="h2" variant="h2">
          {visit.label}
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          <Sum order={job.visitOrder} left={ahead.filter((l) => l.sort === 'item').length} said={said.length} />
        </Typography>
      </Box>
      {job.complaints.length === 0 && <CautionGate desk={desk} />}
      <Box component="section" aria-label="Service">
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
      </Box>
      <Before desk={desk} />
      {!closed && <OperatorCare desk={desk} />}
      {said.length > 0 && <Said desk={desk} lines={said} />}
      {later.length > 0 && !closed && (
        <Box component="details" sx={{ '& summary': { cursor: 'pointer', minHeight: 32, py: 0.5 } }}>
          <Typography component="summary" sx={{ fontWeight: 600 }}>
            Not due yet
            <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
              , {later.length} that could be done while it is here
            </Box>
          </Typography>
          {later.map((l) => (
            <VisitItem key={l.item} desk={desk} line={l} />
          ))}
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {!closed && job.complaints.length === 0 && (
          <Button variant="contained" disabled={busy} onClick={onDone}>
            {job.proved.length > 0 ? 'To Agree' : 'To Fit'}
          </Button>
        )}
        <Button component={NextLink} href={`/jobs/${job.id}/service-report`}>
          Service report
        </Button>
        <Button component={NextLink} href={`/machines/${job.machine.tag}/operator-sheet`}>
          Operator’s sheet
        </Button>
      </Box>
    </Box>
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
    <Box sx={{ borderBottom: '1px dotted', borderColor: 'divider', py: 0.25, pl: { xs: 1, sm: 2 } }}>
      {turned && step.lie && (
        <Typography variant="body2" sx={{ fontWeight: 600, color: 'bench.brass', ml: -1 }}>
          Machine {lieWords(step.lie)}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Typography variant="body2" sx={{ flex: 1, minWidth: 0 }}>
          {step.label}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {step.tool && `, ${toolWords(step.tool)}`}
            {pieces && `; ${pieces}`}
            {step.photograph && `. Photograph: ${step.photograph}`}
            {step.stays && ` ${step.stays}`}
            {step.note && ` This model: ${step.note}`}
          </Box>
        </Typography>
        {job.stage !== 'closed' && (
          <Button
            size="small"
            variant="text"
            color="inherit"
            disabled={busy}
            aria-label={`Opened: ${step.label}`}
            onClick={() => void act('strip-step', { step: step.id, state: 'done' })}
          >
            opened
          </Button>
        )}
      </Box>
      {step.cautions.map((id) => (
        <CautionPlate key={id} {...cautionOf(id)} />
      ))}
    </Box>
  );
}

/** What earlier visits left: found and not mended, and what the owner did not want. */
function Before({ desk }: { desk: JobDesk }) {
  const { job, busy, act } = desk;
  const { declinedBefore } = job.agree;
  if (job.openFaults.length + declinedBefore.length === 0) return null;
  return (
    <Box component="section" aria-label="Left at earlier visits">
      <Typography component="h3" variant="h3">
        Left at earlier visits
      </Typography>
      {job.openFaults.map((f) => (
        <Box
          key={f.fault}
          sx={{ display: 'flex', gap: 1, alignItems: 'center', borderBottom: '1px solid', borderColor: 'divider' }}
        >
          <Typography variant="body2" sx={{ flex: 1 }}>
            {faultLabel(f.fault)}, found <Reading>{dayAt(f.at, job.zone)}</Reading>, not mended
          </Typography>
          {job.stage !== 'closed' && (
            <Button
              size="small"
              disabled={busy}
              aria-label={`Mended now: ${faultLabel(f.fault)}`}
              onClick={() => void act('mark-repaired', { fault: f.fault, done: true })}
            >
              Mended now
            </Button>
          )}
        </Box>
      ))}
      {declinedBefore.map((d) => (
        <Typography key={`${d.job} ${d.label}`} variant="body2" sx={{ py: 0.5 }}>
          {d.label}: not wanted on{' '}
          <Link component={NextLink} href={`/jobs/${d.job}/agree`}>
            {dayAt(d.at, job.zone)}
          </Link>
          ; put it to them again
        </Typography>
      ))}
    </Box>
  );
}

const SAYS = { done: 'done', worn: 'found worn', left: 'left' };

/** What was said at this visit, in the order of the list; each can be taken back. */
function Said({ desk, lines }: { desk: JobDesk; lines: readonly ServiceLine[] }) {
  const { job, busy, act } = desk;
  return (
    <Box component="section" aria-label="Said at this visit">
      <Typography component="h3" variant="h3">
        At this visit
      </Typography>
      {lines.map((l) => (
        <Box
          key={l.item}
          sx={{ display: 'flex', gap: 1, alignItems: 'center', borderBottom: '1px solid', borderColor: 'divider' }}
        >
          <Typography variant="body2" sx={{ flex: 1, minWidth: 0 }}>
            {l.label}: <strong>{SAYS[l.said!]}</strong>
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
            {l.minutes !== null && l.minutes > 0 && (
              <Box component="span" sx={{ color: 'text.secondary' }}>
                , {l.minutes} min
              </Box>
            )}
          </Typography>
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
            <Button
              size="small"
              variant="text"
              color="inherit"
              disabled={busy}
              aria-label={`Take back: ${l.label}`}
              onClick={() => void act('serve-item', { item: l.item, state: '' })}
            >
              take back
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}

/** What was read, place by place, with its unit. */
function readingWords({ item, readings }: ServiceLine): string {
  const unit = planItem(item)?.reading?.unit ?? '';
  return readings.map((r) => [r.place, r.value, unit].filter((x) => x !== '').join(' ')).join(', ');
}
