'use client';

import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { instantAt, timeAt } from '../parts/instants';
import styles from './bench.module.css';
import type { DayScale } from './dayScale';

const WIDTH = 480;
const HEIGHT = 30;
const HATCH = 'bench-wait';

/** The hatching of what waits, once for all strips. */
export function Hatching() {
  return (
    <svg width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
      <defs>
        <pattern id={HATCH} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" className={styles.hatchGround} />
          <line x1="0" y1="0" x2="0" y2="7" className={styles.hatchLine} />
        </pattern>
      </defs>
    </svg>
  );
}

/** The time along which the strips lie: the same for all of them. */
export interface Times {
  scale: DayScale;
  now: number;
  /** Lines of the hours, of the days and of the moment, as paths. */
  hours: string;
  days: string;
  moment: string;
}

export function timesOf(days: BenchView['days'], scale: DayScale, now: number): Times {
  const upright = (t: number) => `M${round(scale.x(t) * WIDTH)} 0V${HEIGHT}`;
  return {
    scale,
    now,
    hours: scale.hours.map(({ at }) => upright(at)).join(''),
    days: days.map((d) => upright(Date.parse(d.startsAt))).join(''),
    moment: upright(now),
  };
}

const round = (x: number) => Math.round(x * 10) / 10;

/** One machine along time: hands-on solid, waiting hatched up to the moment it ends, the promised day's end as a flag. */
export function TimeStrip({ strip, view, times }: { strip: BenchStrip; view: BenchView; times: Times }) {
  const { scale, now } = times;
  const x = (t: number) => round(scale.x(t) * WIDTH);
  const promised = view.days.findIndex((d) => d.date === strip.promisedOn);
  const flag =
    promised >= 0 && promised < view.days.length - 1 ? x(Date.parse(view.days[promised + 1]!.startsAt)) - 1.5 : null;
  const workFrom = strip.wait ? Math.max(now, Date.parse(strip.wait.endsAt)) : now;
  const work = strip.next ? Math.max(4, x(workFrom + strip.next.minutes * 60_000) - x(workFrom)) : 0;
  const starts = strip.wait && x(Date.parse(strip.wait.startedAt));
  const ends = strip.wait && x(Date.parse(strip.wait.endsAt));
  return (
    <>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        height={HEIGHT}
        preserveAspectRatio="none"
        role="img"
        aria-label={sentence(strip, view.zone)}
      >
        <path d={times.hours} className={styles.hour} />
        <path d={times.days} className={styles.day} />
        {strip.wait && (
          <rect
            x={starts!}
            width={Math.max(2, ends! - starts!)}
            y="7"
            height="16"
            fill={`url(#${HATCH})`}
            className={styles.wait}
          />
        )}
        {work > 0 && <rect x={x(workFrom)} width={work} y="5" height="20" className={styles.work} />}
        {flag !== null && <path d={`M${flag} 2V28M${flag} 2h-9l3 4-3 4h9`} className={styles.flag} />}
        <path d={times.moment} className={styles.now} />
      </svg>
      {strip.wait && ends! > 0 && ends! < WIDTH && (
        <span
          aria-hidden
          className={styles.ends}
          // Inside the hatching where it is long enough, else behind its moment.
          style={
            ends! - starts! > WIDTH * 0.16
              ? { right: `calc(${100 - (ends! / WIDTH) * 100}% + 6px)` }
              : { left: `calc(${(ends! / WIDTH) * 100}% + 12px)` }
          }
        >
          {timeAt(strip.wait.endsAt, view.zone)}
        </span>
      )}
    </>
  );
}

function sentence(strip: BenchStrip, zone: string): string {
  const wait = strip.wait ? `waits until ${instantAt(strip.wait.endsAt, zone)}, then ` : '';
  return `${strip.tag}: ${wait}${strip.next ? `about ${Math.ceil(strip.next.minutes)} minutes of work` : 'no work named'}, promised ${strip.promisedOn}`;
}
