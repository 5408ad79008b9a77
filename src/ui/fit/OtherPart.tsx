'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { kindOfModel } from '@/core/diagnosis/kindOfModel';
import { FormText } from '../forms/FormText';
import { toldKind } from '../job/trade';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';

/** A part that is on no list: improvised, the customer's own, bought for this job. */
export function OtherPart({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const [open, setOpen] = useState(false);
  const { control, submit, reset } = useDeedForm({
    desk,
    deed: 'fit-other',
    dto: async () => (await import('@/shop/fitPart/dto')).FitOtherDto,
    start: { label: '', why: '', station: '' },
    body: (typed) => ({ ...typed, quantity: 1 }),
    unread: ({ station }) => (station === '' ? [{ field: 'station', message: 'Choose where it sits.' }] : []),
    kept: { label: 'other part', why: 'other part why' },
    onDone() {
      reset({ label: '', why: '', station: '' });
      setOpen(false);
    },
  });
  const kind = kindOfModel(toldKind(job.machine.kind), job.machine.addedStations);
  const stations = kind.lines.flatMap((l) => l.stations).filter((s) => !job.machine.droppedStations.includes(s.id));
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
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      sx={{ display: 'grid', gap: 1, mt: 1, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}
    >
      <FormText control={control} name="label" label="What it is" helperText="Improvised, their own, bought for this" />
      <FormText control={control} name="station" select label="Where it sits">
        {stations.map((s) => (
          <MenuItem key={s.id} value={s.id}>
            {s.label}
          </MenuItem>
        ))}
      </FormText>
      <FormText
        control={control}
        name="why"
        label="Where from, and its risk"
        helperText="It stands in the machine’s book."
        sx={{ gridColumn: '1 / -1' }}
      />
      <Box sx={{ display: 'flex', gap: 1, gridColumn: '1 / -1' }}>
        <Button type="submit" disabled={busy}>
          Fit it
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </Box>
    </Box>
  );
}
