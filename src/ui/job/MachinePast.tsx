import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { arrivalSigns } from '@/knowledge/bench';
import type { JobView } from '@/shop/jobView/dto';
import { Empty } from '../parts/Notice';
import NextLink from '../theme/NextLink';
import { complaintLabel, faultLabel } from './labels';

/** What the customer said, how it arrived, and what this machine had before. */
export function MachinePast({ job }: { job: JobView }) {
  return (
    <Box
      component="aside"
      aria-label="The customer’s words and the machine’s past"
      sx={{ display: 'grid', gap: 1.5, borderLeft: { lg: '1px solid' }, borderColor: { lg: 'divider' }, pl: { lg: 2 } }}
    >
      <Box>
        <Typography component="h2" variant="h3">
          In the customer’s words
        </Typography>
        <Typography
          variant="body2"
          sx={{ fontStyle: job.words ? 'italic' : 'normal', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}
        >
          {job.words ? `“${job.words}”` : 'Nothing written down.'}
        </Typography>
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          {job.complaints.map(complaintLabel).join(', ')}
        </Typography>
        {job.customerDiagnosis && (
          <Typography variant="body2" sx={{ mt: 0.5 }}>
            Thinks it is: <strong>{faultLabel(job.customerDiagnosis).toLowerCase()}</strong>
            {job.assessment.proved.length > 0 &&
              (job.assessment.proved.includes(job.customerDiagnosis) ? ' (was right)' : ' (was not it)')}
          </Typography>
        )}
        {job.openedBefore && <Typography variant="body2">Opened lately by somebody else.</Typography>}
        {job.arrivalSigns.length > 0 && (
          <Typography variant="body2">
            On arrival:{' '}
            {job.arrivalSigns.map((s) => arrivalSigns.find((a) => a.id === s)?.label.toLowerCase()).join(', ')}
          </Typography>
        )}
      </Box>
      <Box>
        <Typography component="h2" variant="h3">
          Before this
        </Typography>
        {job.past.length === 0 && <Empty>First time here.</Empty>}
        {job.past.map((p) => (
          <Typography key={p.id} variant="body2" sx={{ mt: 0.25 }}>
            <Link component={NextLink} href={`/jobs/${p.id}/hand-back`}>
              {p.takenInAt.slice(0, 10)}
            </Link>{' '}
            {p.faults.length > 0 ? p.faults.map(faultLabel).join(', ') : 'no cause named'}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
