'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Square, SquareCheck } from 'lucide-react';
import { fastenerWords } from '@/core/strip/tray';
import { notYet } from '@/knowledge/notYet';
import { repairNeeds } from '@/knowledge/repairWork';
import type { JobFacts } from '@/shop/jobView/dto';
import { cautionOf, heldPower } from '../job/labels';
import { mendsWhat } from '../job/toMend';
import type { JobDesk } from '../job/useJob';
import { CautionPlate } from '../parts/CautionPlate';
import { Notice } from '../parts/Notice';
import { HandKey } from '../strip/StepCard';
import { useHandKeys } from '../strip/useHandKeys';
import { StepPictures } from '../strip/StepPictures';
import { picturesOf } from '../strip/stepPictures';
import { fonts } from '../theme/palette';

type Line = JobFacts['rebuild'][number];

const SORTS: Record<Line['sort'], string> = { repair: 'mend', trial: 'try', close: 'back on', check: 'look' };

/** The way back: one line at a time to be read at arm’s length, and the whole of it below. */
export function WayBack({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  const closed = job.stage === 'closed';
  const pressed = new Map(
    desk.waiting.filter((p) => p.deed === 'tick-rebuild').map((p) => [p.body.step, p.body.done === true]),
  );
  const isDone = (line: Line) => pressed.get(line.id) ?? line.done;
  const now = closed ? undefined : job.rebuild.find((l) => !isDone(l));
  const before = now ? job.rebuild.slice(0, job.rebuild.indexOf(now)).at(-1) : job.rebuild.at(-1);
  const tick = (line: Line, done: boolean) =>
    (done && stopOf(line, job) !== '') || desk.press('tick-rebuild', { step: line.id, done });
  useHandKeys(
    !closed,
    () => now && tick(now, true),
    () => before && tick(before, false),
  );
  return (
    <Box component="section" aria-label="Rebuild">
      <Typography component="h2" variant="h3">
        The way back, in this order
      </Typography>
      {now && <Now line={now} job={job} disabled={desk.stalled} onDone={() => tick(now, true)} />}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {job.rebuild.map((line) => (
          <Box component="li" key={line.id} sx={{ borderBottom: '1px solid', borderColor: 'divider' }}>
            <ButtonBase
              role="checkbox"
              aria-checked={isDone(line)}
              disabled={desk.stalled || closed || (!isDone(line) && stopOf(line, job) !== '')}
              onClick={() => tick(line, !isDone(line))}
              sx={{
                width: '100%',
                justifyContent: 'flex-start',
                gap: 1.25,
                minHeight: 44,
                py: 0.5,
                fontSize: '0.96rem',
                lineHeight: 1.3,
                textAlign: 'left',
                fontFamily: 'inherit',
                ...(line === now ? { bgcolor: 'bench.well' } : {}),
              }}
            >
              {isDone(line) ? (
                <SquareCheck color="var(--mui-palette-primary-main)" aria-hidden />
              ) : (
                <Square aria-hidden />
              )}
              <Box component="span" sx={{ flex: 1 }}>
                {line.label}
                {!isDone(line) && line.cautions.length > 0 && (
                  <Box component="span" sx={{ color: 'bench.hazard', display: 'block', fontSize: '0.88em' }}>
                    {line.cautions.map((id) => cautionOf(id).label).join(', ')}
                  </Box>
                )}
              </Box>
              <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.82em', flexShrink: 0 }}>
                {SORTS[line.sort]}
              </Box>
            </ButtonBase>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** Why a line is not done yet: power is held back, or something is wet or not cured; empty when it may be. */
function stopOf(line: Line, job: JobFacts): string {
  const held = line.sort === 'trial' && heldPower(job);
  return held ? `Not run before it is made safe: ${held}.` : notYet(line, job.waits);
}

/** What is put back now: from which cup, with the photograph of the way in beside it. */
function Now({ line, job, disabled, onDone }: { line: Line; job: JobFacts; disabled: boolean; onDone: () => void }) {
  const cup = line.sort === 'close' ? job.strip.cups.find((c) => c.step === line.step) : undefined;
  const opened = job.strip.done.find((s) => s.id === line.step);
  const pictures = opened ? picturesOf(job, opened) : [];
  const stop = stopOf(line, job);
  return (
    <Box
      component="section"
      aria-label="Now"
      aria-live="polite"
      sx={{
        border: '1px solid',
        borderColor: 'divider',
        borderTop: '5px solid',
        borderTopColor: 'bench.action',
        bgcolor: 'background.paper',
        p: 1.5,
        my: 1,
        display: 'grid',
        gap: 1,
      }}
    >
      <Typography sx={{ fontFamily: fonts.label, fontWeight: 600, fontSize: '1.5rem', lineHeight: 1.2 }}>
        {line.label}
      </Typography>
      {line.fault && (
        <Typography variant="body2">
          For: {mendsWhat(job, line.fault)}
          {(repairNeeds(line.fault).materials ?? []).map((m) => `. ${m}`).join('')}
        </Typography>
      )}
      {cup && (
        <Typography sx={{ fontSize: '1.1rem' }}>
          From <strong>cup {cup.number}</strong>: {cup.fasteners.map(fastenerWords).join('; ')}
          {cup.mixedUpWith.length > 0 && (
            <Box component="span" sx={{ color: 'bench.hazard' }}>
              . Not those of cup {cup.mixedUpWith.join(', ')}
            </Box>
          )}
        </Typography>
      )}
      {opened?.note && <Typography variant="body2">This model: {opened.note}</Typography>}
      {opened?.carried && line.sort === 'close' && (
        <Typography variant="body2">Carry over: {opened.carried}</Typography>
      )}
      {opened && <StepPictures pictures={pictures} label={opened.label} />}
      {line.cautions.map((id) => (
        <CautionPlate key={id} {...cautionOf(id)} />
      ))}
      {stop && <Notice title={stop} />}
      <Box>
        <HandKey label="Done" letter="Enter" main disabled={disabled || stop !== ''} onPress={onDone} />
      </Box>
    </Box>
  );
}
