'use client';

import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { warrantyUntil } from '@/core/service/warranty';
import { dayWords } from '../parts/dayWords';
import { Notice } from '../parts/Notice';
import type { ModelChoice, TakeInForm, TakeInValues } from './useTakeIn';

/** Last day of the warranty of what stands in the form, or null. */
function untilOf(v: TakeInValues, models: ModelChoice[]): string | null {
  if (v.machine) return v.machine.warrantyUntil;
  const model = models.find((m) => String(m.id) === v.modelId);
  if (!v.isNew || !model || !/^\d{4}-\d{2}-\d{2}$/.test(v.purchasedOn) || v.purchasedOn < '1950') return null;
  return warrantyUntil(v.purchasedOn, model.warrantyMonths);
}

/** Within the warranty: the advice, and what the owner chose. */
export function WarrantyChoice({ form, models, today }: { form: TakeInForm; models: ModelChoice[]; today: string }) {
  const { values: v, set, fieldProblem } = form;
  const until = untilOf(v, models);
  if (until === null || until < today) return null;
  const problem = fieldProblem('warrantyChoice');
  return (
    <Notice title={`Under warranty until ${dayWords(until, today)}.`}>
      <Typography variant="body2">
        The maker’s authorised shop repairs it at no charge, and opening it here may end the warranty. Say so, and write
        down what the owner chose.
      </Typography>
      <Box sx={{ mt: 1 }} {...(problem ? { 'data-asks': true } : {})}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="What the owner chose"
          value={v.warrantyChoice}
          onChange={(_, value: TakeInValues['warrantyChoice'] | null) => set({ warrantyChoice: value ?? 'none' })}
        >
          <ToggleButton value="authorised">to the authorised shop</ToggleButton>
          <ToggleButton value="repair-here">repair it here</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      {problem && (
        <Typography variant="caption" role="alert" sx={{ color: 'error.main' }}>
          {problem}
        </Typography>
      )}
    </Notice>
  );
}
