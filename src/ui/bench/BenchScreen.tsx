'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { places, waitKinds } from '@/knowledge/bench';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { dayWords } from '../parts/dayWords';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { leftWords, useNow } from '../parts/useNow';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';
import { TimeStrip } from './TimeStrip';

const REFRESH_MS = 20_000;

/** The day: one strip per machine on the premises, grouped by what it waits for. */
export function BenchScreen({ view }: { view: BenchView }) {
  const router = useRouter();
  const now = useNow(view.now);
  useEffect(() => {
    const timer = setInterval(() => router.refresh(), REFRESH_MS);
    return () => clearInterval(timer);
  }, [router]);
  const groups = group(view.strips, now);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        <Typography component="h1" variant="h1">
          Bench
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {view.strips.length} machine{view.strips.length === 1 ? '' : 's'} on the premises
        </Typography>
        <Button component={NextLink} href="/take-in" variant="contained" sx={{ ml: 'auto' }}>
          Take a machine in
        </Button>
      </Box>
      {view.strips.length === 0 && <Empty>No machine is here. Take one in: g, then t.</Empty>}
      {view.strips.length > 0 && <DayHeads view={view} />}
      {groups.map((g) => (
        <Box component="section" key={g.label} aria-label={g.label}>
          <Typography
            component="h2"
            variant="h3"
            sx={{ borderBottom: '2px solid', borderColor: 'text.primary', pb: 0.25 }}
          >
            {g.label}
          </Typography>
          {g.strips.map((s) => (
            <Strip key={s.job} strip={s} view={view} now={now} />
          ))}
        </Box>
      ))}
    </Box>
  );
}

const COLUMNS = { xs: '1fr', md: '300px minmax(220px, 1fr) minmax(260px, 1.5fr)' };

function DayHeads({ view }: { view: BenchView }) {
  return (
    <Box aria-hidden sx={{ display: { xs: 'none', md: 'grid' }, gridTemplateColumns: COLUMNS, columnGap: 2, mb: -1.5 }}>
      <span />
      <span />
      <Box sx={{ display: 'flex', fontFamily: fonts.label, color: 'text.secondary', fontSize: '0.9rem' }}>
        {view.days.slice(0, -1).map((d, i) => (
          <Box key={d.date} sx={{ flex: 1, pl: 0.5 }}>
            {i === 0
              ? 'today'
              : new Date(`${d.date}T12:00:00Z`).toLocaleDateString('en', {
                  weekday: 'short',
                  day: 'numeric',
                  timeZone: 'UTC',
                })}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Strip({ strip, view, now }: { strip: BenchStrip; view: BenchView; now: number }) {
  const href = `/jobs/${strip.job}`;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: COLUMNS,
        columnGap: 2,
        rowGap: 0.5,
        alignItems: 'center',
        borderBottom: '1px solid',
        borderColor: 'divider',
        py: 0.75,
      }}
    >
      <Button
        component={NextLink}
        href={href}
        sx={{ justifyContent: 'space-between', textAlign: 'left', lineHeight: 1.2, gap: 1 }}
        aria-label={`${strip.next?.text ?? 'Open'}, ${strip.tag}`}
      >
        <span>{strip.next?.text ?? 'Open the job'}</span>
        {strip.next && <Reading>{Math.ceil(strip.next.minutes)} min</Reading>}
      </Button>
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="body2" sx={{ lineHeight: 1.3 }}>
          <Link
            component={NextLink}
            href={`/machines/${strip.tag}`}
            sx={{ fontFamily: fonts.reading, fontSize: '0.92em', fontWeight: 700 }}
          >
            {strip.tag}
          </Link>{' '}
          {strip.maker} {strip.model}, {strip.owner}
        </Typography>
        <Typography
          variant="body2"
          sx={{
            color: strip.late ? 'bench.brass' : 'text.secondary',
            fontWeight: strip.late ? 700 : 400,
            lineHeight: 1.3,
          }}
        >
          {strip.late
            ? `late, was promised for ${dayWords(strip.promisedOn, view.today)}`
            : `promised for ${dayWords(strip.promisedOn, view.today)}`}
          {strip.place !== 'bench' && `, ${places.find((p) => p.id === strip.place)?.label.toLowerCase()}`}
          {strip.wait &&
            `, ${waitLabel(strip.wait.kind).toLowerCase()}${strip.wait.what ? ` (${strip.wait.what})` : ''} ${leftWords(strip.wait.endsAt, now)}`}
        </Typography>
      </Box>
      <TimeStrip strip={strip} view={view} now={now} />
    </Box>
  );
}

function waitLabel(kind: string): string {
  return waitKinds.find((w) => w.id === kind)?.label ?? kind;
}

function group(strips: BenchStrip[], now: number): { label: string; strips: BenchStrip[] }[] {
  const over = (s: BenchStrip) => s.wait !== null && Date.parse(s.wait.endsAt) <= now;
  const rows: [string, (s: BenchStrip) => boolean][] = [
    ['Wait is over', over],
    ['Waits for hands', (s) => !s.wait && s.stage !== 'hand-back'],
    ['Waits for its owner', (s) => !s.wait && s.stage === 'hand-back'],
    ['Dries or cures', (s) => !over(s) && ['drying', 'soaking', 'glue'].includes(s.wait?.kind ?? '')],
    ['Waits for a part', (s) => !over(s) && s.wait?.kind === 'part'],
    ['Waits for an answer', (s) => !over(s) && s.wait?.kind === 'answer'],
  ];
  return rows.map(([label, belongs]) => ({ label, strips: strips.filter(belongs) })).filter((g) => g.strips.length > 0);
}
