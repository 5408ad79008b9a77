'use client';

import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { useId } from 'react';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { instantAt, timeAt } from '../parts/instants';
import { fonts } from '../theme/palette';
import { dayScale } from './dayScale';

const WIDTH = 480;
const HEIGHT = 30;

/** One machine along time: hands-on solid, waiting hatched up to the moment it ends, the promised day's end as a flag. */
export function TimeStrip({ strip, view, now }: { strip: BenchStrip; view: BenchView; now: number }) {
  const { bench } = useTheme().vars!.palette;
  const hatch = useId();
  const scale = dayScale(
    view.days.map((d) => Date.parse(d.startsAt)),
    now,
  );
  const x = (t: number) => scale.x(t) * WIDTH;
  const promised = view.days.findIndex((d) => d.date === strip.promisedOn);
  const flag =
    promised >= 0 && promised < view.days.length - 1 ? x(Date.parse(view.days[promised + 1]!.startsAt)) - 1.5 : null;
  const workFrom = strip.wait ? Math.max(now, Date.parse(strip.wait.endsAt)) : now;
  const work = strip.next ? Math.max(4, x(workFrom + strip.next.minutes * 60_000) - x(workFrom)) : 0;
  const ends = strip.wait && x(Date.parse(strip.wait.endsAt));
  return (
    <Box sx={{ position: 'relative', minWidth: 0 }}>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        height={HEIGHT}
        preserveAspectRatio="none"
        role="img"
        aria-label={sentence(strip, view.zone)}
      >
        <defs>
          <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="7" height="7" fill={bench.well} />
            <line x1="0" y1="0" x2="0" y2="7" stroke={bench.soft} strokeWidth="2.4" />
          </pattern>
        </defs>
        {scale.hours.map(({ at }) => (
          <line key={at} x1={x(at)} x2={x(at)} y1="0" y2={HEIGHT} stroke={bench.rule} strokeWidth="0.5" />
        ))}
        {view.days.map((d) => (
          <line
            key={d.date}
            x1={x(Date.parse(d.startsAt))}
            x2={x(Date.parse(d.startsAt))}
            y1="0"
            y2={HEIGHT}
            stroke={bench.rule}
            strokeWidth="1"
          />
        ))}
        {strip.wait && (
          <rect
            x={x(Date.parse(strip.wait.startedAt))}
            width={Math.max(2, ends! - x(Date.parse(strip.wait.startedAt)))}
            y="7"
            height="16"
            fill={`url(#${hatch})`}
            stroke={bench.soft}
            strokeWidth="1"
          />
        )}
        {work > 0 && <rect x={x(workFrom)} width={work} y="5" height="20" fill={bench.action} />}
        {flag !== null && (
          <path
            d={`M${flag} 2V28M${flag} 2h-9l3 4-3 4h9`}
            fill={bench.brassFill}
            stroke={bench.brass}
            strokeWidth="2"
          />
        )}
        <line x1={x(now)} x2={x(now)} y1="0" y2={HEIGHT} stroke={bench.ink} strokeWidth="1.6" />
      </svg>
      {strip.wait && ends! > 0 && ends! < WIDTH && (
        <Box
          component="span"
          aria-hidden
          sx={{
            position: 'absolute',
            top: 6,
            // Inside the hatching where it is long enough, else behind its moment.
            ...(ends! - x(Date.parse(strip.wait.startedAt)) > WIDTH * 0.16
              ? { right: `calc(${100 - (ends! / WIDTH) * 100}% + 6px)` }
              : { left: `calc(${(ends! / WIDTH) * 100}% + 12px)` }),
            fontFamily: fonts.reading,
            fontSize: '0.78rem',
            lineHeight: '18px',
            px: 0.4,
            bgcolor: 'background.default',
          }}
        >
          {timeAt(strip.wait.endsAt, view.zone)}
        </Box>
      )}
    </Box>
  );
}

function sentence(strip: BenchStrip, zone: string): string {
  const wait = strip.wait ? `waits until ${instantAt(strip.wait.endsAt, zone)}, then ` : '';
  return `${strip.tag}: ${wait}${strip.next ? `about ${Math.ceil(strip.next.minutes)} minutes of work` : 'no work named'}, promised ${strip.promisedOn}`;
}
