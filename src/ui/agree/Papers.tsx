'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { moneyText } from '@/core/money/currency';
import { schools } from '@/knowledge/schools';
import type { JobDesk } from '../job/useJob';
import { ask } from '../asking/ask';
import type { JobFacts } from '@/shop/jobView/dto';
import { MoneyField } from '../parts/MoneyField';
import { dayAt } from '../parts/instants';
import { ShownKey } from '../parts/Key';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';

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
  const router = useRouter();
  const [why, setWhy] = useState('');
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
            {taking === d.id && !back && (
              <Box sx={{ display: 'flex', gap: 1 }}>
                <TextField
                  size="small"
                  label="Why it is taken back"
                  value={why}
                  onChange={(e) => setWhy(e.target.value)}
                  error={Boolean(desk.refusal?.fields.some((f) => f.field === 'why'))}
                />
                <Button
                  size="small"
                  disabled={busy}
                  onClick={() =>
                    void desk
                      .act('issue-document', { kind: 'credit', corrects: d.id, why })
                      .then((done) => done && setTaking(null))
                  }
                >
                  Credit note
                </Button>
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

/** Taking what is paid, with the change for cash. */
export function Payment({ desk }: { desk: JobDesk }) {
  const { job, busy, refusal } = desk;
  const { agree } = job;
  const owed = agree.owedMinor;
  const [how, setHow] = useState<'cash' | 'card' | 'transfer'>('card');
  const [amount, setAmount] = useState<number | null | undefined>(undefined);
  const [given, setGiven] = useState<number | null>(null);
  const money = (minor: number) => moneyText(minor, job.currency, agree.locale);
  const amountMinor = amount === undefined ? owed : amount;
  const problem = (field: string) => refusal?.fields.find((f) => f.field === field)?.message;
  const take = async () => {
    const body = { how, amountMinor, ...(how === 'cash' && given !== null ? { givenMinor: given } : {}) };
    if (!(await desk.act('take-payment', body))) return;
    setAmount(undefined);
    setGiven(null);
  };
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
      {owed !== 0 && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
          <TextField select size="small" label="How" value={how} onChange={(e) => setHow(e.target.value as typeof how)}>
            <MenuItem value="card">card, own terminal</MenuItem>
            <MenuItem value="cash">cash</MenuItem>
            <MenuItem value="transfer">transfer</MenuItem>
          </TextField>
          <MoneyField
            size="small"
            label="Amount"
            minor={amountMinor}
            currency={job.currency}
            onMinor={setAmount}
            error={Boolean(problem('amountMinor'))}
            helperText={problem('amountMinor')}
            sx={{ width: 130 }}
          />
          {how === 'cash' && (
            <MoneyField
              size="small"
              label="Handed over"
              minor={given}
              currency={job.currency}
              onMinor={setGiven}
              error={Boolean(problem('givenMinor'))}
              helperText={
                given !== null && amountMinor !== null && given >= amountMinor
                  ? `back: ${money(given - amountMinor)}`
                  : problem('givenMinor')
              }
              sx={{ width: 130 }}
            />
          )}
          <Button disabled={busy || !amountMinor} onClick={() => void take()}>
            Taken
          </Button>
        </Box>
      )}
    </Box>
  );
}
