'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { moneyText } from '@/core/money/currency';
import type { MadeLink } from '@/shop/links/dto';
import { faultLabel } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { dayAt } from '../parts/instants';
import { send } from '../parts/post';
import { useKeptText } from '../parts/useKeptText';

const LINK_DAYS = 30;

/** A message with a page to answer on, or the page alone. */
export function ToTheOwner({ desk }: { desk: JobDesk }) {
  const { job, busy, refusal } = desk;
  const { agree } = job;
  const form = `message-${job.id}`;
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
  const [to, setTo, dropTo] = useKeptText(form, 'to', job.customer.email);
  const [words, setWords, dropWords] = useKeptText(form, 'words', '');
  const [withLink, setWithLink] = useState(true);
  const [link, setLink] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  const problem = (field: string) => refusal?.fields.find((f) => f.field === field)?.message;
  const go = async () => {
    const subject = `Your ${job.machine.maker} ${job.machine.model}, ${job.machine.tag}`;
    if (!(await desk.act('send-message', { to, subject, words: words || proposed, withLink }))) return;
    for (const drop of [dropTo, dropWords]) drop();
    setOpen(false);
  };
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
      {open && (
        <>
          <TextField
            size="small"
            label="To"
            type="email"
            value={to}
            onChange={(e) => setTo(e.target.value)}
            error={Boolean(problem('to'))}
            helperText={problem('to')}
          />
          <TextField
            size="small"
            label="Words"
            value={words || proposed}
            multiline
            minRows={3}
            onChange={(e) => setWords(e.target.value)}
            error={Boolean(problem('words'))}
            helperText={problem('words')}
          />
          <Box>
            <FormControlLabel
              control={<Checkbox checked={withLink} onChange={(e) => setWithLink(e.target.checked)} />}
              label="with a page to answer on"
            />
            <Button size="small" variant="contained" disabled={busy} onClick={() => void go()}>
              Send
            </Button>
          </Box>
        </>
      )}
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
