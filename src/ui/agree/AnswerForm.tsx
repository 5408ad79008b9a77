'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { OFFER_TITLES, type OfferId } from '@/core/agree/offers';
import { moneyText } from '@/core/money/currency';
import { addDays } from '@/core/service/days';
import type { JobDesk } from '../job/useJob';
import { DayField } from '../parts/DayField';
import { MoneyField } from '../parts/MoneyField';
import { useKeptText } from '../parts/useKeptText';
import { fonts } from '../theme/palette';

const WAYS = [
  { id: 'counter', label: 'at the counter' },
  { id: 'phone', label: 'by phone' },
  { id: 'message', label: 'message' },
  { id: 'paper', label: 'on paper' },
] as const;

/** What the owner says: one press for each answer, with who said it and in what words. */
export function AnswerForm({ desk }: { desk: JobDesk }) {
  const { job, busy, refusal } = desk;
  const { estimate, locale } = job.agree;
  const form = `answer-${job.id}`;
  const [who, setWho, dropWho] = useKeptText(form, 'who', job.customer.name);
  const [words, setWords, dropWords] = useKeptText(form, 'words', '');
  const [way, setWay] = useState<(typeof WAYS)[number]['id']>('phone');
  const [signed, setSigned] = useState('');
  const [askOn, setAskOn] = useState(() => addDays(new Date().toISOString().slice(0, 10), 3));
  const [limitMinor, setLimitMinor] = useState<number | null>(job.agree.limitMinor);
  const problem = (field: string) => refusal?.fields.find((f) => f.field === field)?.message;
  const answer = async (says: string, more: Record<string, unknown> = {}) => {
    if (!(await desk.act('record-answer', { says, way, who, words, ...more }))) return;
    for (const drop of [dropWho, dropWords]) drop();
  };
  const yes = (offer: OfferId | null) => answer('yes', { offer, ...(signed.trim() ? { signed } : {}) });
  const isUnsafe = estimate?.offers.some((o) => o.unsafe.length > 0) ?? false;
  return (
    <Box component="section" aria-label="The owner’s answer" sx={{ display: 'grid', gap: 1 }}>
      <Typography component="h3" variant="h3">
        The owner says
      </Typography>
      <Box sx={{ display: 'grid', gap: 1 }}>
        <TextField
          size="small"
          label="Who"
          value={who}
          onChange={(e) => setWho(e.target.value)}
          error={Boolean(problem('who'))}
          helperText={problem('who')}
        />
        <ToggleButtonGroup
          exclusive
          size="small"
          value={way}
          aria-label="How it came"
          onChange={(_, next: typeof way | null) => next && setWay(next)}
          sx={{ flexWrap: 'wrap' }}
        >
          {WAYS.map((w) => (
            <ToggleButton key={w.id} value={w.id}>
              {w.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <TextField
        size="small"
        label="In their words"
        value={words}
        multiline
        onChange={(e) => setWords(e.target.value)}
        error={Boolean(problem('words'))}
        helperText={problem('words')}
      />
      {isUnsafe && (
        <TextField
          size="small"
          label="Who signed the warning"
          value={signed}
          onChange={(e) => setSigned(e.target.value)}
          error={Boolean(problem('signed'))}
          helperText={problem('signed') ?? 'For an offer that leaves something dangerous as it is.'}
        />
      )}
      <Box sx={{ display: 'grid', gap: 0.75 }}>
        {(estimate?.offers ?? []).map((o) => (
          <Button
            key={o.id}
            variant={o.id === 'recommended' || estimate!.offers.length === 1 ? 'contained' : 'outlined'}
            disabled={busy}
            onClick={() => void yes(o.id)}
          >
            Yes: {OFFER_TITLES[o.id].toLowerCase()}
            <Box component="span" sx={{ ml: 'auto', fontFamily: fonts.reading }}>
              {moneyText(o.bill.grossMinor, job.currency, locale)}
            </Box>
          </Button>
        ))}
        {!estimate && (
          <Button disabled={busy} onClick={() => void yes(null)}>
            Yes, agreed in words
          </Button>
        )}
        <Box sx={{ display: 'grid', gap: 0.75, gridTemplateColumns: '1fr 1fr' }}>
          <Button disabled={busy} onClick={() => void answer('as-is')}>
            No: back as it is
          </Button>
          <Button disabled={busy} onClick={() => void answer('scrap')}>
            No: scrap it
          </Button>
        </Box>
      </Box>
      {problem('offer') && (
        <Typography variant="body2" role="alert" sx={{ color: 'bench.hazard' }}>
          {problem('offer')}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <DayField
          size="small"
          label="Ask again on"
          day={askOn}
          onDay={setAskOn}
          problem={problem('askOn')}
          sx={{ width: 180 }}
        />
        <Button disabled={busy} onClick={() => void answer('ask-again', { askOn })}>
          Ask then
        </Button>
        <MoneyField
          size="small"
          label="Go ahead up to"
          minor={limitMinor}
          currency={job.currency}
          onMinor={setLimitMinor}
          error={Boolean(problem('limitMinor'))}
          helperText={problem('limitMinor')}
          sx={{ width: 140 }}
        />
        <Button disabled={busy} onClick={() => void answer('limit', { limitMinor })}>
          That is the limit
        </Button>
      </Box>
    </Box>
  );
}
