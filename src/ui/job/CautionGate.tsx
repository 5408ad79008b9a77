'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { CautionPlate } from '../parts/CautionPlate';
import { instantAt } from '../parts/instants';
import { useKeptText } from '../parts/useKeptText';
import { cautionOf } from './labels';
import type { JobDesk } from './useJob';

/** Cautions in force, and those of old age: each says what it holds back, and is cleared under a name with how it was made safe. */
export function CautionGate({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  return (
    <>
      {job.standing.map((id) => (
        <CautionPlate key={id} {...cautionOf(id)} />
      ))}
      {job.cautions.map((id) => (
        <Gate key={id} id={id} desk={desk} />
      ))}
      {job.clearedCautions.map((c) => (
        <Typography key={c.caution} variant="caption" sx={{ color: 'text.secondary' }}>
          {cautionOf(c.caution).label}: cleared by {c.by}, {instantAt(c.at, job.zone)}. {c.how}
        </Typography>
      ))}
    </>
  );
}

function Gate({ id, desk }: { id: string; desk: JobDesk }) {
  const caution = cautionOf(id);
  const [open, setOpen] = useState(false);
  const [how, setHow, dropHow] = useKeptText(`job-${desk.job.id}`, `how ${id}`, '');
  const problem = desk.refusal?.fields.find((f) => f.field === 'how')?.message;
  return (
    <CautionPlate
      label={caution.label}
      text={caution.text + (caution.holds === 'power' ? ' Nothing that needs power is offered or taken.' : '')}
    >
      {desk.job.stage !== 'closed' && !open && (
        <Button size="small" sx={{ mt: 0.75 }} onClick={() => setOpen(true)}>
          Made safe: clear it under my name
        </Button>
      )}
      {open && (
        <Box
          component="form"
          onSubmit={(e) => {
            e.preventDefault();
            void desk.act('clear-caution', { caution: id, how }).then((done) => done && dropHow());
          }}
          sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}
        >
          <TextField
            label="How was it made safe?"
            value={how}
            onChange={(e) => setHow(e.target.value)}
            error={Boolean(problem)}
            helperText={problem ?? 'Opened, dried, insulation measured … It is kept under your name.'}
            autoFocus
            sx={{ flex: '1 1 260px' }}
          />
          <Button type="submit" variant="contained" color="error" disabled={desk.busy}>
            Clear
          </Button>
          <Button onClick={() => setOpen(false)}>Leave it</Button>
        </Box>
      )}
    </CautionPlate>
  );
}
