import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import type { JobFacts } from '@/shop/jobView/dto';
import NextLink from '../theme/NextLink';
import { StepList } from './StepList';
import { wayIn } from './wayIn';

/** How what a check needs open is opened: folded, because whoever has done it a hundred times does not read it. */
export function WayInSteps({ job, access }: { job: JobFacts; access: string }) {
  const { machine, strip } = job;
  const { ahead } = useMemo(() => wayIn({ machine, strip }, access), [machine, strip, access]);
  if (ahead.length === 0) return null;
  return (
    <Box component="details" sx={{ '& summary': { cursor: 'pointer', minHeight: 28 } }}>
      <Typography component="summary" variant="body2">
        The way in: {ahead.length} step{ahead.length === 1 ? '' : 's'}
      </Typography>
      <StepList steps={ahead} />
      <Link component={NextLink} href={`/jobs/${job.id}/strip?to=${access}`} sx={{ minHeight: 28, fontSize: '0.9rem' }}>
        Open it step by step, with the tray
      </Link>
    </Box>
  );
}
