'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { waitKinds } from '@/knowledge/counter';
import { cautionOf } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { CautionPlate } from '../parts/CautionPlate';
import { Reading } from '../parts/Reading';
import { instantAt } from '../parts/instants';
import { readNumber } from '../parts/readNumber';
import { useKeptText } from '../parts/useKeptText';
import { leftWords, useNow } from '../parts/useNow';

/** A clock for what needs no hands: drying, soaking, glue, parts, answers. It runs on the server. */
export function WaitClock({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const running = job.waits.find((w) => !w.endedAt);
  const now = useNow(running?.startedAt ?? job.takenInAt);
  const [kind, setKind] = useState<string>('drying');
  const [what, setWhat, dropWhat] = useKeptText(`job-${job.id}`, 'wait', '');
  const [hours, setHours] = useState('24');
  const problem = desk.refusal?.fields.find((f) => f.field === 'hours')?.message;
  const label = (id: string) => waitKinds.find((w) => w.id === id)?.label ?? id;
  return (
    <Box component="section" aria-label="Waits">
      <Typography component="h2" variant="h3">
        Wait clock
      </Typography>
      {job.waits
        .filter((w) => w.endedAt)
        .map((w) => (
          <Typography key={w.id} variant="body2" sx={{ color: 'text.secondary' }}>
            {label(w.kind)} {w.what}: ended {instantAt(w.endedAt!, job.zone)}
          </Typography>
        ))}
      {running ? (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Typography variant="body2">
            <strong>{label(running.kind)}</strong>
            {running.what && `: ${running.what}`}, <Reading strong>{leftWords(running.endsAt, now)}</Reading>
            {leftWords(running.endsAt, now) === 'ready' ? '' : ' left'}
          </Typography>
          {running.kind === 'drying' && (
            <CautionPlate label={cautionOf('dry-before-run').label} text={cautionOf('dry-before-run').text} />
          )}
          {job.stage !== 'closed' && (
            <Box>
              <Button disabled={busy} onClick={() => void desk.act('end-wait')}>
                {running.kind === 'drying' ? 'Weighed or felt dry: end it' : 'End the wait'}
              </Button>
            </Box>
          )}
        </Box>
      ) : (
        job.stage !== 'closed' && (
          <Box
            component="form"
            onSubmit={(e) => {
              e.preventDefault();
              void desk
                .act('start-wait', { kind, what, hours: readNumber(hours) ?? NaN })
                .then((done) => done && dropWhat());
            }}
            sx={{
              display: 'grid',
              gap: 1,
              gridTemplateColumns: { xs: '1fr', sm: '1.2fr 1.4fr 90px auto' },
              mt: 0.5,
              alignItems: 'start',
            }}
          >
            <TextField
              select
              label="For"
              value={kind}
              onChange={(e) => {
                setKind(e.target.value);
                setHours(String(waitKinds.find((w) => w.id === e.target.value)?.hours ?? 24));
              }}
            >
              {waitKinds.map((w) => (
                <MenuItem key={w.id} value={w.id}>
                  {w.label}
                </MenuItem>
              ))}
            </TextField>
            <TextField label="What" value={what} onChange={(e) => setWhat(e.target.value)} />
            <TextField
              label="Hours"
              value={hours}
              onChange={(e) => setHours(e.target.value)}
              error={Boolean(problem)}
              helperText={problem}
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
            <Button type="submit" disabled={busy} sx={{ minHeight: 48 }}>
              Start
            </Button>
          </Box>
        )
      )}
    </Box>
  );
}
