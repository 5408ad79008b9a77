'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { fastenerWords } from '@/core/strip/tray';
import type { StepView } from '@/shop/jobView/dto';
import type { JobDesk } from '../job/useJob';

/** This model is not as its kind: what is written down here is told at every machine of it. */
export function Remember({ desk, step }: { desk: JobDesk; step: StepView }) {
  const { job, busy } = desk;
  const [note, setNote] = useState(step.note);
  const [counts, setCounts] = useState(step.fasteners.map((f) => String(f.count)));
  const numbers = counts.map(Number);
  const wrong = numbers.some((n) => !Number.isInteger(n) || n < 1 || n > 99);
  const changed = step.fasteners.some((f, i) => f.count !== numbers[i]);
  const known = job.strip.changes.some((c) => c.step === step.id && c.sort !== 'add');
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
            {step.fasteners.map((f, i) => (
              <TextField
                key={`${f.what}${f.where}`}
                label={fastenerWords({ ...f, count: 1 }).replace(/^1 /, '')}
                value={counts[i]}
                onChange={(e) => setCounts(counts.with(i, e.target.value))}
                error={!Number.isInteger(numbers[i]) || numbers[i]! < 1 || numbers[i]! > 99}
                slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                sx={{ width: 200 }}
              />
            ))}
            <Button
              size="small"
              disabled={busy || wrong || !changed}
              onClick={() => remember({ sort: 'count', counts: numbers })}
              sx={{ minHeight: 44 }}
            >
              Remember the number
            </Button>
          </Box>
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button size="small" disabled={busy} onClick={() => remember({ sort: 'drop' })} sx={{ minHeight: 44 }}>
            This model has no such step
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
