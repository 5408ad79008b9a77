'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { kindOfModel } from '@/core/diagnosis/kindOfModel';
import { knowledge } from '@/knowledge';
import type { JobDesk } from '../job/useJob';
import { useKeptText } from '../parts/useKeptText';

/** A part that is on no list: improvised, the customer's own, bought for this job. */
export function OtherPart({ desk }: { desk: JobDesk }) {
  const { job, busy, act, refusal } = desk;
  const [open, setOpen] = useState(false);
  const form = `job-${job.id}`;
  const [label, setLabel, dropLabel] = useKeptText(form, 'other part', '');
  const [why, setWhy, dropWhy] = useKeptText(form, 'other part why', '');
  const [station, setStation] = useState('');
  const kind = kindOfModel(
    knowledge.kinds.find((k) => k.id === job.machine.kind)!,
    job.machine.addedStations,
  );
  const stations = kind.lines.flatMap((l) => l.stations).filter((s) => !job.machine.droppedStations.includes(s.id));
  const problem = (field: string) => refusal?.fields.find((f) => f.field === field)?.message;
  if (!open)
    return (
      <Link component="button" type="button" onClick={() => setOpen(true)} sx={{ mt: 1, minHeight: 32 }}>
        A part that is on no list
      </Link>
    );
  return (
    <Box
      component="form"
      aria-label="A part that is on no list"
      onSubmit={async (e) => {
        e.preventDefault();
        if (!(await act('fit-other', { label, why, station, quantity: 1 }))) return;
        dropLabel();
        dropWhy();
        setLabel('');
        setWhy('');
        setOpen(false);
      }}
      sx={{ display: 'grid', gap: 1, mt: 1, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}
    >
      <TextField
        label="What it is"
        value={label}
        onChange={(e) => setLabel(e.target.value)}
        error={Boolean(problem('label'))}
        helperText={problem('label') ?? 'Improvised, their own, bought for this'}
      />
      <TextField
        select
        label="Where it sits"
        value={station}
        onChange={(e) => setStation(e.target.value)}
        error={Boolean(problem('station'))}
        helperText={problem('station')}
      >
        {stations.map((s) => (
          <MenuItem key={s.id} value={s.id}>
            {s.label}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Where from, and its risk"
        value={why}
        onChange={(e) => setWhy(e.target.value)}
        error={Boolean(problem('why'))}
        helperText={problem('why') ?? 'It stands in the machine’s book.'}
        sx={{ gridColumn: '1 / -1' }}
      />
      <Box sx={{ display: 'flex', gap: 1, gridColumn: '1 / -1' }}>
        <Button type="submit" disabled={busy || station === ''}>
          Fit it
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </Box>
    </Box>
  );
}
