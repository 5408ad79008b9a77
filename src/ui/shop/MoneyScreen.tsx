'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { LINE_SORTS } from '@/core/money/bill';
import { decimalOf, moneyText, readMoney } from '@/core/money/currency';
import { schools } from '@/knowledge/schools';
import type { DocumentsView, TakingsView } from '@/shop/documents/dto';
import type { TermsView } from '@/shop/terms/dto';
import { useMore } from '../asking/useMore';
import { dtoResolver } from '../forms/dtoResolver';
import { FormText } from '../forms/FormText';
import { MoreOfIt } from '../parts/MoreOfIt';
import { EditSheet } from '../sheet/EditSheet';
import type { EditField } from '../sheet/sheet';
import { Empty, Notice } from '../parts/Notice';
import { send, type Refusal } from '../parts/post';
import { readNumber } from '../parts/readNumber';
import { Reading } from '../parts/Reading';
import { TermList } from '../parts/TermList';
import NextLink from '../theme/NextLink';

const TAXES = [0, 1, 2] as const;

/** What is charged and taxed, how the shop decides, what was taken today, and every paper that was given. */
export function MoneyScreen({
  terms,
  takings,
  documents,
  mayAmend,
}: {
  terms: TermsView;
  takings: TakingsView;
  documents: DocumentsView;
  mayAmend: boolean;
}) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: 'minmax(0, 1fr)' }}>
        <Terms terms={terms} mayAmend={mayAmend} />
        <Schools terms={terms} mayAmend={mayAmend} />
      </Box>
      <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: 'minmax(0, 1fr)' }}>
        <Takings takings={takings} />
        <Documents first={documents} />
      </Box>
    </Box>
  );
}

function Terms({ terms, mayAmend }: { terms: TermsView; mayAmend: boolean }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const { charges: c, taxes, letterhead, currency, locale } = terms;
  const money = (minor: number | null) => (minor === null ? 'not said' : moneyText(minor, currency, locale));
  const rows: [string, string][] = [
    ['Currency, language', `${currency}, ${locale}`],
    ['An hour', money(terms.labourMinor)],
    ['Begun steps of', `${c.stepMinutes} min`],
    ['Looking for the fault', c.diagnosisMinor === 0 ? 'free' : `${money(c.diagnosisMinor)}, dropped with the repair`],
    ['Least that is charged', c.leastMinor === 0 ? 'none' : money(c.leastMinor)],
    ['Cleaner, grease, sealant', money(c.materialsMinor)],
    ['Coming to the machine', c.callOutMinor === 0 ? 'free' : money(c.callOutMinor)],
    ['Deposit', c.deposit100k === 0 ? 'none' : `${c.deposit100k / 1000} % of the least offer`],
    [
      'Taxes',
      taxes.taxes.length === 0
        ? 'none'
        : `${taxes.taxes.map((t) => `${t.label} ${t.per100k / 1000} %`).join(', ')}, ${taxes.included ? 'in the prices' : 'on top'}, rounded ${taxes.perLine ? 'line by line' : 'once'}`,
    ],
    ['We stand for our work', `${c.warrantyDays} days`],
    ['An offer holds', `${c.offerDays} days`],
    ['Asked again after', `${c.askAgainDays} days`],
    ['Before the answer', terms.agreeFirst ? 'nothing is opened further' : 'work may go on'],
    ['Account', letterhead.iban || 'none'],
    ['To be paid within', `${letterhead.payDays} days`],
  ];
  return (
    <Box component="section" aria-label="What is charged" sx={{ display: 'grid', gap: 1 }}>
      <Typography component="h1" variant="h2">
        What is charged
      </Typography>
      <TermList rows={rows} />
      {mayAmend && (
        <Box>
          <Button size="small" onClick={() => setOpen(true)}>
            Change
          </Button>
        </Box>
      )}
      {open && (
        <EditSheet<TermsView>
          title="What is charged"
          fields={termFields(currency)}
          values={termValues(terms)}
          version={terms.version}
          dto={async () => (await import('@/shop/terms/dto')).AmendTermsDto}
          url="/api/v1/shop/terms"
          draft="shop-terms"
          body={(v) => termBody(v as Record<string, string>, currency)}
          current={(s) => ({ values: termValues(s as TermsView), version: (s as TermsView).version })}
          onDone={() => {
            setOpen(false);
            router.refresh();
          }}
          onClose={() => setOpen(false)}
        />
      )}
    </Box>
  );
}

