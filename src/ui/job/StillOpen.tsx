'use client';

import Typography from '@mui/material/Typography';
import type { JobFacts } from '@/shop/jobView/dto';
import { Notice } from '../parts/Notice';
import { faultLabel } from './labels';
import { besidesLeft } from './toMend';

/** What was found and stays as it is because its owner did not want it mended. */
export function NotWanted({ job }: { job: JobFacts }) {
  const { notWanted } = job.agree;
  if (notWanted.length === 0) return null;
  return (
    <Notice title={`Not wanted, it stays as it is: ${notWanted.map(faultLabel).join(', ').toLowerCase()}.`}>
      <Typography variant="body2">It stays open on the machine, and the sheet for the owner says so.</Typography>
    </Notice>
  );
}

/** What the owner agreed to besides and nobody has ticked: the bill leaves it out. */
export function BesidesLeft({ job }: { job: JobFacts }) {
  const left = besidesLeft(job);
  if (left.length === 0) return null;
  return (
    <Notice title={`Agreed, and not done yet: ${left.join('; ').toLowerCase()}.`}>
      <Typography variant="body2">
        Tick it under Fit when it is done: what is not done is not charged, and the invoice says so.
      </Typography>
    </Notice>
  );
}
