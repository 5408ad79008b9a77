'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { visits } from '@/knowledge/counter';
import { CautionGate } from '../job/CautionGate';
import { ServiceList } from '../job/ServiceList';
import type { JobDesk } from '../job/useJob';

/** A visit without a complaint: its list comes from what is due, and from what a look finds. */
export function ServiceVisit({ desk, onDone }: { desk: JobDesk; onDone: () => void }) {
  const { job, busy } = desk;
  const visit = visits.find((v) => v.id === job.visit)!;
  return (
    <Box sx={{ display: 'grid', gap: 1.5, mb: 2 }}>
      <Box>
        <Typography component="h2" variant="h2">
          {visit.label}
        </Typography>
        <Typography variant="body2">
          Nothing is complained of: this is what is due, and what nobody knows. Something found on the way? Name it by
          “Correct the take-in”, and it is looked for.
        </Typography>
      </Box>
      {job.complaints.length === 0 && <CautionGate desk={desk} />}
      <ServiceList desk={desk} />
      {job.stage !== 'closed' && job.complaints.length === 0 && (
        <Box>
          <Button variant="contained" disabled={busy} onClick={onDone}>
            To Fit
          </Button>
        </Box>
      )}
    </Box>
  );
}