function termFields(currency: string): EditField[] {
  const yesNo = [
    { value: 'yes', label: 'yes' },
    { value: 'no', label: 'no' },
  ];
  return [
    { name: 'currency', label: 'Currency', help: 'ISO 4217; stays once a paper was given', span: 2 },
    { name: 'locale', label: 'Language and land', help: 'such as en-GB', span: 2 },
    { name: 'agreeFirst', label: 'The owner agrees first', sort: 'choice', choices: yesNo, span: 2 },
    { name: 'labourMinor', label: `An hour, ${currency}`, sort: 'number', span: 2 },
    { name: 'stepMinutes', label: 'Begun steps of, minutes', sort: 'number', span: 2 },
    { name: 'leastMinor', label: 'Least charged', sort: 'number', span: 2 },
    { name: 'diagnosisMinor', label: 'Looking for the fault', sort: 'number', span: 2 },
    { name: 'materialsMinor', label: 'Cleaner, grease, sealant', sort: 'number', span: 2 },
    { name: 'callOutMinor', label: 'Coming to the machine', sort: 'number', span: 2 },
    { name: 'deposit100k', label: 'Deposit, per cent', sort: 'number', span: 2 },
    { name: 'warrantyDays', label: 'We stand for it, days', sort: 'number', span: 2 },
    { name: 'offerDays', label: 'An offer holds, days', sort: 'number', span: 2 },
    { name: 'askAgainDays', label: 'Asked again after, days', sort: 'number', span: 2 },
    { name: 'payDays', label: 'Paid within, days', sort: 'number', span: 2 },
    ...TAXES.flatMap((i): EditField[] => [
      { name: `tax${i}`, label: `Tax ${i + 1}`, help: i === 0 ? 'its name on paper; empty for none' : '', span: 2 },
      { name: `rate${i}`, label: `Rate ${i + 1}, %`, sort: 'number', span: 1 },
      {
        name: `on${i}`,
        label: 'On',
        sort: 'choice',
        span: 3,
        choices: [
          { value: 'all', label: 'everything' },
          { value: 'goods', label: 'parts and material only' },
          { value: 'work', label: 'labour and fees only' },
        ],
      },
    ]),
    { name: 'included', label: 'Prices have it in', sort: 'choice', choices: yesNo, span: 2 },
    { name: 'perLine', label: 'Rounded line by line', sort: 'choice', choices: yesNo, span: 2 },
    {
      name: 'rounding',
      label: 'The middle goes',
      sort: 'choice',
      span: 2,
      choices: [
        { value: 'half-even', label: 'to the even' },
        { value: 'half-up', label: 'up' },
      ],
    },
    { name: 'address', label: 'Address on paper', sort: 'long' },
    { name: 'phone', label: 'Phone', span: 3 },
    { name: 'taxNumber', label: 'Tax number', span: 3 },
    { name: 'iban', label: 'IBAN', span: 3 },
    { name: 'bic', label: 'BIC', span: 2 },
    { name: 'country', label: 'Land', help: 'two letters', span: 1 },
    { name: 'footer', label: 'At the foot of every paper' },
  ];
}

const ON = { all: [...LINE_SORTS], goods: ['part', 'material'], work: ['labour', 'fee'] } as const;
const onOf = (on: readonly string[]) =>
  on.length === LINE_SORTS.length ? 'all' : on.includes('part') ? 'goods' : 'work';

