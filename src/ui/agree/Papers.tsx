'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useHotkeys } from 'react-hotkeys-hook';
import { decimalOf, moneyText, readMoney } from '@/core/money/currency';
import { schools } from '@/knowledge/schools';
import { FormText } from '../forms/FormText';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { ask } from '../asking/ask';
import type { JobFacts } from '@/shop/jobView/dto';
import { dayAt } from '../parts/instants';
import { ShownKey } from '../parts/Key';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { useGo } from '../theme/useGo';

const KINDS = {
  estimate: 'Estimate',
  order: 'Order confirmed',
  invoice: 'Invoice',
  unrepaired: 'Returned unrepaired',
  consent: 'Consent to bridge',
  label: 'Label',
} as const;
type Issued = keyof typeof KINDS;

/** Papers of the job: given once under a number, then only shown and printed. */
export function Papers({ desk, kinds }: { desk: JobDesk; kinds: readonly Issued[] }) {
  const { job, busy } = desk;
  const { agree } = job;
  const router = useGo();
  const [taking, setTaking] = useState<number | null>(null);
  const money = (minor: number) => moneyText(minor, job.currency, agree.locale);
  const known = new Set(agree.documents.map((d) => d.id));
  const give = async (kind: Issued) => {
    if (!(await desk.act('issue-document', { kind }))) return;
    const now = await ask<JobFacts>(`/api/v1/jobs/${job.id}/facts`)
      // It is given, and the line brings it into the list below in a moment.
      .catch(() => null);
    const given = now?.agree.documents.filter((d) => !known.has(d.id)).at(-1);
    if (given) router.push(`/papers/${given.id}`);
  };
  useHotkeys('alt+e', () => void give('estimate'), {
    enabled: !busy && kinds.includes('estimate') && agree.estimate !== null,
    enableOnFormTags: true,
    preventDefault: true,
  });
  const isInterlock = job.proved.some((f) => schools.find((s) => s.id === 'interlock')!.faults!.includes(f));
  const offered = kinds.filter((k) => (k === 'consent' || k === 'label' ? isInterlock : true));
  return (
    <Box component="section" aria-label="Papers" sx={{ display: 'grid', gap: 0.75 }}>
      <Typography component="h3" variant="h3">
        Papers
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {offered.map((k) => (
          <Button key={k} size="small" disabled={busy} onClick={() => void give(k)}>
            {KINDS[k]}
            {k === 'estimate' && <ShownKey>Alt E</ShownKey>}
          </Button>
        ))}
      </Box>
      {agree.documents.map((d) => {
        const back = agree.documents.find((c) => c.corrects === d.id);
        return (
          <Box key={d.id} sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}>
            <Link component={NextLink} href={`/papers/${d.id}`}>
              <Reading>{d.name}</Reading>
            </Link>
            <Typography variant="body2">
              {KINDS[d.kind as Issued] ?? (d.kind === 'credit' ? 'Credit note' : 'Receipt')}, {dayAt(d.at, job.zone)}
              {d.totalMinor !== 0 && `, ${money(d.totalMinor)}`}
              {back && `, taken back by ${back.name}`}
            </Typography>
            {d.kind === 'invoice' && !back && taking !== d.id && (
              <Button size="small" variant="text" color="inherit" onClick={() => setTaking(d.id)}>
                take back
              </Button>
            )}
            {taking === d.id && !back && <TakeBack desk={desk} invoice={d.id} onDone={() => setTaking(null)} />}
          </Box>
        );
      })}
    </Box>
  );
}

/** An invoice is taken back by a credit note, with a reason. */
function TakeBack({ desk, invoice, onDone }: { desk: JobDesk; invoice: number; onDone: () => void }) {
  const { control, submit } = useDeedForm({
    desk,
    deed: 'issue-document',
    dto: async () => (await import('@/shop/documents/dto')).IssueDocumentDto,
    start: { why: '' },
    body: ({ why }) => ({ kind: 'credit', corrects: invoice, why }),
    onDone,
  });
  return (
    <Box sx={{ display: 'flex', gap: 1 }}>
      <FormText control={control} name="why" size="small" label="Why it is taken back" />
      <Button size="small" disabled={desk.busy} onClick={submit}>
        Credit note
      </Button>
    </Box>
  );
}

/** What was paid and is owed; taking what is paid, with the change for cash. */
export function Payment({ desk }: { desk: JobDesk }) {
  const { agree, currency } = desk.job;
  const owed = agree.owedMinor;
  const money = (minor: number) => moneyText(minor, currency, agree.locale);
  if (owed === null && agree.paidMinor === 0) return null;
  return (
    <Box component="section" aria-label="Payment" sx={{ display: 'grid', gap: 0.75 }}>
      <Typography component="h3" variant="h3">
        Payment
      </Typography>
      <Typography variant="body2">
        {owed === null ? '' : owed === 0 ? 'All is paid. ' : `Owed: ${money(owed)}. `}
        {agree.paidMinor > 0 && `Paid so far: ${money(agree.paidMinor)}.`}
      </Typography>
      {owed !== 0 && <TakePayment key={`${owed} ${agree.paidMinor}`} desk={desk} />}
    </Box>
  );
}

const NO_AMOUNT = 'An amount, such as 12.50.';

function TakePayment({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const { currency, agree } = job;
  const read = (typed: string) => readMoney(typed, currency);
  const { control, submit } = useDeedForm({
    desk,
    deed: 'take-payment',
    dto: async () => (await import('@/shop/documents/dto')).TakePaymentDto,
    start: {
      how: 'card' as 'cash' | 'card' | 'transfer',
      amount: agree.owedMinor === null ? '' : decimalOf(agree.owedMinor, currency),
      given: '',
    },
    body({ how, amount, given }) {
      const givenMinor = how === 'cash' ? read(given) : null;
      return { how, amountMinor: read(amount), ...(typeof givenMinor === 'number' ? { givenMinor } : {}) };
    },
    unread: ({ how, amount, given }) => [
      ...(typeof read(amount) === 'number' ? [] : [{ field: 'amount', message: NO_AMOUNT }]),
      ...(how === 'cash' && read(given) === undefined ? [{ field: 'given', message: NO_AMOUNT }] : []),
    ],
    fieldOf: (member) => ({ amountMinor: 'amount', givenMinor: 'given' })[member] ?? member,
  });
  const [how, amount, given] = useWatch({ control, name: ['how', 'amount', 'given'] });
  const [owed, handed] = [read(amount), read(given)];
  const change =
    typeof owed === 'number' && typeof handed === 'number' && handed >= owed
      ? `back: ${moneyText(handed - owed, currency, agree.locale)}`
      : undefined;
  const decimal = { htmlInput: { inputMode: 'decimal' as const } };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}
    >
      <FormText control={control} name="how" select size="small" label="How">
        <MenuItem value="card">card, own terminal</MenuItem>
        <MenuItem value="cash">cash</MenuItem>
        <MenuItem value="transfer">transfer</MenuItem>
      </FormText>
      <FormText control={control} name="amount" size="small" label="Amount" slotProps={decimal} sx={{ width: 130 }} />
      {how === 'cash' && (
        <FormText
          control={control}
          name="given"
          size="small"
          label="Handed over"
          helperText={change}
          slotProps={decimal}
          sx={{ width: 130 }}
        />
      )}
      <Button type="submit" disabled={busy}>
        Taken
      </Button>
    </Box>
  );
}
