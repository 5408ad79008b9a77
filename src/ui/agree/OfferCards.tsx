'use client';

import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { OFFER_TITLES, promiseOf, type Offer, type OfferId, type OfferPromise } from '@/core/agree/offers';
import { moneyText } from '@/core/money/currency';
import type { ProposalView } from '@/shop/agree/dto';
import { CountField } from '../parts/CountField';
import { DayField } from '../parts/DayField';
import { MoneyField } from '../parts/MoneyField';
import type { Refusal } from '../parts/post';
import { fonts } from '../theme/palette';
import { promised } from './offerDraft';
import type { OfferDesk } from './useOffer';
import { longText } from '../parts/longText';

const WORDS = longText();

/** Nobody stands for a repair longer than ten years. */
const MOST_DAYS = 3650;

/** What each offer comes to, side by side, and what it leaves undone. */
export function OfferCards({
  offer: { offers, draft, change },
  proposal: { currency, locale },
  disabled,
  problems,
  taken,
}: {
  offer: OfferDesk;
  proposal: ProposalView;
  disabled: boolean;
  problems: Refusal['fields'];
  /** Which one stands agreed. */
  taken: OfferId | null;
}) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: {
          xs: 'minmax(0, 1fr)',
          sm: `repeat(${Math.max(1, offers.length)}, minmax(0, 1fr))`,
        },
      }}
    >
      {offers.map((o) => (
        <Box
          key={o.id}
          component="section"
          aria-label={OFFER_TITLES[o.id]}
          sx={{
            borderTop: '4px solid',
            borderColor: taken === o.id ? 'bench.action' : 'bench.rule',
            bgcolor: 'background.paper',
            p: 1,
          }}
        >
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            {OFFER_TITLES[o.id]}
            {taken === o.id && ', agreed'}
          </Typography>
          <Typography sx={{ fontFamily: fonts.reading, fontSize: '1.35rem', fontWeight: 700 }}>
            {moneyText(o.bill.grossMinor, currency, locale)}
          </Typography>
          <Typography variant="body2" sx={{ color: 'text.secondary', fontSize: '0.86em' }}>
            {o.minutes} min at the bench{o.chargedMinutes !== o.minutes && `, charged as ${o.chargedMinutes}`}
            {o.bill.taxes.length > 0 && `, ${o.bill.taxes.map((t) => t.label).join(' and ')} in it`}
          </Typography>
          <Undone offer={o} lines={draft?.lines ?? []} />
          {draft && offers.length > 1 && (
            <PromiseForm
              title={OFFER_TITLES[o.id]}
              promise={promiseOf(draft, o.id)}
              disabled={disabled}
              problem={(field) => {
                const at = draft.each.findIndex((e) => e.offer === o.id);
                return at < 0 ? undefined : problems.find((p) => p.field === `each[${at}].${field}`)?.message;
              }}
              onChange={(more) => change({ each: promised(draft, o.id, more) })}
            />
          )}
        </Box>
      ))}
    </Box>
  );
}

/** By when this one is done and how long it is stood for: as all of them, until somebody says otherwise. */
function PromiseForm({
  title,
  promise,
  disabled,
  problem,
  onChange,
}: {
  title: string;
  promise: OfferPromise;
  disabled: boolean;
  problem: (field: keyof OfferPromise) => string | undefined;
  onChange: (more: Partial<OfferPromise>) => void;
}) {
  return (
    <Box sx={{ display: 'flex', gap: 0.75, mt: 1, flexWrap: 'wrap' }}>
      <DayField
        size="small"
        label="Ready on"
        spoken={`Ready on: ${title}`}
        day={promise.readyOn}
        disabled={disabled}
        problem={problem('readyOn')}
        onDay={(readyOn) => onChange({ readyOn })}
        sx={{ flex: '1 1 165px' }}
      />
      <CountField
        size="small"
        label="Stood for, days"
        value={promise.warrantyDays}
        least={0}
        most={MOST_DAYS}
        disabled={disabled}
        error={problem('warrantyDays') !== undefined}
        helperText={problem('warrantyDays')}
        onValue={(days) => onChange({ warrantyDays: days ?? 0 })}
        slotProps={{ htmlInput: { 'aria-label': `Stood for, days: ${title}` } }}
        sx={{ flex: '1 1 90px' }}
      />
    </Box>
  );
}

function Undone({
  offer,
  lines,
}: {
  offer: Offer;
  lines: readonly { id: string; label: string; fault: string | null; group: string }[];
}) {
  const inIt = new Set(offer.lines.map((l) => l.line));
  const undone = lines.filter((l) => !inIt.has(l.id) && l.fault !== null && l.group !== 'not');
  const left = undone.filter((l, i) => undone.findIndex((o) => o.fault === l.fault) === i);
  if (left.length === 0) return null;
  return (
    <Typography variant="body2" sx={{ fontSize: '0.86em', mt: 0.5 }}>
      Leaves undone: {left.map((l) => l.label.toLowerCase()).join(', ')}.
      {offer.unsafe.length > 0 && (
        <Box component="strong" sx={{ color: 'bench.hazard', display: 'block' }}>
          Something that can hurt somebody is left: a warning is signed.
        </Box>
      )}
    </Typography>
  );
}

/** Date, discount, deposit and words of the offer. */
export function OfferTermsForm({
  offer: { draft, offers, change },
  proposal: { currency },
  disabled,
  problems,
}: {
  offer: OfferDesk;
  proposal: ProposalView;
  disabled: boolean;
  problems: Refusal['fields'];
}) {
  if (!draft) return null;
  const problem = (field: string) => problems.find((p) => p.field === field)?.message;
  // Several offers have their days on their cards; what they began with is seen where it is refused.
  const isAlike = offers.length < 2 || Boolean(problem('readyOn') ?? problem('warrantyDays'));
  return (
    <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr' }}>
      {isAlike && (
        <>
          <DayField
            size="small"
            label="Ready on"
            day={draft.readyOn}
            disabled={disabled}
            problem={problem('readyOn')}
            onDay={(readyOn) => change({ readyOn })}
          />
          <CountField
            size="small"
            label="We stand for it, days"
            value={draft.warrantyDays}
            least={0}
            most={MOST_DAYS}
            disabled={disabled}
            error={Boolean(problem('warrantyDays'))}
            helperText={problem('warrantyDays')}
            onValue={(days) => change({ warrantyDays: days ?? 0 })}
          />
        </>
      )}
      <MoneyField
        size="small"
        label="Off the whole"
        minor={draft.offMinor === 0 ? null : draft.offMinor}
        currency={currency}
        disabled={disabled}
        error={Boolean(problem('offMinor'))}
        helperText={problem('offMinor')}
        onMinor={(minor) => change({ offMinor: minor ?? 0 })}
      />
      <MoneyField
        size="small"
        label="Deposit"
        minor={draft.depositMinor === 0 ? null : draft.depositMinor}
        currency={currency}
        disabled={disabled}
        error={Boolean(problem('depositMinor'))}
        helperText={problem('depositMinor')}
        onMinor={(minor) => change({ depositMinor: minor ?? 0 })}
      />
      <TextField
        size="small"
        label="To say with it"
        value={draft.words}
        disabled={disabled}
        error={Boolean(problem('words'))}
        helperText={problem('words')}
        onChange={(e) => change({ words: e.target.value })}
        {...WORDS}
        sx={{ ...WORDS.sx, gridColumn: '1 / -1' }}
      />
    </Box>
  );
}
