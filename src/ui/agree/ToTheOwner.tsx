'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import { moneyText } from '@/core/money/currency';
import type { MadeLink } from '@/shop/links/dto';
import { FormText } from '../forms/FormText';
import { faultLabel } from '../job/labels';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { dayAt } from '../parts/instants';
import { send } from '../parts/post';
import { longText } from '../parts/longText';

const LINK_DAYS = 30;

/** A message with a page to answer on, or the page alone. */
export function ToTheOwner({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const { agree } = job;
  const money = (minor: number) => moneyText(minor, job.currency, agree.locale);
  const proposed = [
    `We have looked at your ${job.machine.maker} ${job.machine.model}.`,
    job.proved.length > 0 ? `It is: ${job.proved.map(faultLabel).join(', ').toLowerCase()}.` : '',
    agree.estimate
      ? `Mending it comes to ${agree.estimate.offers.map((o) => money(o.bill.grossMinor)).join(' or ')}. Please tell us what you want:`
      : '',
  ]
    .filter(Boolean)
    .join(' ');
  const [link, setLink] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  const make = async () => {
    const made = await send<MadeLink>('POST', `/api/v1/jobs/${job.id}/make-link`, {
      key: crypto.randomUUID(),
      days: LINK_DAYS,
    });
    if (made.ok) setLink(`${window.location.origin}${made.value.path}`);
  };
  if (!agree.estimate) return null;
  return (
    <Box component="section" aria-label="To the owner" sx={{ display: 'grid', gap: 0.75 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
          Write to the owner
        </Button>
        <Button size="small" disabled={busy} onClick={() => void make()}>
          A page to answer on
        </Button>
        {agree.links.length > 0 && (
          <Button
            size="small"
            variant="text"
            color="inherit"
            disabled={busy}
            onClick={() => void desk.act('revoke-links')}
          >
            take the page back
          </Button>
        )}
      </Box>
      {link && (
        <TextField
          size="small"
          label={`Open for ${LINK_DAYS} days, shown once`}
          value={link}
          slotProps={{
            htmlInput: { readOnly: true, onFocus: (e: React.FocusEvent<HTMLInputElement>) => e.target.select() },
          }}
        />
      )}
      {open && <MessageForm desk={desk} proposed={proposed} onSent={() => setOpen(false)} />}
      {agree.messages.map((m) => (
        <Typography key={m.id} variant="body2" sx={{ color: m.state === 'failed' ? 'bench.hazard' : 'text.secondary' }}>
          {dayAt(m.at, job.zone)} {m.subject}:{' '}
          {m.state === 'sent'
            ? 'sent'
            : m.state === 'failed'
              ? `not delivered, ${m.lastError}`
              : m.lastError
                ? `tried, ${m.lastError}`
                : 'on its way'}
        </Typography>
      ))}
    </Box>
  );
}

/** Words to the owner: proposed, changed here, kept through a reload until they are sent. */
function MessageForm({ desk, proposed, onSent }: { desk: JobDesk; proposed: string; onSent: () => void }) {
  const { job, busy } = desk;
  const { control, submit } = useDeedForm({
    desk,
    deed: 'send-message',
    dto: async () => (await import('@/shop/mail/dto')).SendMessageDto,
    start: { to: job.customer.email, words: proposed, withLink: true },
    body: (typed) => ({ ...typed, subject: `Your ${job.machine.maker} ${job.machine.model}, ${job.machine.tag}` }),
    kept: { to: 'message to', words: 'message words' },
    onDone: onSent,
  });
  return (
    <>
      <FormText control={control} name="to" size="small" label="To" type="email" />
      <FormText control={control} name="words" size="small" label="Words" {...longText(3)} />
      <Box>
        <Controller
          control={control}
          name="withLink"
          render={({ field }) => (
            <FormControlLabel
              control={<Checkbox checked={field.value} onChange={(e) => field.onChange(e.target.checked)} />}
              label="with a page to answer on"
            />
          )}
        />
        <Button size="small" variant="contained" disabled={busy} onClick={submit}>
          Send
        </Button>
      </Box>
    </>
  );
}
