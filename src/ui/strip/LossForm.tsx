'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { StepView } from '@/shop/jobView/dto';
import type { JobDesk } from '../job/useJob';

const SORTS = [
  { what: 'missing', label: 'Was missing when it came' },
  { what: 'broken', label: 'Broken' },
  { what: 'lost', label: 'Lost here' },
  { what: 'rusted', label: 'Rusted: oil it and wait' },
] as const;
/** Common practice, no source. */
const SOAK_HOURS = 4;

/** One of the loose pieces of a step is not as it should be: how many, and what. */
export function LossForm({ desk, step, onClose }: { desk: JobDesk; step: StepView; onClose: () => void }) {
  const [count, setCount] = useState('1');
  const most = step.fasteners.reduce((sum, f) => sum + f.count, 0);
  const number = Number(count);
  const wrong = !Number.isInteger(number) || number < 1 || number > most;
  const note = async (what: (typeof SORTS)[number]['what']) => {
    const waiting = desk.job.waits.some((w) => !w.endedAt);
    const soak = what === 'rusted' && !waiting ? { soakHours: SOAK_HOURS } : {};
    if (await desk.act('note-loss', { step: step.id, what, count: number, ...soak })) onClose();
  };
  return (
    <Box
      component="section"
      aria-label="What is wrong with it"
      sx={{ border: '1px solid', borderColor: 'divider', p: 1.5, display: 'grid', gap: 1 }}
    >
      <Typography variant="body2">Of the {most} of this step:</Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
        <TextField
          label="How many"
          value={count}
          onChange={(e) => setCount(e.target.value)}
          error={wrong}
          helperText={wrong ? `From 1 to ${most}.` : ' '}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          sx={{ width: 110 }}
        />
        {SORTS.map((s) => (
          <Button key={s.what} disabled={desk.busy || wrong} onClick={() => void note(s.what)} sx={{ minHeight: 44 }}>
            {s.label}
          </Button>
        ))}
        <Button variant="text" color="inherit" onClick={onClose} sx={{ minHeight: 44 }}>
          Nothing is wrong
        </Button>
      </Box>
    </Box>
  );
}
