'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { faultLabel } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { dayAt } from '../parts/instants';
import { useKeptText } from '../parts/useKeptText';
import { Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';

/** Handing back: what it was, what to watch, when it is due again, and the sheet that goes home with it. */
export function HandBackWork({ desk }: { desk: JobDesk }) {
  const { job, odds, busy } = desk;
  const closed = job.stage === 'closed';
  const [faults, setFaults] = useState<string[]>(job.proved);
  const [advice, setAdvice, dropAdvice] = useKeptText(`job-${job.id}`, 'advice', job.advice);
  const likely = (odds?.faults ?? []).filter((f) => f.suspect && (f.proved || f.probability > 0.2)).map((f) => f.id);
  const offered = [...new Set([...job.proved, ...likely])].slice(0, 8);
  const open = job.proofs.filter((p) => p.required && p.result !== 'pass');
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 760 }}>
      <Typography component="h2" variant="h2">
        Hand back
      </Typography>
      {closed ? (
        <Notice title={`Handed back ${dayAt(job.closedAt!, job.zone)}.`}>
          <Typography variant="body2">
            Next due: <Reading strong>{job.machine.nextDueOn ?? 'nothing planned'}</Reading>.{' '}
            <Link component={NextLink} href={`/machines/${job.machine.tag}`}>
              See the machine’s card
            </Link>
          </Typography>
        </Notice>
      ) : (
        open.length > 0 && (
          <Notice title="Not all is proved yet.">
            <Typography variant="body2">{open.map((p) => p.label).join(', ')}.</Typography>
          </Notice>
        )
      )}
      {!closed && (
        <>
          <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
            <Typography component="legend" variant="h3">
              What it was
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
              This is counted: the odds of the next machine lean on it.
            </Typography>
            {offered.map((id) => (
              <FormControlLabel
                key={id}
                control={
                  <Checkbox
                    checked={faults.includes(id)}
                    onChange={(e) => setFaults(e.target.checked ? [...faults, id] : faults.filter((f) => f !== id))}
                  />
                }
                label={faultLabel(id)}
                sx={{ display: 'flex' }}
              />
            ))}
            {offered.length === 0 && <Typography variant="body2">No cause was found; nothing is counted.</Typography>}
          </Box>
          <TextField
            label="What to watch, for the owner"
            value={advice}
            onChange={(e) => setAdvice(e.target.value)}
            multiline
            minRows={3}
            helperText="Printed on the care sheet."
          />
          {job.customerDiagnosis && (
            <Typography variant="body2">
              The customer thought of: {faultLabel(job.customerDiagnosis).toLowerCase()}
              {faults.includes(job.customerDiagnosis) ? ', and was right.' : '. It was not that; say what it was.'}
            </Typography>
          )}
        </>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {!closed && (
          <Button
            variant="contained"
            disabled={busy || job.stage !== 'hand-back'}
            onClick={async () => {
              if (await desk.act('hand-back', { faults, advice })) dropAdvice();
            }}
          >
            Hand back and close
          </Button>
        )}
        <Button component={NextLink} href={`/jobs/${job.id}/care-sheet`}>
          Care sheet
        </Button>
      </Box>
    </Box>
  );
}
