'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { RoundGroup } from '@/shop/rounds/dto';
import { DayField } from '../parts/DayField';
import { Notice } from '../parts/Notice';
import { send, type Refusal } from '../parts/post';
import { Reading } from '../parts/Reading';
import { NOT_READ, versionOf } from './versionOf';

/** What the customer answered: the day on which somebody comes; it stands in every calendar. */
export function VisitDay({ customer }: { customer: RoundGroup['customer'] }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [day, setDay] = useState(customer.visitOn ?? '');
  const [words, setWords] = useState(customer.visitWords);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const put = async (on: string | null) => {
    const version = await versionOf(customer.id).catch(() => null);
    if (version === null) return setRefusal(NOT_READ);
    const sent = await send('POST', `/api/v1/customers/${customer.id}/agree-visit`, {
      key: crypto.randomUUID(),
      version,
      day: on,
      words: on === null ? '' : words,
    });
    if (!sent.ok) return setRefusal(sent.refusal);
    setRefusal(null);
    setOpen(false);
    router.refresh();
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
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
          onSubmit={(e) => {
            e.preventDefault();
            void put(day || null);
          }}
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start', py: 0.75 }}
        >
          <DayField
            size="small"
            autoFocus
            label="Somebody comes on"
            day={day}
            onDay={setDay}
            problem={refusal?.fields.find((f) => f.field === 'day')?.message}
            sx={{ width: 220 }}
          />
          <TextField
            size="small"
            label="In their words"
            value={words}
            onChange={(e) => setWords(e.target.value)}
            sx={{ width: 300 }}
          />
          <Button type="submit" size="small" variant="contained" disabled={day === ''} sx={{ mt: 0.5 }}>
            Agree it
          </Button>
          {customer.visitOn && (
            <Button size="small" sx={{ mt: 0.5 }} onClick={() => void put(null)}>
              No day any more
            </Button>
          )}
          <Button size="small" variant="text" color="inherit" sx={{ mt: 0.5 }} onClick={() => setOpen(false)}>
            Leave it
          </Button>
        </Box>
      )}
      {refusal && refusal.fields.every((f) => f.field !== 'day') && <Notice live title={refusal.title} />}
    </Box>
  );
}
