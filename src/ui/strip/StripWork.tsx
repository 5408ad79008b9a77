'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useSearchParams } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { notAgreed } from '@/core/agree/standing';
import type { Supply } from '@/core/diagnosis/knowledge';
import type { StepView } from '@/shop/jobView/dto';
import { MachineDrawing } from '../drawing/MachineDrawing';
import { CautionGate } from '../job/CautionGate';
import { cautionOf, repairLabel } from '../job/labels';
import { toldKind } from '../job/trade';
import type { JobDesk } from '../job/useJob';
import { stillToMend } from '../job/toMend';
import { CautionPlate } from '../parts/CautionPlate';
import { Notice } from '../parts/Notice';
import { sendPhotograph } from '../parts/post';
import { picturesOf } from './stepPictures';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { BenchCamera } from './BenchCamera';
import { Losses } from './Losses';
import { LossForm } from './LossForm';
import { readAloud, useReader } from './readAloud';
import { Meanwhile } from './Meanwhile';
import { Remember } from './Remember';
import { HandKey, StepCard } from './StepCard';
import { StepList } from './StepList';
import { asPressed, cupOf, lieWords, openAccesses, spokenStep, toolWords } from './stepWords';
import { Tray } from './Tray';
import { useAwake } from './useAwake';
import { useHandKeys } from './useHandKeys';
import { useStepTimes } from './useStepTimes';
import { wayIn } from './wayIn';

/** How a machine is made dead, by what feeds it; air is shut off with the hose. */
const DEAD_FIRST: Record<Supply, string> = {
  mains: 'unplug-before-opening',
  pack: 'battery-out-before-opening',
  'lead-acid': 'battery-out-before-opening',
  air: '',
};

