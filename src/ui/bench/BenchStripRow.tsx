'use client';

import { useDraggable } from '@dnd-kit/core';
import { waitKinds } from '@/knowledge/counter';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { dayWords } from '../parts/dayWords';
import { momentWords } from '../parts/instants';
import { Key } from '../parts/Key';
import { Press, PressLink } from '../parts/Press';
import { Reading } from '../parts/Reading';
import { leftWords } from '../parts/useNow';
import { classes, Words } from '../parts/Words';
import NextLink from '../theme/NextLink';
import styles from './bench.module.css';
import { TimeStrip, type Times } from './TimeStrip';

interface Props {
  strip: BenchStrip;
  view: BenchView;
  times: Times;
  /** Digit that starts its next action, 1 to 9. */
  digit: string | null;
  onMenu: (strip: BenchStrip, anchor: HTMLElement) => void;
}

/** One machine: the next hands-on action, what it is and what it waits for, its time, whose it is. */
export function BenchStripRow({ strip, view, times, digit, onMenu }: Props) {
  const { setNodeRef, setActivatorNodeRef, listeners, isDragging, transform } = useDraggable({ id: strip.job });
  return (
    <div
      ref={setNodeRef}
      data-strip={strip.job}
      data-dragging={isDragging ? '' : undefined}
      className={styles.strip}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      <div className={styles.do}>
        {/* For a pointer only: the keyboard moves a strip by m. */}
        <div ref={setActivatorNodeRef} {...listeners} aria-hidden className={styles.grip} data-grip={strip.tag} />
        <PressLink
          href={`/jobs/${strip.job}`}
          data-start={strip.job}
          className={styles.start}
          aria-label={`${strip.next?.text ?? 'Open'}, ${strip.tag}`}
        >
          {digit && (
            <span aria-hidden className={styles.digit}>
              <Key>{digit}</Key>
            </span>
          )}
          <span className={styles.action}>{strip.next?.text ?? 'Open the job'}</span>
          {strip.next && <Reading>{`${Math.ceil(strip.next.minutes)} min`}</Reading>}
        </PressLink>
      </div>
      <div className={styles.what}>
        <Words>
          <NextLink href={`/machines/${strip.tag}`} className={styles.tag}>
            {strip.tag}
          </NextLink>
          {` ${strip.maker} ${strip.model}, ${strip.owner}`}
        </Words>
        <Words tone={strip.late ? 'brass' : 'soft'} weight={strip.late ? 'heavy' : undefined}>
          {stripWords(strip, view, times.now)}
        </Words>
      </div>
      <div className={styles.time}>
        <TimeStrip strip={strip} view={view} times={times} />
      </div>
      <Press
        small
        data-move={strip.job}
        aria-label={`Move ${strip.tag}, ${strip.person ? `given to ${strip.person.name}` : 'given to nobody'}`}
        aria-haspopup="menu"
        onClick={(e) => onMenu(strip, e.currentTarget)}
        className={classes(styles.whose, !strip.person && styles.nobody)}
      >
        {strip.person?.name ?? 'nobody yet'}
      </Press>
    </div>
  );
}

function stripWords(strip: BenchStrip, view: BenchView, now: number): string {
  const promise = strip.late
    ? `late, was promised for ${dayWords(strip.promisedOn, view.today)}`
    : `promised for ${dayWords(strip.promisedOn, view.today)}`;
  if (!strip.wait) return strip.comeback ? `${promise}, comes back` : promise;
  const { kind, what, endsAt, rang } = strip.wait;
  const label = (waitKinds.find((w) => w.id === kind)?.label ?? kind).toLowerCase();
  const until = rang ? 'is over' : `until ${momentWords(endsAt, view.today, view.zone)} (${leftWords(endsAt, now)})`;
  return `${promise}; ${label}${what ? `, ${what},` : ''} ${until}`;
}
