'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { visits } from '@/knowledge/counter';
import { complaintLabel } from './labels';
import type { JobDesk } from './useJob';

/** What the machine is here for; a complaint that the bench does not find is struck with a reason, the words stay. */
export function Complaints({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  const [striking, setStriking] = useState<string | null>(null);
  const closed = job.stage === 'closed';
  return (
    <Box sx={{ mt: 0.5 }}>
      {job.visit && <Typography variant="body2">Here for {visits.find((v) => v.id === job.visit)!.says}.</Typography>}
      {job.complaints.map((id) => (
        <Box key={id}>
          <Typography variant="body2" component="span">
            {complaintLabel(id)}
          </Typography>
          {!closed && striking !== id && (
            <Link
              component="button"
              type="button"
              variant="body2"
              aria-label={`Not found at the bench: ${complaintLabel(id)}`}
              onClick={() => setStriking(id)}
              sx={{ ml: 1, color: 'text.secondary' }}
              className="no-print"
            >
              not found?
            </Link>
          )}
          {striking === id && <Strike desk={desk} complaint={id} onEnd={() => setStriking(null)} />}
        </Box>
      ))}
      {job.struck.map((s) => (
        <Typography key={s.complaint} variant="body2" sx={{ color: 'text.secondary' }}>
          <s>{complaintLabel(s.complaint)}</s>: {s.why}
        </Typography>
      ))}
    </Box>
  );
}

function Strike({ desk, complaint, onEnd }: { desk: JobDesk; complaint: string; onEnd: () => void }) {
  const [why, setWhy] = useState('');
  const problem = desk.refusal?.fields.find((f) => f.field === 'why')?.message;
  return (
    <Box
      component="form"
      onSubmit={async (e) => {
        e.preventDefault();
        if (await desk.act('strike-complaint', { complaint, why })) onEnd();
      }}
      sx={{ display: 'grid', gap: 0.75, my: 0.75 }}
    >
      <TextField
        label="What was seen instead?"
        value={why}
        onChange={(e) => setWhy(e.target.value)}
        error={Boolean(problem)}
        helperText={problem ?? 'Their words stay as they were said.'}
        autoFocus
      />
      <Box sx={{ display: 'flex', gap: 0.75 }}>
        <Button type="submit" size="small" disabled={desk.busy}>
          Strike it
        </Button>
        <Button size="small" onClick={onEnd}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
}