function termValues(t: TermsView): Record<string, string> {
  const money = (minor: number) => decimalOf(minor, t.currency);
  return {
    currency: t.currency,
    locale: t.locale,
    agreeFirst: t.agreeFirst ? 'yes' : 'no',
    labourMinor: t.labourMinor === null ? '' : money(t.labourMinor),
    stepMinutes: String(t.charges.stepMinutes),
    leastMinor: money(t.charges.leastMinor),
    diagnosisMinor: money(t.charges.diagnosisMinor),
    materialsMinor: money(t.charges.materialsMinor),
    callOutMinor: money(t.charges.callOutMinor),
    deposit100k: String(t.charges.deposit100k / 1000),
    warrantyDays: String(t.charges.warrantyDays),
    offerDays: String(t.charges.offerDays),
    askAgainDays: String(t.charges.askAgainDays),
    payDays: String(t.letterhead.payDays),
    ...Object.fromEntries(
      TAXES.flatMap((i) => {
        const tax = t.taxes.taxes[i];
        return [
          [`tax${i}`, tax?.label ?? ''],
          [`rate${i}`, tax ? String(tax.per100k / 1000) : ''],
          [`on${i}`, tax ? onOf(tax.on) : 'all'],
        ];
      }),
    ),
    included: t.taxes.included ? 'yes' : 'no',
    perLine: t.taxes.perLine ? 'yes' : 'no',
    rounding: t.taxes.rounding,
    address: t.letterhead.address,
    phone: t.letterhead.phone,
    taxNumber: t.letterhead.taxNumber,
    iban: t.letterhead.iban,
    bic: t.letterhead.bic,
    country: t.letterhead.country,
    footer: t.letterhead.footer,
  };
}

function termBody(v: Record<string, string>, currency: string): object {
  // What is no amount goes as it was typed: the server names the field.
  const money = (text: string) => (text.trim() === '' ? 0 : (readMoney(text, currency) ?? text));
  // Nothing typed is no nought, and what is no number no other: the server names the field.
  const whole = (text: string) => readNumber(text) ?? null;
  const per100k = (text: string) => {
    const percent = whole(text);
    return percent === null ? null : Math.round(1000 * percent);
  };
  return {
    currency: v.currency,
    locale: v.locale,
    agreeFirst: v.agreeFirst === 'yes',
    labourMinor: v.labourMinor!.trim() === '' ? null : (readMoney(v.labourMinor!, currency) ?? v.labourMinor),
    charges: {
      stepMinutes: whole(v.stepMinutes!),
      diagnosisMinor: money(v.diagnosisMinor!),
      leastMinor: money(v.leastMinor!),
      materialsMinor: money(v.materialsMinor!),
      callOutMinor: money(v.callOutMinor!),
      deposit100k: per100k(v.deposit100k!),
      warrantyDays: whole(v.warrantyDays!),
      offerDays: whole(v.offerDays!),
      askAgainDays: whole(v.askAgainDays!),
    },
    taxes: {
      taxes: TAXES.filter((i) => v[`tax${i}`]!.trim() !== '').map((i) => ({
        id: `tax-${i + 1}`,
        label: v[`tax${i}`]!.trim(),
        per100k: per100k(v[`rate${i}`] || '0'),
        on: ON[v[`on${i}`] as keyof typeof ON],
      })),
      included: v.included === 'yes',
      perLine: v.perLine === 'yes',
      rounding: v.rounding,
    },
    letterhead: {
      address: v.address,
      phone: v.phone,
      taxNumber: v.taxNumber,
      iban: v.iban!.replace(/\s/g, '').toUpperCase(),
      bic: v.bic!.replace(/\s/g, '').toUpperCase(),
      country: v.country!.toUpperCase(),
      payDays: whole(v.payDays!),
      footer: v.footer,
    },
  };
}

