'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { waitKinds } from '@/knowledge/counter';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { benchGroups } from '../bench/benchGroups';
import { useLiveBench } from '../bench/useLiveBench';
import { dayWords } from '../parts/dayWords';
import { momentWords, timeAt } from '../parts/instants';
import { leftWords, useNow } from '../parts/useNow';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';

/** The Bench for a screen across the room: no buttons, large type, late and finished waits plain to see. */
export function WallScreen({ view: initial }: { view: BenchView }) {
  const { view, live } = useLiveBench(initial);
  const now = useNow(view.now, 5000);
  const groups = benchGroups(view, null).filter((g) => g.strips.length > 0);
  // As large as two columns of all strips allow, so that it reads across the room.
  const rows = (view.strips.length + groups.length * 0.5) / 2 + 0.8;
  const unit = `clamp(15px, min(2.3vw, ${(34 / rows).toFixed(2)}vh), 64px)`;
  return (
    <Box
      component="main"
      sx={{
        '--unit': unit,
        minHeight: '100vh',
        px: '2vw',
        py: '1.5vh',
        display: 'flex',
        flexDirection: 'column',
        gap: '1vh',
      }}
    >
      <Box
        sx={{
          display: 'flex',
          alignItems: 'baseline',
          gap: '2vw',
          borderBottom: '4px solid',
          borderColor: 'text.primary',
        }}
      >
        <Typography
          component="h1"
          sx={{ fontFamily: fonts.label, fontWeight: 600, fontSize: 'clamp(22px, 3vw, 54px)' }}
        >
          Bench
        </Typography>
        <Box role="status" sx={{ color: 'bench.brass', fontSize: 'clamp(14px, 1.6vw, 28px)', fontWeight: 700 }}>
          {live ? '' : 'Line lost: may be old'}
        </Box>
        <Link component={NextLink} href="/" sx={{ ml: 'auto', fontSize: 'clamp(14px, 1.3vw, 24px)' }}>
          Back to the bench
        </Link>
        <Box
          component="span"
          suppressHydrationWarning
          sx={{ fontFamily: fonts.reading, fontSize: 'clamp(20px, 2.6vw, 48px)' }}
        >
          {timeAt(new Date(now).toISOString(), view.zone)}
        </Box>
      </Box>
      {groups.length === 0 && (
        <Typography sx={{ fontSize: 'clamp(18px, 2.4vw, 44px)', mt: '4vh' }}>No machine is here.</Typography>
      )}
      <Box sx={{ columns: { md: 2 }, columnGap: '3vw' }}>
        {groups.map((g) => (
          <Box component="section" key={g.id} aria-label={g.label} sx={{ mb: '1.6vh' }}>
            <Typography
              component="h2"
              sx={{
                fontFamily: fonts.label,
                fontWeight: 600,
                fontSize: 'calc(var(--unit) * 0.72)',
                color: 'text.secondary',
              }}
            >
              {g.label}
            </Typography>
            {g.strips.map((s) => (
              <WallStrip key={s.job} strip={s} view={view} now={now} />
            ))}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function WallStrip({ strip, view, now }: { strip: BenchStrip; view: BenchView; now: number }) {
  const { wait } = strip;
  const over = wait?.rang ?? false;
  const label = wait && (waitKinds.find((w) => w.id === wait.kind)?.label ?? wait.kind);
  return (
    <Box
      sx={{
        breakInside: 'avoid',
        borderTop: '1px solid',
        borderColor: 'divider',
        borderLeft: '10px solid',
        borderLeftColor: strip.late || over ? 'bench.brassFill' : 'transparent',
        pl: '0.8vw',
        py: '0.7vh',
      }}
    >
      <Box
        sx={{
          display: 'flex',
          gap: '1vw',
          alignItems: 'baseline',
          fontSize: 'var(--unit)',
          lineHeight: 1.15,
        }}
      >
        <Box component="span" sx={{ fontFamily: fonts.reading, fontWeight: 700, whiteSpace: 'nowrap' }}>
          {strip.tag}
        </Box>
        <Box component="span" sx={{ fontFamily: fonts.label, fontWeight: 600, flex: 1 }}>
          {wait && !over ? `${label}${wait.what ? `: ${wait.what}` : ''}` : (strip.next?.text ?? 'Open the job')}
        </Box>
        <Box component="span" sx={{ fontFamily: fonts.reading, whiteSpace: 'nowrap' }}>
          {wait && !over ? leftWords(wait.endsAt, now) : strip.next ? `${Math.ceil(strip.next.minutes)} min` : ''}
        </Box>
      </Box>
      <Box
        sx={{
          fontSize: 'calc(var(--unit) * 0.62)',
          color: strip.late ? 'bench.brass' : 'text.secondary',
          fontWeight: strip.late ? 700 : 400,
        }}
      >
        {strip.owner}
        {strip.person ? `, ${strip.person.name}` : ''}
        {strip.late
          ? `, late since ${dayWords(strip.promisedOn, view.today)}`
          : `, for ${dayWords(strip.promisedOn, view.today)}`}
        {wait &&
          (over ? `, ${label!.toLowerCase()} is over` : `, until ${momentWords(wait.endsAt, view.today, view.zone)}`)}
      </Box>
    </Box>
  );
}
