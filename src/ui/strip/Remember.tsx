'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { fastenerWords } from '@/core/strip/tray';
import type { StepView } from '@/shop/jobView/dto';
import { FormText } from '../forms/FormText';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { readNumber } from '../parts/readNumber';
import { picturesOf } from './stepPictures';

/** This model is not as its kind: what is written down here is told at every machine of it. */
export function Remember({ desk, step }: { desk: JobDesk; step: StepView }) {
  const { job, busy } = desk;
  const [note, setNote] = useState(step.note);
  const [counts, setCounts] = useState(step.fasteners.map((f) => String(f.count)));
  const [lengths, setLengths] = useState(step.fasteners.map((f): '' | 'short' | 'medium' | 'long' => f.length ?? ''));
  const numbers = counts.map(Number);
  const wrong = numbers.some((n) => !Number.isInteger(n) || n < 1 || n > 99);
  const changed = step.fasteners.some((f, i) => f.count !== numbers[i] || (f.length ?? '') !== lengths[i]);
  const known =
    job.strip.changes.some((c) => c.step === step.id && c.sort !== 'add') ||
    job.strip.pictures.some((p) => p.step === step.id);
  const isAdded = job.strip.changes.some((c) => c.step === step.id && c.sort === 'add');
  // Those of this machine that the model has not yet.
  const pictures = picturesOf(job, step).filter(
    (p) => p.of === 'this machine' && !job.strip.pictures.some((m) => m.id === p.id && m.step === step.id),
  );
  const remember = (body: object) => void desk.act('remember-step', { step: step.id, ...body });
  return (
    <Box component="details" sx={{ '& summary': { cursor: 'pointer', minHeight: 32, py: 0.5 } }}>
      <Typography component="summary" variant="body2">
        Different on every {job.machine.maker} {job.machine.model}?
      </Typography>
      <Box sx={{ display: 'grid', gap: 1, pt: 0.5 }}>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
          <TextField
            label="Note at this step"
            value={note}
            onChange={(e) => setNote(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 500 } }}
            sx={{ flex: 1, minWidth: 220 }}
          />
          <Button
            size="small"
            disabled={busy || note.trim() === '' || note.trim() === step.note}
            onClick={() => remember({ sort: 'note', text: note.trim() })}
            sx={{ minHeight: 44 }}
          >
            Remember it
          </Button>
        </Box>
        {step.fasteners.length > 0 && (
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
            {step.fasteners.map((f, i) => {
              const what = fastenerWords({ ...f, count: 1 }).replace(/^1 /, '');
              return (
                <Box key={`${f.what}${f.where}`} sx={{ display: 'flex', gap: 0.5, flex: '1 1 300px' }}>
                  <TextField
                    label={what}
                    value={counts[i]}
                    onChange={(e) => setCounts(counts.with(i, e.target.value))}
                    error={!Number.isInteger(numbers[i]) || numbers[i]! < 1 || numbers[i]! > 99}
                    slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                    sx={{ flex: 1 }}
                  />
                  <TextField
                    select
                    label="Length"
                    value={lengths[i]}
                    onChange={(e) => setLengths(lengths.with(i, e.target.value as (typeof lengths)[number]))}
                    slotProps={{
                      inputLabel: { shrink: true },
                      select: { displayEmpty: true },
                      htmlInput: { 'aria-label': `Length: ${what}` },
                    }}
                    sx={{ width: 120 }}
                  >
                    {['', 'short', 'medium', 'long'].map((l) => (
                      <MenuItem key={l} value={l}>
                        {l || 'any'}
                      </MenuItem>
                    ))}
                  </TextField>
                </Box>
              );
            })}
            <Button
              size="small"
              disabled={busy || wrong || !changed}
              onClick={() => remember({ sort: 'count', counts: numbers, lengths })}
              sx={{ minHeight: 44 }}
            >
              Remember the screws
            </Button>
          </Box>
        )}
        <Elsewhere desk={desk} step={step} />
        <StepMore desk={desk} step={step} />
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {pictures.map((p) => (
            <Button
              key={p.id}
              size="small"
              disabled={busy}
              onClick={() => remember({ sort: 'photograph', photograph: p.id })}
              sx={{ minHeight: 44 }}
            >
              Show {pictures.length > 1 ? `photograph ${pictures.indexOf(p) + 1}` : 'the photograph'} at every one
            </Button>
          ))}
          <Button size="small" disabled={busy} onClick={() => remember({ sort: 'drop' })} sx={{ minHeight: 44 }}>
            {isAdded ? 'Take the step out again' : 'This model has no such step'}
          </Button>
          {known && (
            <Button
              size="small"
              variant="text"
              color="inherit"
              disabled={busy}
              onClick={() => remember({ sort: 'as-its-kind' })}
              sx={{ minHeight: 44 }}
            >
              As its kind again
            </Button>
          )}
        </Box>
      </Box>
    </Box>
  );
}

/** It comes at another place among the steps of its opening. */
function Elsewhere({ desk, step }: { desk: JobDesk; step: StepView }) {
  const { job, busy, act } = desk;
  const [after, setAfter] = useState('');
  const others = [...job.strip.done, ...job.strip.ahead].filter((s) => s.access === step.access && s.id !== step.id);
  if (others.length === 0) return null;
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
      <TextField
        select
        label="It comes after"
        value={after}
        onChange={(e) => setAfter(e.target.value)}
        sx={{ flex: 1, minWidth: 220 }}
      >
        {others.map((s) => (
          <MenuItem key={s.id} value={s.id}>
            {s.label}
          </MenuItem>
        ))}
      </TextField>
      <Button
        size="small"
        disabled={busy || after === ''}
        onClick={() => void act('remember-step', { step: step.id, sort: 'move', after })}
        sx={{ minHeight: 44 }}
      >
        Remember the place
      </Button>
    </Box>
  );
}

/** Every machine of the model has a step more, after this one. */
function StepMore({ desk, step }: { desk: JobDesk; step: StepView }) {
  const { control, submit, reset } = useDeedForm({
    desk,
    deed: 'remember-step',
    dto: async () => (await import('@/shop/procedures/dto')).RememberStepDto,
    start: { label: '', tool: '', minutes: '', back: '' },
    body({ label, tool, minutes, back }) {
      const taken = readNumber(minutes);
      return {
        step: step.id,
        sort: 'add',
        label: label.trim(),
        tool: tool.trim(),
        back: back.trim(),
        ...(taken ? { minutes: taken } : {}),
      };
    },
    unread({ minutes }) {
      const taken = readNumber(minutes);
      return taken === undefined || (taken !== null && !(taken > 0 && taken <= 240))
        ? [{ field: 'minutes', message: 'More than nought, 240 at most.' }]
        : [];
    },
    onDone() {
      reset({ label: '', tool: '', minutes: '', back: '' });
    },
  });
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
      <FormText control={control} name="label" label="A step more after it" sx={{ flex: '2 1 220px' }} />
      <FormText control={control} name="tool" label="Tool" sx={{ width: 110 }} />
      <FormText
        control={control}
        name="minutes"
        label="Minutes"
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        sx={{ width: 100 }}
      />
      <FormText control={control} name="back" label="On the way back" sx={{ flex: '2 1 220px' }} />
      <Button size="small" disabled={desk.busy} onClick={submit} sx={{ minHeight: 44 }}>
        Remember the step
      </Button>
    </Box>
  );
}