function Schools({ terms, mayAmend }: { terms: TermsView; mayAmend: boolean }) {
  const router = useRouter();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const choose = async (id: string, side: 'a' | 'b') => {
    const answer = await send('POST', '/api/v1/shop/schools', {
      key: crypto.randomUUID(),
      version: terms.version,
      schools: Object.entries({ ...terms.schools, [id]: side }).map(([name, s]) => ({ id: name, side: s })),
    });
    setRefusal(answer.ok ? null : answer.refusal);
    router.refresh();
  };
  return (
    <Box component="section" aria-label="Schools">
      <Typography component="h2" variant="h2">
        Where good practitioners differ
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1 }}>
        Chosen once; a job may do otherwise, and it stands on its paper.
      </Typography>
      {refusal && <Notice live title={refusal.title} />}
      {schools.map((s) => {
        const side = terms.schools[s.id] ?? s.usual;
        const other = side === 'a' ? 'b' : 'a';
        return (
          <Box key={s.id} sx={{ py: 0.75, borderBottom: '1px solid', borderColor: 'divider' }}>
            <Typography variant="body2">
              {s.question} <strong>{s[side]}</strong>.{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {s.why}
              </Box>
            </Typography>
            {mayAmend && (
              <Button size="small" variant="text" color="inherit" onClick={() => void choose(s.id, other)}>
                Rather: {s[other]}
              </Button>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

/** The field that shows what is wrong with a member of what is sent. */
const fieldOf = (member: string) => (member === 'note' ? 'note' : 'counted');

function Takings({ takings }: { takings: TakingsView }) {
  const router = useRouter();
  const { currency, locale, closed } = takings;
  const money = (minor: number) => moneyText(minor, currency, locale);
  const {
    control,
    handleSubmit,
    setError,
    formState: { isSubmitting },
  } = useForm({
    defaultValues: { counted: '', note: '' },
    resolver: dtoResolver<{ counted: string; note: string }>(
      async () => (await import('@/shop/documents/dto')).CloseDayDto,
      bodyOf,
      ({ counted }) =>
        typeof readMoney(counted, currency) === 'number'
          ? []
          : [{ field: 'counted', message: 'An amount, such as 12.50.' }],
      fieldOf,
    ),
  });
  function bodyOf({ counted, note }: { counted: string; note: string }) {
    return { key: crypto.randomUUID(), day: takings.day, countedMinor: readMoney(counted, currency), note };
  }
  const close = handleSubmit(async (typed) => {
    const answer = await send('POST', '/api/v1/shop/close-day', bodyOf(typed));
    if (answer.ok) return router.refresh();
    const { fields, title } = answer.refusal;
    for (const { field, message } of fields) setError(fieldOf(field), { type: 'server', message });
    if (fields.length === 0) setError('counted', { type: 'server', message: title });
  });
  return (
    <Box component="section" aria-label="Takings" sx={{ display: 'grid', gap: 1 }}>
      <Typography component="h2" variant="h2">
        Taken on {takings.day}
      </Typography>
      {takings.taken.length === 0 && <Empty>Nothing was paid today yet.</Empty>}
      <TermList rows={takings.taken.map((t) => [`${t.how}, ${t.count}`, money(t.minor)])} />
      {closed ? (
        <Typography variant="body2">
          Closed: {money(closed.countedMinor)} in the drawer, {money(closed.expectedMinor)} expected. {closed.note}
        </Typography>
      ) : (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
          <FormText
            control={control}
            name="counted"
            size="small"
            label="Counted in the drawer"
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
          <FormText control={control} name="note" size="small" label="If it differs, why" />
          <Button disabled={isSubmitting} onClick={() => void close()}>
            Close the day
          </Button>
        </Box>
      )}
    </Box>
  );
}

const KINDS: Record<string, string> = {
  estimate: 'estimate',
  order: 'order',
  invoice: 'invoice',
  credit: 'credit note',
  receipt: 'receipt',
  unrepaired: 'unrepaired',
  consent: 'consent',
  label: 'label',
};

function Documents({ first }: { first: DocumentsView }) {
  const list = useMore(first, ({ before }) => (before === null ? null : `/api/v1/documents?before=${before}`));
  const rows = list.pages.flatMap((p) => p.documents);
  return (
    <Box component="section" aria-label="Papers given">
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'baseline' }}>
        <Typography component="h2" variant="h2" sx={{ mr: 'auto' }}>
          Papers given
        </Typography>
        <Button size="small" href="/api/v1/export/documents.csv" download>
          Papers, CSV
        </Button>
        <Button size="small" href="/api/v1/export/payments.csv" download>
          Payments, CSV
        </Button>
      </Box>
      {rows.length === 0 && <Empty>None yet: they are given under Agree and Hand back.</Empty>}
      {rows.map((d) => (
        <Box
          key={d.id}
          sx={{
            display: 'flex',
            gap: 1.5,
            alignItems: 'baseline',
            borderBottom: '1px solid',
            borderColor: 'divider',
            py: 0.4,
          }}
        >
          <Link component={NextLink} href={`/papers/${d.id}`} sx={{ whiteSpace: 'nowrap' }}>
            <Reading>{d.name}</Reading>
          </Link>
          <Typography variant="body2" sx={{ flex: 1, minWidth: 0 }} noWrap>
            {KINDS[d.kind]}
            {d.isCorrected && ', taken back'}, {d.customer}, {d.tag}
          </Typography>
          <Reading>{d.totalMinor === 0 ? '' : moneyText(d.totalMinor, d.currency, first.locale)}</Reading>
        </Box>
      ))}
      <MoreOfIt list={list} label="Older" />
    </Box>
  );
}
