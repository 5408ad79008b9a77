import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { arrivalSigns } from '@/knowledge/bench';
import type { JobView } from '@/shop/jobView/dto';
import { CautionPlate } from '../parts/CautionPlate';
import { cautionOf, complaintLabel } from './labels';

/** What was written down at the counter. */
export function TakenIn({ job }: { job: JobView }) {
  const rows: [string, string][] = [
    ['Taken in', job.takenInAt.slice(0, 16).replace('T', ' ')],
    ['Complaints', job.complaints.map(complaintLabel).join(', ')],
    ['Serial', job.machine.serial || 'not written down'],
    ['Made', job.machine.madeYear ? String(job.machine.madeYear) : 'not known'],
    ['Mains', `${job.machine.mainsV} V`],
    [
      'On arrival',
      job.arrivalSigns.map((s) => arrivalSigns.find((a) => a.id === s)?.label).join(', ') || 'nothing special',
    ],
  ];
  const raised = arrivalSigns.filter((s) => job.arrivalSigns.includes(s.id) && s.raises);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Typography component="h2" variant="h2">
        Taken in
      </Typography>
      <Box
        component="dl"
        sx={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', columnGap: 3, rowGap: 0.75, m: 0 }}
      >
        {rows.map(([term, text]) => (
          <Box key={term} sx={{ display: 'contents' }}>
            <Typography component="dt" variant="body2" sx={{ color: 'text.secondary' }}>
              {term}
            </Typography>
            <Typography component="dd" variant="body2" sx={{ m: 0 }}>
              {text}
            </Typography>
          </Box>
        ))}
      </Box>
      {raised.map((s) => (
        <CautionPlate key={s.id} label={cautionOf(s.raises!).label} text={cautionOf(s.raises!).text} />
      ))}
    </Box>
  );
}
