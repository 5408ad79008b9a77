'use client';

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { CustomerCardView } from '@/shop/customers/dto';
import { ask } from '../asking/ask';
import { Notice } from '../parts/Notice';
import type { TakeInForm } from './useTakeIn';

/** At which of the customer's places a new machine stands; nothing to see for a customer with one place only. */
export function WhichSite({ form, customer }: { form: TakeInForm; customer: number }) {
  const { data: sites = [], isError } = useQuery({
    queryKey: ['customer', customer],
    queryFn: ({ signal }) => ask<CustomerCardView>(`/api/v1/customers/${customer}`, signal),
    select: (card) => card.sites,
  });
  if (isError) return <Notice title="Their sites cannot be read now: choose one on the machine’s card later." />;
  if (sites.length === 0) return null;
  const problem = form.fieldProblem('newMachine.siteId');
  return (
    <TextField
      select
      label="At which site"
      value={form.values.siteId}
      onChange={(e) => form.set({ siteId: e.target.value })}
      error={Boolean(problem)}
      helperText={problem}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      <MenuItem value="">none in particular</MenuItem>
      {sites.map((s) => (
        <MenuItem key={s.id} value={String(s.id)}>
          {s.label}
          {s.address && `, ${s.address}`}
        </MenuItem>
      ))}
    </TextField>
  );
}
