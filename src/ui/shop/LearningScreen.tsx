'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import type { LearningView } from '@/shop/learning/dto';
import { TimeChart } from '../machines/TimeChart';
import { Empty } from '../parts/Notice';
import { percent, Reading } from '../parts/Reading';
import { CalibrationChart } from './CalibrationChart';
import { LentShops } from './LentShops';

const SHOWN = 14;

/** How often the finder was right, and what the shop's finished jobs have taught it. */
export function LearningScreen({ learning, zone }: { learning: LearningView; zone: string }) {
  const { bins, score, guesses } = learning;
  const series = useMemo(
    () => [
      {
        name: 'log score',
        unit: 'bits',
        points: score.map((s) => ({ at: s.at, value: Number(s.bits.toFixed(3)) })),
      },
    ],
    [score],
  );
  return (
    <Box sx={{ display: 'grid', gap: 2.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <Typography component="h1" variant="h2">
        What the finder has learned
      </Typography>
      {learning.forecasts === 0 ? (
        <Empty>No finished job yet: each one handed back tells how right the finder was.</Empty>
      ) : (
        <Box sx={{ display: 'grid', gap: 2.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' } }}>
          <Box component="section" aria-label="Honesty" sx={{ minWidth: 0 }}>
            <Typography component="h2" variant="h3">
              When it said so much, how often was it so?
            </Typography>
            <CalibrationChart bins={bins} />
          </Box>
          <Box component="section" aria-label="Sharpness" sx={{ minWidth: 0 }}>
            <Typography component="h2" variant="h3">
              Surprise per forecast, month by month
            </Typography>
            <TimeChart series={series} label="Log score" />
            <Typography variant="body2" sx={{ mt: 1 }}>
              Lower is better: 0 is foresight, 1 what a coin says. From <Reading>{learning.forecasts}</Reading>{' '}
              forecasts, each made before the look or the repair that proved the cause.
            </Typography>
            <Typography variant="body2" sx={{ mt: 1.5 }}>
              {guesses.made === 0 ? (
                'No customer has named a cause yet.'
              ) : (
                <>
                  Customers named a cause <Reading>{guesses.made}</Reading> times and were right{' '}
                  <Reading>{guesses.right}</Reading> times ({percent(guesses.right / guesses.made)}). The finder takes
                  their word as a hint of small weight.
                </>
              )}
            </Typography>
          </Box>
        </Box>
      )}
      <Priors kinds={learning.kinds} />
      <LentShops lent={learning.lent} zone={zone} />
    </Box>
  );
}

function Priors({ kinds }: { kinds: LearningView['kinds'] }) {
  const [chosen, setChosen] = useState(() => [...kinds].sort((a, b) => b.jobs - a.jobs)[0]!.kind);
  const [all, setAll] = useState(false);
  const kind = kinds.find((k) => k.kind === chosen)!;
  const rows = all ? kind.faults : kind.faults.slice(0, SHOWN);
  return (
    <Box
      component="section"
      aria-label="Before anything is known"
      sx={{ display: 'grid', gap: 1, gridTemplateColumns: 'minmax(0, 1fr)' }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <Typography component="h2" variant="h3">
          How likely, before anything is known
        </Typography>
        <TextField
          select
          label="Kind"
          value={chosen}
          onChange={(e) => setChosen(e.target.value)}
          sx={{ flex: '0 1 420px', minWidth: 0, ml: { sm: 'auto' } }}
        >
          {kinds.map((k) => (
            <MenuItem key={k.kind} value={k.kind}>
              {k.label} ({k.jobs} jobs)
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Typography variant="body2">
        {kind.jobs === 0
          ? 'No finished job of this kind: the shipped figures stand (common practice, no source).'
          : `From ${kind.jobs} finished job${kind.jobs === 1 ? '' : 's'} of the shop`}
        {kind.lentJobs > 0 && `, and what ${kind.lentJobs.toFixed(0)} jobs of other shops count`}
        {kind.jobs > 0 && '.'}
      </Typography>
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Faults of the kind">
        <Table size="small">
          <TableHead>
            <TableRow>
              <TableCell>Fault</TableCell>
              <TableCell align="right">Shipped</TableCell>
              <TableCell align="right">Now</TableCell>
              <TableCell align="right">Found here</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map((f) => (
              <TableRow key={f.fault}>
                <TableCell>{f.label}</TableCell>
                <TableCell align="right">
                  <Reading>{percent(f.shipped)}</Reading>
                </TableCell>
                <TableCell align="right">
                  <Reading strong>{percent(f.learned)}</Reading>
                </TableCell>
                <TableCell align="right">
                  <Reading>{f.confirmed}</Reading>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {kind.faults.length > SHOWN && (
        <Box>
          <Button size="small" variant="text" color="inherit" onClick={() => setAll(!all)}>
            {all ? 'Fewer' : `All ${kind.faults.length} faults`}
          </Button>
        </Box>
      )}
    </Box>
  );
}
