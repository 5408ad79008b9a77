'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import type { RoundGroup } from '@/shop/rounds/dto';
import { dtoResolver } from '../forms/dtoResolver';
import { FormText } from '../forms/FormText';
import { DayField } from '../parts/DayField';
import { Notice } from '../parts/Notice';
import { send, type Refusal } from '../parts/post';
import { Reading } from '../parts/Reading';
import { NOT_READ, versionOf } from './versionOf';

/** What the customer answered: the day on which somebody comes; it stands in every calendar. */
export function VisitDay({ customer }: { customer: RoundGroup['customer'] }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const { control, handleSubmit, setError, formState } = useForm({
    defaultValues: { day: customer.visitOn ?? '', words: customer.visitWords },
    resolver: dtoResolver(
      async () => (await import('@/shop/rounds/dto')).AgreeVisitDto,
      (typed) => ({ ...typed, version: 1, key: crypto.randomUUID() }),
      ({ day }) => (day === '' ? [{ field: 'day', message: 'The day on which somebody comes.' }] : []),
    ),
  });
  const put = async (day: string | null, words: string) => {
    const version = await versionOf(customer.id).catch(() => null);
    if (version === null) return setRefusal(NOT_READ);
    const key = crypto.randomUUID();
    const sent = await send('POST', `/api/v1/customers/${customer.id}/agree-visit`, { key, version, day, words });
    if (!sent.ok) {
      const atDay = sent.refusal.fields.find((f) => f.field === 'day');
      if (atDay) return setError('day', { type: 'refused', message: atDay.message });
      return setRefusal(sent.refusal);
    }
    setRefusal(null);
    setOpen(false);
    router.refresh();
  };
  return (
    // Beside the name; on a line of its own while a day is written down.
    <Box
      sx={{
        display: 'flex',
        gap: 1,
        flexWrap: 'wrap',
        alignItems: 'baseline',
        ...(open && { flexBasis: '100%', order: 1 }),
      }}
    >
      {customer.visitOn && !open && (
        <Typography variant="body2">
          Agreed for <Reading strong>{customer.visitOn}</Reading>
          {customer.visitWords && `: ${customer.visitWords}`}
        </Typography>
      )}
      {!open && (
        <Button
          size="small"
          variant="text"
          color="inherit"
          aria-label={`${customer.visitOn ? 'Another day' : 'They answered'}: ${customer.name}`}
          onClick={() => setOpen(true)}
          sx={{ px: 0 }}
        >
          {customer.visitOn ? 'another day' : 'they answered'}
        </Button>
      )}
      {open && (
        <Box
          component="form"
          onSubmit={(e) => void handleSubmit(({ day, words }) => put(day, words))(e)}
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start', py: 0.75 }}
        >
          <Controller
            control={control}
            name="day"
            render={({ field, fieldState: { error } }) => (
              <DayField
                size="small"
                autoFocus
                label="Somebody comes on"
                day={field.value}
                onDay={field.onChange}
                problem={error?.message}
                sx={{ width: 220 }}
              />
            )}
          />
          <FormText control={control} name="words" size="small" label="In their words" sx={{ width: 300 }} />
          <Button type="submit" size="small" variant="contained" disabled={formState.isSubmitting} sx={{ mt: 0.5 }}>
            Agree it
          </Button>
          {customer.visitOn && (
            <Button size="small" sx={{ mt: 0.5 }} onClick={() => void put(null, '')}>
              No day any more
            </Button>
          )}
          <Button size="small" variant="text" color="inherit" sx={{ mt: 0.5 }} onClick={() => setOpen(false)}>
            Leave it
          </Button>
        </Box>
      )}
      {refusal && <Notice live title={refusal.fields[0]?.message ?? refusal.title} />}
    </Box>
  );
}
