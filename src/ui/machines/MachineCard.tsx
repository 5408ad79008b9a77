'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { knowledge } from '@/knowledge';
import type { MachineCardView } from '@/shop/machines/dto';
import { LineBoard } from '../board/LineBoard';
import type { StationState } from '../board/stationState';
import { faultLabel } from '../job/labels';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';
import { ReadingChart } from './ReadingChart';

/** One machine's book: the board by the age of its parts, what is due, and all that happened. */
export function MachineCard({ card }: { card: MachineCardView }) {
  const kind = knowledge.kinds.find((k) => k.id === card.kind)!;
  const states = useMemo(() => {
    const map: Record<string, StationState> = {};
    for (const [station, ageDays] of Object.entries(card.partAgeDays)) map[station] = { ageDays };
    for (const p of card.plans) if (p.overdue && p.station) map[p.station] = { ...map[p.station], looked: true };
    return map;
  }, [card]);
  const [words, setWords] = useState('');
  const lines = card.timeline.filter((t) => t.text.toLowerCase().includes(words.toLowerCase()));
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography component="h1" variant="h1">
          <Box component="span" sx={{ fontFamily: fonts.reading, fontSize: '0.9em' }}>
            {card.tag}
          </Box>{' '}
          {card.maker} {card.model}
        </Typography>
        <Typography variant="body2">
          {card.customer.name}
          {card.customer.phone && `, ${card.customer.phone}`}
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {kind.label}
          {card.serial && `, serial ${card.serial}`}
          {card.madeYear && `, made ${card.madeYear}`}, {card.mainsV} V{card.pets && ', pets at home'}, about{' '}
          {card.hoursPerWeek} h a week
        </Typography>
        <Box sx={{ ml: { md: 'auto' } }}>
          {card.openJob ? (
            <Button component={NextLink} href={`/jobs/${card.openJob}`} variant="contained">
              Open job {card.openJob}
            </Button>
          ) : (
            <Button component={NextLink} href={`/take-in?tag=${card.tag}`} variant="contained">
              Take it in
            </Button>
          )}
        </Box>
      </Box>
      <LineBoard
        kind={kind}
        dropped={card.droppedStations}
        states={states}
        title={`Line board of ${card.tag} by age of its parts`}
      />
      <Typography variant="caption" sx={{ color: 'text.secondary' }}>
        Below a part: how long ago it was replaced here. A green bar under a part: its plan is past due.
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) minmax(0, 1.3fr)' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 2.5, minWidth: 0 }}>
          <Box component="section" aria-label="Plans">
            <Typography component="h2" variant="h2">
              Due
            </Typography>
            {card.plans.length === 0 ? (
              <Empty>No plans yet: they start when it is handed back the first time.</Empty>
            ) : (
              <Table size="small">
                <TableHead>
                  <TableRow>
                    <TableCell>What</TableCell>
                    <TableCell>Counted from</TableCell>
                    <TableCell>Due</TableCell>
                  </TableRow>
                </TableHead>
                <TableBody>
                  {card.plans.map((p) => (
                    <TableRow key={p.item}>
                      <TableCell>{p.label}</TableCell>
                      <TableCell>
                        <Reading>{p.lastDoneOn}</Reading>
                      </TableCell>
                      <TableCell sx={{ color: p.overdue ? 'bench.brass' : undefined }}>
                        <Reading strong={p.overdue}>{p.dueOn}</Reading>
                        {p.overdue && ' past'}
                      </TableCell>
                    </TableRow>
                  ))}
                </TableBody>
              </Table>
            )}
          </Box>
          <Box component="section" aria-label="Jobs">
            <Typography component="h2" variant="h2">
              Jobs
            </Typography>
            {card.jobs.length === 0 && <Empty>It has not been here yet.</Empty>}
            {card.jobs.map((j) => (
              <Typography
                key={j.id}
                variant="body2"
                sx={{ borderBottom: '1px solid', borderColor: 'divider', py: 0.5 }}
              >
                <Link component={NextLink} href={j.closedAt ? `/jobs/${j.id}/hand-back` : `/jobs/${j.id}`}>
                  <Reading>{j.takenInAt.slice(0, 10)}</Reading>
                </Link>{' '}
                {j.closedAt ? j.faults.map(faultLabel).join(', ') || 'no cause named' : 'open'}
              </Typography>
            ))}
          </Box>
          <Box component="section" aria-label="Readings">
            <Typography component="h2" variant="h2">
              Measured
            </Typography>
            {card.readings.length === 0 ? (
              <Empty>Nothing measured in Prove yet.</Empty>
            ) : (
              <ReadingChart readings={card.readings} />
            )}
          </Box>
        </Box>
        <Box component="section" aria-label="Timeline" sx={{ minWidth: 0 }}>
          <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
            <Typography component="h2" variant="h2">
              All that happened
            </Typography>
            <Box
              component="input"
              value={words}
              onChange={(e: React.ChangeEvent<HTMLInputElement>) => setWords(e.target.value)}
              placeholder="find in it"
              aria-label="Find in the timeline"
              sx={{
                ml: 'auto',
                font: 'inherit',
                color: 'inherit',
                bgcolor: 'background.paper',
                border: '1px solid',
                borderColor: 'bench.soft',
                borderRadius: '3px',
                px: 1,
                py: 0.5,
                width: 170,
              }}
            />
          </Box>
          {lines.length === 0 && <Empty>{words ? 'Nothing with these words.' : 'Nothing yet.'}</Empty>}
          <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {lines.map((t) => (
              <Box
                component="li"
                key={t.id}
                sx={{
                  display: 'grid',
                  gridTemplateColumns: { xs: '92px 1fr', sm: '150px 90px 1fr' },
                  columnGap: 1,
                  py: 0.5,
                  borderBottom: '1px solid',
                  borderColor: 'divider',
                  fontSize: '0.93rem',
                }}
              >
                <Reading>
                  {t.at.slice(0, 10)}
                  <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
                    {' '}
                    {t.at.slice(11, 16)}
                  </Box>
                </Reading>
                <Box component="span" sx={{ color: 'text.secondary', display: { xs: 'none', sm: 'inline' } }}>
                  {t.what.replaceAll('-', ' ')}
                </Box>
                <Box component="span" sx={{ overflowWrap: 'anywhere' }}>
                  {t.text}
                  {t.by && <Box component="span" sx={{ color: 'text.secondary' }}>{` ${t.by}`}</Box>}
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