/** The way in, one step at a time, with the tray beside it. */
export function StripWork({ desk, onDone, onBack }: { desk: JobDesk; onDone: () => void; onBack: () => void }) {
  const { job } = desk;
  const closed = job.stage === 'closed';
  useAwake();
  const canRead = useReader();
  const times = useStepTimes(job.machine.modelId);
  const [losing, setLosing] = useState<string | null>(null);
  const [looking, setLooking] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const camera = useRef<HTMLInputElement>(null);
  const to = useSearchParams().get('to');
  const asked = to === null ? null : wayIn(job, to);
  const way = asked && asked.ahead.length > 0 ? asked : job.strip;
  // What was pressed and is on its way counts: the hand is quicker than the line to the server.
  const { done, ahead } = asPressed(job.strip.done, way.ahead, desk.waiting);
  const step = closed ? undefined : ahead[0];
  const last = done.findLast((s) => s.pressed);
  const cup = step ? cupOf(job.strip.cups, step, ahead) : null;

  const go = (state: 'done' | 'not-here') => step && desk.press('strip-step', { step: step.id, state });
  const back = () => last && desk.press('strip-step', { step: last.id, state: 'undone' });
  const isLook = job.proved.length === 0;
  const free = step !== undefined && losing === null && !looking;
  // Whoever goes on while the last press is still being saved goes once it is: no press is lost.
  const leaving = useRef(false);
  const onTheirWay = desk.busy || desk.waiting.length > 0;
  const leave = isLook ? onBack : onDone;
  useEffect(() => {
    if (!leaving.current || onTheirWay) return;
    leaving.current = false;
    // One that was refused is ahead again: nobody leaves over it.
    if (!step) leave();
  }, [leave, onTheirWay, step]);
  const forward = () => {
    if (step) return go('done');
    if (closed) return;
    if (onTheirWay) leaving.current = true;
    else leave();
  };
  // A phone has its own camera; at the bench the one above it is looked through.
  const aim = () => (isPhone() ? camera.current?.click() : setLooking(true));
  useHandKeys(losing === null && !looking && !closed, forward, back);
  useHotkeys('x', () => free && go('not-here'), [free, step]);
  useHotkeys('p', () => free && aim(), [free, step]);
  useHotkeys('l', () => step && readAloud(spokenStep(step, cup)), [step, cup]);
  useHotkeys('plus, shift+equal, add', () => free && step.fasteners.length > 0 && setLosing(step.id), [free, step]);

  const photograph = async (pictures: readonly Blob[]) => {
    if (!step) return;
    setTrouble(null);
    setLooking(false);
    const of = { caption: step.label, shows: `step:${step.id}` };
    for (const picture of pictures) {
      const sent = await sendPhotograph(picture);
      if (sent.ok) await desk.act('add-photograph', { photographs: [sent.value.id], ...of });
      else setTrouble(sent.refusal.fields[0]?.message ?? sent.refusal.title);
    }
    if (camera.current) camera.current.value = '';
  };

  // Before every step, also the tenth: it may have been run for a trial in between.
  const dead = DEAD_FIRST[toldKind(job.machine.kind).supply];
  const repairs = stillToMend(job).map(repairLabel);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography component="h2" variant="h2">
          Strip
        </Typography>
        <Typography variant="body2">
          {ahead.length > 0 && (
            <>
              <Reading strong>{ahead.length}</Reading> step{ahead.length === 1 ? '' : 's'} to{' '}
              {way === job.strip && repairs.length > 0
                ? repairs.join('; ').toLowerCase()
                : accessLabel(job, step!.access)}
              , <Reading>{minutesOf(ahead, times)} min</Reading>, {timesWords(way.turnings, 'turned over')}
              {way.exact ? '' : ' (no better order was found, there may be one)'}
            </>
          )}
        </Typography>
      </Box>
      {!closed && job.stage !== 'find' && !job.agree.mayOpen && (
        <Notice title={notAgreed(job.agree.standing)}>
          <Link component={NextLink} href={`/jobs/${job.id}/agree`}>
            To Agree
          </Link>
        </Notice>
      )}
      <CautionGate desk={desk} />
      {step && dead && <CautionPlate {...cautionOf(dead)} />}
      <Meanwhile job={job} />
      <Box
        sx={{
          display: 'grid',
          gap: 2.5,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 340px' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.25, minWidth: 0 }}>
          {step && (
            <StepCard step={step} cup={cup} time={times.get(step.id)} pictures={picturesOf(job, step)}>
              {losing === step.id && <LossForm desk={desk} step={step} onClose={() => setLosing(null)} />}
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
                <HandKey label="Done" letter="Enter" main disabled={desk.stalled} onPress={() => go('done')} />
                <HandKey label="Back" letter="Backspace" disabled={!last || desk.stalled} onPress={() => back()} />
                <HandKey label="Photograph" letter="P" disabled={desk.busy} onPress={aim} />
                {step.fasteners.length > 0 && (
                  <HandKey label="One is wrong" letter="+" disabled={desk.busy} onPress={() => setLosing(step.id)} />
                )}
                <HandKey
                  label="Not on this machine"
                  letter="X"
                  disabled={desk.stalled}
                  onPress={() => go('not-here')}
                />
                {canRead && (
                  <HandKey
                    label="Read it"
                    letter="L"
                    disabled={false}
                    onPress={() => readAloud(spokenStep(step, cup))}
                  />
                )}
              </Box>
              <Remember
                key={`${step.id} ${step.note} ${step.fasteners.map((f) => f.count).join()} ${job.strip.changes.length}`}
                desk={desk}
                step={step}
              />
              {trouble && (
                <Typography variant="body2" role="alert" sx={{ color: 'error.main' }}>
                  {trouble}
                </Typography>
              )}
            </StepCard>
          )}
          {!step && !closed && (
            <Notice
              title={
                done.length === 0
                  ? isLook
                    ? 'Nothing is proved yet, and nothing is open.'
                    : 'Nothing need be opened.'
                  : isLook
                    ? 'It lies open.'
                    : job.toMend.length === 0
                      ? 'It lies open, and nothing is to be mended: the owner did not want it.'
                      : 'What the repair needs lies open.'
              }
            >
              <Typography variant="body2">
                {isLook
                  ? done.length === 0
                    ? 'Find says what to look at next; what is to be opened for it has its way in below.'
                    : 'Now look: what is seen is told in Find.'
                  : job.toMend.length === 0
                    ? 'Put it back in the order that Fit gives.'
                    : job.agree.mayOpen
                      ? 'Now mend it, and put it back in the order that Fit gives.'
                      : 'It is mended when the owner has agreed.'}
              </Typography>
            </Notice>
          )}
          {!step && !closed && <ElseToOpen job={job} />}
          <input
            ref={camera}
            type="file"
            accept="image/*"
            capture="environment"
            hidden
            aria-label="Photograph of this step"
            onChange={(e) => void photograph([...(e.target.files ?? [])])}
          />
          {looking && step && (
            <BenchCamera
              title={step.label}
              onTake={(picture) => void photograph([picture])}
              onClose={() => setLooking(false)}
              onFile={() => {
                setLooking(false);
                camera.current?.click();
              }}
            />
          )}
          {ahead.length > 1 && <Ahead steps={ahead.slice(1)} />}
          <Behind steps={done} absent={job.strip.absent} desk={desk} />
        </Box>
        <Box component="section" aria-label="Tray" sx={{ display: 'grid', gap: 1 }}>
          <MachineDrawing
            kind={job.machine.kind}
            lie={step?.lie ?? last?.lie ?? 'standing'}
            open={openAccesses({ done, ahead })}
            at={step?.access ?? null}
            cup={cup}
            count={step?.fasteners.reduce((sum, f) => sum + f.count, 0) ?? 0}
            title={`${job.machine.model} as it lies`}
          />
          <Typography component="h3" variant="h3">
            Tray
          </Typography>
          <Tray cups={job.strip.cups} lit={cup} />
          <Link component={NextLink} href={`/jobs/${job.id}/tray-card`} sx={{ minHeight: 28, fontSize: '0.9rem' }}>
            Card for the real screws, A5
          </Link>
          <Losses desk={desk} />
        </Box>
      </Box>
      {!closed && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button variant={step || isLook ? 'outlined' : 'contained'} disabled={desk.busy} onClick={onDone}>
            To Fit
          </Button>
          <Button variant={!step && isLook ? 'contained' : 'outlined'} disabled={desk.busy} onClick={onBack}>
            Back to Find
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** What else can be opened, to look or for a service: one touch away from its way in. */
function ElseToOpen({ job }: { job: JobDesk['job'] }) {
  const kind = toldKind(job.machine.kind);
  const shut = kind.access.filter((a) => !job.open.includes(a.id));
  if (shut.length === 0) return null;
  return (
    <Box
      component="nav"
      aria-label="Open something else"
      sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}
    >
      <Typography variant="body2">Open something else:</Typography>
      {shut.map((a) => (
        <Button
          key={a.id}
          component={NextLink}
          size="small"
          href={`/jobs/${job.id}/strip?to=${a.id}`}
          sx={{ minHeight: 44 }}
        >
          {a.label}
        </Button>
      ))}
    </Box>
  );
}

const accessLabel = (job: JobDesk['job'], access: string) =>
  toldKind(job.machine.kind).access.find((a) => a.id === access)?.label ?? '';

/** Touched by a finger and nothing finer: a phone or a tablet. */
const isPhone = () => window.matchMedia('(pointer: coarse)').matches;

/** Minutes of what is ahead: the shop’s own where it has counted, else the book’s. */
const minutesOf = (steps: readonly StepView[], times: ReadonlyMap<string, { minutes: number }>) =>
  Math.round(10 * steps.reduce((sum, s) => sum + (times.get(s.id)?.minutes ?? s.minutes), 0)) / 10;

const timesWords = (times: number, what: string) =>
  times === 0 ? `not ${what}` : times === 1 ? `once ${what}` : `${times} times ${what}`;

/** The next one small below, the others behind it. */
function Ahead({ steps }: { steps: readonly StepView[] }) {
  const [next, ...later] = steps;
  return (
    <Box>
      <Typography variant="body2">
        <strong>Then:</strong> {next!.label}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {' '}
          ({lieWords(next!.lie)}, {toolWords(next!.tool)})
        </Box>
      </Typography>
      {later.length > 0 && (
        <Box component="details" sx={{ '& summary': { cursor: 'pointer', minHeight: 32, py: 0.5 } }}>
          <Typography component="summary" variant="body2" sx={{ color: 'text.secondary' }}>
            and {later.length} more
          </Typography>
          <StepList steps={later} />
        </Box>
      )}
    </Box>
  );
}

/** What is open already, and what this machine does not have. */
function Behind({ steps, absent, desk }: { steps: readonly StepView[]; absent: readonly StepView[]; desk: JobDesk }) {
  if (steps.length + absent.length === 0) return null;
  return (
    <Box component="section" aria-label="Done so far">
      <Typography component="h3" variant="h3">
        Open so far
      </Typography>
      <Box component="ol" sx={{ m: 0, pl: 3, columns: { sm: 2 }, columnGap: 3 }}>
        {steps.map((s) => (
          <Typography component="li" variant="body2" key={s.id} sx={{ breakInside: 'avoid' }}>
            {s.label}
            {!s.pressed && (
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {' '}
                (with a check or a part)
              </Box>
            )}
          </Typography>
        ))}
      </Box>
      {absent.map((s) => (
        <Typography variant="body2" key={s.id} sx={{ color: 'text.secondary' }}>
          Not on this machine: {s.label}{' '}
          {desk.job.stage !== 'closed' && (
            <Button
              size="small"
              variant="text"
              color="inherit"
              disabled={desk.busy}
              onClick={() => void desk.act('strip-step', { step: s.id, state: 'undone' })}
            >
              it has one
            </Button>
          )}
        </Typography>
      ))}
    </Box>
  );
}
