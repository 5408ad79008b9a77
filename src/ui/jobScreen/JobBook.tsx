'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Notice } from '../parts/Notice';
import { ambiguity } from '@/core/units/units';
import { readNumber } from '../parts/readNumber';
import { PhotographPicker } from '../parts/PhotographPicker';
import { useKeptText } from '../parts/useKeptText';
import NextLink from '../theme/NextLink';
import { AmendJob } from './AmendJob';
import { JobPhotographs } from './JobPhotographs';
import type { JobDesk } from '../job/useJob';

/** What is written into the machine's book at any stage: words said, notes, the hour meter, photographs; and its papers. */
export function JobBook({ desk }: { desk: JobDesk }) {
  const { job, act, busy } = desk;
  const [text, setText, dropText] = useKeptText(`job-${job.id}`, 'note', '');
  const [hours, setHours, dropHours] = useKeptText(`job-${job.id}`, 'meter', '');
  const [amending, setAmending] = useState(false);
  const [turning, setTurning] = useState(false);
  const turn = async () => {
    if (await act(job.practice ? 'end-practice' : 'make-practice')) setTurning(false);
  };
  const closed = job.stage === 'closed';
  const write = async (what: 'said' | 'note') => {
    if (text.trim() !== '' && (await act('write-note', { what, text }))) {
      setText('');
      dropText();
    }
  };
  const meter = readNumber(hours) ?? NaN;
  return (
    <Box component="section" aria-label="Book" className="no-print" sx={{ display: 'grid', gap: 1, pl: { lg: 2 } }}>
      <Typography component="h2" variant="h3">
        Into the book
      </Typography>
      {!closed && (
        <>
          <TextField
            label="A note, or what was said"
            value={text}
            onChange={(e) => setText(e.target.value)}
            multiline
            minRows={2}
          />
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button size="small" disabled={busy || text.trim() === ''} onClick={() => void write('note')}>
              Note it
            </Button>
            <Button size="small" disabled={busy || text.trim() === ''} onClick={() => void write('said')}>
              The customer said it
            </Button>
          </Box>
          <Box
            component="form"
            onSubmit={async (e) => {
              e.preventDefault();
              if (hours.trim() !== '' && (await act('record-meter', { hours: meter }))) {
                setHours('');
                dropHours();
              }
            }}
            sx={{ display: 'flex', gap: 1, alignItems: 'start' }}
          >
            <TextField
              label="Hour meter"
              value={hours}
              onChange={(e) => setHours(e.target.value)}
              error={hours.trim() !== '' && !Number.isFinite(meter)}
              helperText={ambiguity('number', hours)}
              sx={{ minWidth: 0, flex: 1 }}
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
            <Button
              type="submit"
              size="small"
              disabled={busy || hours.trim() === '' || !Number.isFinite(meter)}
              sx={{ mt: 0.5, flexShrink: 0 }}
            >
              Write&nbsp;down
            </Button>
          </Box>
          <PhotographPicker
            photographs={[]}
            onAdd={(id) => void act('add-photograph', { photographs: [id], caption: text.trim().slice(0, 300) })}
          />
        </>
      )}
      <JobPhotographs job={job} />
      <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
        <Button component={NextLink} href={`/jobs/${job.id}/job-sheet`} size="small" variant="text" color="inherit">
          Job sheet
        </Button>
        <Button
          component={NextLink}
          href={`/machines/${job.machine.tag}/tag`}
          size="small"
          variant="text"
          color="inherit"
        >
          Tag
        </Button>
        {!closed && (job.practice || job.findings.every((f) => f.revoked)) && (
          <Button size="small" variant="text" color="inherit" disabled={busy} onClick={() => setTurning(true)}>
            {job.practice ? 'End the practice' : 'Practise on it'}
          </Button>
        )}
        {!closed && (
          <Button size="small" variant="text" color="inherit" onClick={() => setAmending(true)}>
            Correct the take-in
          </Button>
        )}
      </Box>
      {turning && (
        <Notice live title={job.practice ? 'Make it a real job again?' : 'Make it a practice job?'}>
          <Typography variant="body2">
            {job.practice
              ? 'What was found in practice is taken back; the real machine is looked at from the start.'
              : 'Faults are hidden in it and the bench answers from them. The real machine is not looked at, the job is not counted, and it can be made real again.'}
          </Typography>
          <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
            <Button size="small" variant="contained" disabled={busy} onClick={() => void turn()}>
              {job.practice ? 'Yes, end it' : 'Yes, practise'}
            </Button>
            <Button size="small" disabled={busy} onClick={() => setTurning(false)}>
              No
            </Button>
          </Box>
        </Notice>
      )}
      {amending && <AmendJob desk={desk} onClose={() => setAmending(false)} />}
    </Box>
  );
}
