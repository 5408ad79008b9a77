import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { StepView } from '@/shop/jobView/dto';
import { lieWords, toolWords } from './stepWords';

/** Steps in their order, each with how the machine lies and what is in the hand. */
export function StepList({ steps }: { steps: readonly StepView[] }) {
  return (
    <Box component="ol" sx={{ m: 0, pl: 3 }}>
      {steps.map((s) => (
        <Typography component="li" variant="body2" key={s.id}>
          {s.label}{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            ({lieWords(s.lie)}, {toolWords(s.tool)})
          </Box>
        </Typography>
      ))}
    </Box>
  );
}
