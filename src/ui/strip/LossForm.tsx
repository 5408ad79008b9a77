'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { StepView } from '@/shop/jobView/dto';
import { FormText } from '../forms/FormText';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { readNumber } from '../parts/readNumber';

const SORTS = [
  { what: 'missing', label: 'Was missing when it came' },
  { what: 'broken', label: 'Broken' },
  { what: 'lost', label: 'Lost here' },
  { what: 'rusted', label: 'Rusted: oil it and wait' },
] as const;
/** Common practice, no source. */
const SOAK_HOURS = 4;

/** One of the loose pieces of a step is not as it should be: how many, and what. */
export function LossForm({ desk, step, onClose }: { desk: JobDesk; step: StepView; onClose: () => void }) {
  const most = step.fasteners.reduce((sum, f) => sum + f.count, 0);
  const { control, setValue, submit } = useDeedForm({
    desk,
    deed: 'note-loss',
    dto: async () => (await import('@/shop/losses/dto')).NoteLossDto,
    start: { count: '1', what: 'missing' as (typeof SORTS)[number]['what'] },
    body({ count, what }) {
      const waiting = desk.job.waits.some((w) => !w.endedAt);
      const soak = what === 'rusted' && !waiting ? { soakHours: SOAK_HOURS } : {};
      return { step: step.id, what, count: readNumber(count), ...soak };
    },
    unread({ count }) {
      const number = readNumber(count);
      const isOne = typeof number === 'number' && Number.isInteger(number) && number >= 1 && number <= most;
      return isOne ? [] : [{ field: 'count', message: `From 1 to ${most}.` }];
    },
    onDone: onClose,
  });
  const note = (what: (typeof SORTS)[number]['what']) => {
    setValue('what', what);
    submit();
  };
  return (
    <Box
      component="section"
      aria-label="What is wrong with it"
      sx={{ border: '1px solid', borderColor: 'divider', p: 1.5, display: 'grid', gap: 1 }}
    >
      <Typography variant="body2">Of the {most} of this step:</Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
        <FormText
          control={control}
          name="count"
          label="How many"
          helperText=" "
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          sx={{ width: 110 }}
        />
        {SORTS.map((s) => (
          <Button key={s.what} disabled={desk.busy} onClick={() => note(s.what)} sx={{ minHeight: 44 }}>
            {s.label}
          </Button>
        ))}
        <Button variant="text" color="inherit" onClick={onClose} sx={{ minHeight: 44 }}>
          Nothing is wrong
        </Button>
      </Box>
    </Box>
  );
}
