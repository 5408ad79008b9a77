'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { moneyText } from '@/core/money/currency';
import { byWords, spanWords } from '@/core/service/dueWords';
import { merged } from '@/core/letters/mergeFields';
import { knowledge } from '@/knowledge';
import type { CustomerListView } from '@/shop/customers/dto';
import type { RenewedFeed, RoundGroup, RoundsAsked, RoundsView } from '@/shop/rounds/dto';
import { useMore } from '../asking/useMore';
import { MoreOfIt } from '../parts/MoreOfIt';
import { Chooser } from '../parts/Chooser';
import { Empty, Notice } from '../parts/Notice';
import { send, type Refusal } from '../parts/post';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { PartsToHave } from './PartsToHave';
import { NOT_READ, versionOf } from './versionOf';
import { VisitDay } from './VisitDay';
import { longText } from '../parts/longText';
import { useGo } from '../theme/useGo';

const AHEAD = [
  { days: 0, label: 'due by today' },
  { days: 30, label: 'within a month' },
  { days: 90, label: 'within three months' },
  { days: 365, label: 'within a year' },
];

/** What falls due, customer by customer: one visit serves all their machines. */
export function RoundsScreen({
  first,
  asked,
  only,
}: {
  first: RoundsView;
  asked: RoundsAsked;
  /** The customer who is looked at alone, and where their machines stand. */
  only: { id: number; name: string; sites: { id: number; label: string }[] } | null;
}) {
  const router = useGo();
  const list = useMore(first, (page) => page.after && `/api/v1/rounds?${queryOf(asked)}&after=${page.after}`);
  const [feed, setFeed] = useState<string | null>(null);
  const groups = list.pages.flatMap((p) => p.groups);
  const { ahead, kind = '', order = 'day' } = asked;
  const show = (more: { [K in keyof RoundsAsked]?: RoundsAsked[K] | undefined }) =>
    router.push(`/rounds?${queryOf({ ...asked, ...more })}`);
  const renew = async (scope: 'shop' | 'person') => {
    const made = await send<RenewedFeed>('POST', '/api/v1/rounds/feed', { key: crypto.randomUUID(), scope });
    if (made.ok) setFeed(`${window.location.origin}${made.value.path}`);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Typography component="h1" variant="h1" sx={{ mr: 1 }}>
          Rounds
        </Typography>
        <TextField
          select
          size="small"
          label="Due"
          value={ahead}
          onChange={(e) => show({ ahead: Number(e.target.value) })}
          sx={{ width: 190 }}
        >
          {AHEAD.map((a) => (
            <MenuItem key={a.days} value={a.days}>
              {a.label}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label="Kind"
          value={kind}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          onChange={(e) => show({ kind: e.target.value || undefined })}
          sx={{ width: 250 }}
        >
          <MenuItem value="">every kind</MenuItem>
          {knowledge.kinds.map((k) => (
            <MenuItem key={k.id} value={k.id}>
              {k.label}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label="First"
          value={order}
          onChange={(e) => show({ order: e.target.value as 'day' | 'cost' })}
          sx={{ width: 235 }}
        >
          <MenuItem value="day">what is due first</MenuItem>
          <MenuItem value="cost">what costs most to leave</MenuItem>
        </TextField>
        <Whose only={only} site={asked.site ?? null} onShow={show} />
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', ml: { md: 'auto' } }}>
          <Button size="small" component="a" href={`/api/v1/rounds/letters.pdf?${queryOf(asked)}`} target="_blank">
            Letters to print
          </Button>
          <Button size="small" onClick={() => void renew('shop')}>
            Address for a calendar
          </Button>
          <Button size="small" onClick={() => void renew('person')}>
            One of my own jobs
          </Button>
        </Box>
      </Box>
      {feed && (
        <TextField
          size="small"
          label="Give it to a calendar; whoever has it can read it. Shown once, the one before is closed."
          value={feed}
          slotProps={{
            htmlInput: { readOnly: true, onFocus: (e: React.FocusEvent<HTMLInputElement>) => e.target.select() },
          }}
        />
      )}
      <PartsToHave key={ahead} ahead={ahead} />
      {groups.length === 0 && <Empty>Nothing falls due by {first.until}.</Empty>}
      {groups.map((g) => (
        <Group key={g.customer.id} group={g} view={first} />
      ))}
      <MoreOfIt list={list} label="More" />
    </Box>
  );
}

/** What is asked, as an address has it; the page after which it goes on is not part of it. */
const queryOf = ({ ahead, kind, customer, site, order }: { [K in keyof RoundsAsked]?: RoundsAsked[K] | undefined }) =>
  Object.entries({ ahead, kind, customer, site, order })
    .flatMap(([name, value]) => (value === undefined ? [] : [`${name}=${value}`]))
    .join('&');

/** One customer alone, and one of their places: for the day on which somebody goes there. */
function Whose({
  only,
  site,
  onShow,
}: {
  only: { id: number; name: string; sites: { id: number; label: string }[] } | null;
  site: number | null;
  onShow: (more: { customer?: number | undefined; site?: number | undefined }) => void;
}) {
  if (only === null)
    return (
      <Box sx={{ width: 230 }}>
        <Chooser<CustomerListView>
          label="Whose"
          url={(q) => `/api/v1/customers?q=${encodeURIComponent(q)}`}
          keyOf={(c) => c.id}
          onChoose={(c) => onShow({ customer: c.id })}
          nothing="No such customer."
          row={(c) => (
            <>
              {c.name} <Reading>{c.phone}</Reading>
            </>
          )}
        />
      </Box>
    );
  return (
    <>
      <Chip label={only.name} onDelete={() => onShow({ customer: undefined, site: undefined })} />
      {only.sites.length > 0 && (
        <TextField
          select
          size="small"
          label="Where"
          value={site ?? ''}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          onChange={(e) => onShow({ site: Number(e.target.value) || undefined })}
          sx={{ width: 200 }}
        >
          <MenuItem value="">every place</MenuItem>
          {only.sites.map((s) => (
            <MenuItem key={s.id} value={s.id}>
              {s.label}
            </MenuItem>
          ))}
        </TextField>
      )}
    </>
  );
}

function Group({ group: { customer, lines, weekMinor }, view }: { group: RoundGroup; view: RoundsView }) {
  const [open, setOpen] = useState(false);
  const money = (minor: number) => moneyText(minor, view.currency, view.locale);
  const machines = new Set(lines.map((l) => l.machine)).size;
  return (
    <Box
      component="section"
      aria-label={customer.name}
      sx={{ borderTop: '2px solid', borderColor: 'bench.soft', pt: 0.5 }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'baseline' }}>
        <Typography component="h2" variant="h3">
          <Link component={NextLink} href={`/customers/${customer.id}`}>
            {customer.name}
          </Link>
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {customer.phone && `${customer.phone}, `}
          {machines === 1 ? 'one machine' : `${machines} machines`}
          {weekMinor > 0 && `; to wait another week costs about ${money(weekMinor)}`}
        </Typography>
        <VisitDay customer={customer} />
        {customer.noLetters ? (
          <Typography variant="body2" sx={{ ml: 'auto', color: 'text.secondary' }}>
            wants no letters
          </Typography>
        ) : (
          <Button
            size="small"
            variant="text"
            color="inherit"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            sx={{ ml: 'auto' }}
          >
            write to them
          </Button>
        )}
      </Box>
      {open && <Letter customer={customer} lines={lines} view={view} onDone={() => setOpen(false)} />}
      {lines.map((l) => (
        <Box
          key={`${l.machine} ${l.item}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '92px 1fr', sm: '96px 92px minmax(0, 1.1fr) minmax(0, 1.4fr) 110px' },
            columnGap: 1.5,
            alignItems: 'baseline',
            borderBottom: '1px solid',
            borderColor: 'divider',
            py: 0.4,
          }}
        >
          <Reading strong={l.pastDays > 0}>{l.dueOn}</Reading>
          <Link component={NextLink} href={`/machines/${l.tag}`}>
            <Reading>{l.tag}</Reading>
          </Link>
          <Typography variant="body2" noWrap>
            {l.model}
            {l.site && `, ${l.site}`}
          </Typography>
          <Typography variant="body2">
            {l.label}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {l.pastDays > 0 && `, ${l.pastDays} days past`}
              {l.early !== null && l.early !== l.late && `, ${spanWords({ ...l, on: l.dueOn })}`}
              {byWords(l.by) && `, ${byWords(l.by)}`}
              {l.lastDoneOn === null && ', never known to be done'}
              {l.openJob !== null && ', is here now'}
            </Box>
          </Typography>
          <Typography variant="body2" sx={{ color: 'text.secondary', textAlign: { sm: 'right' } }}>
            {l.weekMinor !== null && l.weekMinor > 0 && `${money(l.weekMinor)} a week`}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

function Letter({
  customer,
  lines,
  view,
  onDone,
}: {
  customer: RoundGroup['customer'];
  lines: RoundGroup['lines'];
  view: RoundsView;
  onDone: () => void;
}) {
  const tags = [...new Set(lines.map((l) => l.tag))];
  const fields = {
    owner: customer.name,
    machines: tags
      .map((tag) => {
        const own = lines.filter((l) => l.tag === tag);
        const items = own.map((l) => `${l.label.toLowerCase()}, ${l.pastDays > 0 ? 'now' : l.dueOn}`);
        return `- ${own[0]!.model} (${tag}): ${items.join('; ')}`;
      })
      .join('\n'),
    shop: view.letter.shop,
    phone: view.letter.phone,
    date: view.today,
  };
  const [words, setWords] = useState(() => merged(view.letter.words, fields));
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const go = async () => {
    setBusy(true);
    const version = await versionOf(customer.id).catch(() => null);
    if (version === null) {
      setBusy(false);
      return setRefusal(NOT_READ);
    }
    const sent = await send('POST', `/api/v1/customers/${customer.id}/send-due`, {
      key: crypto.randomUUID(),
      version,
      subject: merged(view.letter.subject, fields),
      words,
    });
    setBusy(false);
    if (sent.ok) onDone();
    else setRefusal(sent.refusal);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, my: 1, maxWidth: 640 }}>
      {refusal && <Notice live title={refusal.fields[0]?.message ?? refusal.title} />}
      <TextField
        size="small"
        label={customer.email ? `To ${customer.email}` : 'No address on their card'}
        value={words}
        {...longText()}
        onChange={(e) => setWords(e.target.value)}
      />
      <Box>
        <Button size="small" variant="contained" disabled={busy} onClick={() => void go()}>
          Send
        </Button>
      </Box>
    </Box>
  );
}
