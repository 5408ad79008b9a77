'use client';

import { useQuery } from '@tanstack/react-query';
import type { CustomerCardView } from '@/shop/customers/dto';
import { ask } from '../asking/ask';
import { Notice } from '../parts/Notice';
import { PlainChoice } from '../parts/PlainChoice';
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
  return (
    <PlainChoice
      label="At which site"
      value={form.values.siteId}
      onChoose={(siteId) => form.set({ siteId })}
      wrong={form.fieldProblem('newMachine.siteId') ?? null}
      options={[
        { id: '', label: 'none in particular' },
        ...sites.map((s) => ({ id: String(s.id), label: s.address ? `${s.label}, ${s.address}` : s.label })),
      ]}
    />
  );
}
