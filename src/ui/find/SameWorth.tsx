import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { doingOf } from '../job/labels';
import { Reading } from '../parts/Reading';

const MOST = 3;

/** Other next steps that are worth the same as the proposed one: whoever stands at the bench may choose. */
export function SameWorth({
  job,
  odds,
  current,
  onPick,
}: {
  job: JobFacts;
  odds: AssessmentView;
  current: string;
  onPick: (check: string) => void;
}) {
  const { next } = odds;
  if (!next.find((n) => n.check === current)?.asGood) return null;
  const others = next.filter((n) => n.asGood && n.check !== current).slice(0, MOST);
  if (others.length === 0) return null;
  return (
    <Box
      role="group"
      aria-label="Worth the same"
      sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2.5, alignItems: 'center' }}
    >
      <Typography variant="body2">Worth the same:</Typography>
      {others.map((n) => (
        <Button
          key={n.check}
          size="small"
          variant="text"
          color="inherit"
          // Without padding a line that wraps begins where the one above began.
          sx={{ px: 0, minWidth: 0 }}
          onClick={() => onPick(n.check)}
        >
          {doingOf(job.machine.kind, n.check)?.label ?? n.check}
          <Box component="span" sx={{ ml: 0.75 }}>
            <Reading>{(n.minutes + n.openingMinutes).toFixed(1)} min</Reading>
          </Box>
        </Button>
      ))}
    </Box>
  );
}
