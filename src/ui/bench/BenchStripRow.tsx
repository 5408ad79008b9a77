'use client';

import DragIndicatorIcon from '@mui/icons-material/DragIndicator';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useDraggable } from '@dnd-kit/core';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { waitKinds } from '@/knowledge/counter';
import { dayWords } from '../parts/dayWords';
import { momentWords } from '../parts/instants';
import { Key } from '../parts/Key';
import { Reading } from '../parts/Reading';
import { leftWords } from '../parts/useNow';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';
import { TimeStrip } from './TimeStrip';

export const STRIP_COLUMNS = {
  xs: '1fr auto',
  md: 'minmax(330px, 1.15fr) minmax(210px, 1fr) minmax(260px, 1.35fr) 116px',
};

interface Props {
  strip: BenchStrip;
  view: BenchView;
  now: number;
  /** Digit that starts its next action, 1 to 9. */
  digit: string | null;
  onMenu: (strip: BenchStrip, anchor: HTMLElement) => void;
}

/** One machine: the next hands-on action, what it is and what it waits for, its time, whose it is. */
export function BenchStripRow({ strip, view, now, digit, onMenu }: Props) {
  const { setNodeRef, setActivatorNodeRef, listeners, attributes, isDragging, transform } = useDraggable({
    id: strip.job,
  });
  return (
    <Box
      ref={setNodeRef}
      data-strip={strip.job}
      sx={{
        display: 'grid',
        gridTemplateColumns: STRIP_COLUMNS,
        columnGap: 2,
        rowGap: 0.5,
        alignItems: 'center',
        borderBottom: '1px solid',
        borderColor: 'divider',
        py: 0.5,
        bgcolor: isDragging ? 'background.paper' : undefined,
        position: 'relative',
        zIndex: isDragging ? 2 : undefined,
        outline: isDragging ? '2px solid' : undefined,
        outlineColor: 'bench.action',
      }}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : {}}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, gridColumn: { xs: '1 / -1', md: 'auto' } }}>
        <Box
          ref={setActivatorNodeRef}
          {...listeners}
          {...attributes}
          tabIndex={-1}
          aria-hidden
          sx={{ display: { xs: 'none', md: 'flex' }, cursor: 'grab', touchAction: 'none', color: 'text.secondary' }}
          data-grip={strip.tag}
        >
          <DragIndicatorIcon fontSize="small" />
        </Box>
        <Button
          component={NextLink}
          href={`/jobs/${strip.job}`}
          data-start={strip.job}
          sx={{
            justifyContent: 'space-between',
            textAlign: 'left',
            lineHeight: 1.15,
            gap: 1,
            flex: 1,
            px: 1.25,
            fontSize: { xs: '1.1rem', md: '1.25rem' },
          }}
          aria-label={`${strip.next?.text ?? 'Open'}, ${strip.tag}`}
        >
          {digit && (
            <Box component="span" aria-hidden sx={{ display: { xs: 'none', md: 'inline' } }}>
              <Key>{digit}</Key>
            </Box>
          )}
          <Box component="span" sx={{ flex: 1 }}>
            {strip.next?.text ?? 'Open the job'}
          </Box>
          {strip.next && <Reading>{Math.ceil(strip.next.minutes)} min</Reading>}
        </Button>
      </Box>
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
          {stripWords(strip, view, now)}
        </Typography>
      </Box>
      <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' }, order: { xs: 3, md: 0 }, minWidth: 0 }}>
        <TimeStrip strip={strip} view={view} now={now} />
      </Box>
      <Button
        size="small"
        data-move={strip.job}
        aria-label={`Move ${strip.tag}, ${strip.person ? `given to ${strip.person.name}` : 'given to nobody'}`}
        aria-haspopup="menu"
        onClick={(e) => onMenu(strip, e.currentTarget)}
        sx={{ fontWeight: 500, color: strip.person ? 'text.primary' : 'text.secondary', lineHeight: 1.1 }}
      >
        {strip.person?.name ?? 'nobody yet'}
      </Button>
    </Box>
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
