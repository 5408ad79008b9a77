'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRef } from 'react';
import { Controller } from 'react-hook-form';
import { OFFER_TITLES, type OfferId } from '@/core/agree/offers';
import { moneyText } from '@/core/money/currency';
import { addDays } from '@/core/service/days';
import type { ANSWERS } from '@/shop/standing/dto';
import { FormText } from '../forms/FormText';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { allRead } from '../parts/allRead';
import { DayField } from '../parts/DayField';
import { MoneyField } from '../parts/MoneyField';
import { fonts } from '../theme/palette';
import { longText } from '../parts/longText';

const WAYS = [
  { id: 'counter', label: 'at the counter' },
  { id: 'phone', label: 'by phone' },
  { id: 'message', label: 'message' },
  { id: 'paper', label: 'on paper' },
] as const;

/** What the owner says: one press for each answer, with who said it and in what words. */
export function AnswerForm({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const { estimate, locale } = job.agree;
  const { control, submit, setValue } = useDeedForm({
    desk,
    deed: 'record-answer',
    dto: async () => (await import('@/shop/agree/dto')).RecordAnswerDto,
    start: {
      who: job.customer.name,
      words: '',
      way: 'phone' as (typeof WAYS)[number]['id'],
      signed: '',
      askOn: addDays(new Date().toISOString().slice(0, 10), 3),
      limitMinor: job.agree.limitMinor,
      /** Which of the answers was pressed. */
      says: 'yes' as (typeof ANSWERS)[number],
      offer: null as OfferId | null,
    },
    body: ({ says, offer, signed, askOn, limitMinor, ...rest }) => ({
      ...rest,
      says,
      ...(says === 'yes' ? { offer, ...(signed.trim() ? { signed } : {}) } : {}),
      ...(says === 'ask-again' ? { askOn } : {}),
      ...(says === 'limit' ? { limitMinor } : {}),
    }),
    kept: { who: 'answer who', words: 'answer words' },
  });
  const section = useRef<HTMLElement>(null);
  const answer = (says: (typeof ANSWERS)[number], offer: OfferId | null = null) => {
    if (says === 'limit' && !allRead(section.current)) return;
    setValue('says', says);
    setValue('offer', offer);
    submit();
  };
  const isUnsafe = estimate?.offers.some((o) => o.unsafe.length > 0) ?? false;
  return (
    <Box ref={section} component="section" aria-label="The owner’s answer" sx={{ display: 'grid', gap: 1 }}>
      <Typography component="h3" variant="h3">
        The owner says
      </Typography>
      <Box sx={{ display: 'grid', gap: 1 }}>
        <FormText control={control} name="who" size="small" label="Who" />
        <Controller
          control={control}
          name="way"
          render={({ field }) => (
            <ToggleButtonGroup
              exclusive
              size="small"
              value={field.value}
              aria-label="How it came"
              onChange={(_, next: string | null) => next && field.onChange(next)}
              sx={{ flexWrap: 'wrap' }}
            >
              {WAYS.map((w) => (
                <ToggleButton key={w.id} value={w.id}>
                  {w.label}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          )}
        />
      </Box>
      <FormText control={control} name="words" size="small" label="In their words" {...longText()} />
      {isUnsafe && (
        <FormText
          control={control}
          name="signed"
          size="small"
          label="Who signed the warning"
          helperText="For an offer that leaves something dangerous as it is."
        />
      )}
      <Box sx={{ display: 'grid', gap: 0.75 }}>
        {(estimate?.offers ?? []).map((o) => (
          <Button
            key={o.id}
            variant={o.id === 'recommended' || estimate!.offers.length === 1 ? 'contained' : 'outlined'}
            disabled={busy}
            onClick={() => answer('yes', o.id)}
          >
            Yes: {OFFER_TITLES[o.id].toLowerCase()}
            <Box component="span" sx={{ ml: 'auto', fontFamily: fonts.reading }}>
              {moneyText(o.bill.grossMinor, job.currency, locale)}
            </Box>
          </Button>
        ))}
        {!estimate && (
          <Button disabled={busy} onClick={() => answer('yes')}>
            Yes, agreed in words
          </Button>
        )}
        <Box sx={{ display: 'grid', gap: 0.75, gridTemplateColumns: '1fr 1fr' }}>
          <Button disabled={busy} onClick={() => answer('as-is')}>
            No: back as it is
          </Button>
          <Button disabled={busy} onClick={() => answer('scrap')}>
            No: scrap it
          </Button>
        </Box>
      </Box>
      <Controller
        control={control}
        name="offer"
        render={({ fieldState: { error } }) => (
          <>
            {error && (
              <Typography variant="body2" role="alert" sx={{ color: 'bench.hazard' }}>
                {error.message}
              </Typography>
            )}
          </>
        )}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <Controller
          control={control}
          name="askOn"
          render={({ field, fieldState: { error } }) => (
            <DayField
              size="small"
              label="Ask again on"
              day={field.value}
              onDay={field.onChange}
              problem={error?.message}
              sx={{ width: 180 }}
            />
          )}
        />
        <Button disabled={busy} onClick={() => answer('ask-again')}>
          Ask then
        </Button>
        <Controller
          control={control}
          name="limitMinor"
          render={({ field, fieldState: { error } }) => (
            <MoneyField
              size="small"
              label="Go ahead up to"
              minor={field.value}
              currency={job.currency}
              onMinor={field.onChange}
              error={error !== undefined}
              helperText={error?.message}
              sx={{ width: 140 }}
            />
          )}
        />
        <Button disabled={busy} onClick={() => answer('limit')}>
          That is the limit
        </Button>
      </Box>
    </Box>
  );
}
