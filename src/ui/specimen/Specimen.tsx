'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { benchInks as bench } from '../theme/palette';
import type { Kind } from '@/core/diagnosis/knowledge';
import { LineBoard } from '../board/LineBoard';
import type { StationState } from '../board/stationState';
import { CautionPlate } from '../parts/CautionPlate';
import { Key } from '../parts/Key';
import { Empty, Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';

const allLines: Kind = {
  id: 'specimen',
  number: 0,
  label: 'Specimen',
  supply: 'mains' as const,
  blurb: '',
  lines: [
    {
      line: 'power',
      label: 'Power',
      stations: [
        { id: 'p1', label: 'outlet' },
        { id: 'p2', label: 'cord grip' },
        { id: 'p3', label: 'main switch' },
        { id: 'p4', label: 'cut-out', optional: true },
      ],
    },
    {
      line: 'drive',
      label: 'Drive',
      stations: [
        { id: 'd1', label: 'motor shaft' },
        { id: 'd2', label: 'flat belt' },
        { id: 'd3', label: 'brush roll' },
        { id: 'd4', label: 'bristles' },
      ],
    },
    {
      line: 'air',
      label: 'Air',
      stations: [
        { id: 'a1', label: 'head mouth' },
        { id: 'a2', label: 'hose' },
        { id: 'a3', label: 'pre-motor filter' },
        { id: 'a4', label: 'fan' },
      ],
    },
    {
      line: 'water',
      label: 'Water',
      stations: [
        { id: 'w1', label: 'solution tank' },
        { id: 'w2', label: 'valve' },
        { id: 'w3', label: 'deck' },
      ],
    },
    {
      line: 'traction',
      label: 'Traction',
      stations: [
        { id: 't1', label: 'drive pedal' },
        { id: 't2', label: 'gear train' },
        { id: 't3', label: 'wheels' },
      ],
    },
    {
      line: 'frame',
      label: 'Frame',
      stations: [
        { id: 'f1', label: 'housing' },
        { id: 'f2', label: 'handle lock' },
      ],
    },
  ],
  access: [],
  healthyVacuumKpa: 17,
  rollRpm: 3600,
  ratedWatts: 1200,
  expectedFaults: 1,
  basis: 'common practice, no source',
};

const states: Record<string, StationState> = {
  p2: { odds: 0.12 },
  p3: { ruledOut: true },
  p4: { odds: 0.05 },
  d1: { open: true },
  d2: { proved: true, open: true, ageDays: 420 },
  d3: { odds: 0.62, looked: true },
  d4: { ageDays: 12 },
  a2: { odds: 0.31 },
  a3: { ageDays: 95 },
  w2: { odds: 0.44 },
  t2: { odds: 0.2 },
};

/** Every element in every state, on one page, for those who build. */
export function Specimen() {
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Typography component="h1" variant="h1">
        Specimen
      </Typography>
      <LineBoard kind={allLines} states={states} title="All lines and all states" onChoose={() => undefined} />
      <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
        <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
          <Typography component="h2" variant="h2">
            Type
          </Typography>
          <Typography>
            Text for reading. <strong>Strong.</strong> <Link href="#work">A link.</Link> <Reading>118 V</Reading>{' '}
            <Reading strong>0.4 Ω</Reading> <Key>1</Key> <Key>Esc</Key>
          </Typography>
          <Typography variant="body2">Smaller text for dense places.</Typography>
          <Typography variant="caption">The smallest, for notes.</Typography>
          <Typography component="h3" variant="h3">
            Third heading
          </Typography>
          <Typography component="h2" variant="h2">
            Buttons
          </Typography>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button variant="contained">Act</Button>
            <Button>Plain</Button>
            <Button variant="text" color="inherit">
              Quiet
            </Button>
            <Button variant="contained" color="error">
              Hazard
            </Button>
            <Button variant="contained" disabled>
              Not now
            </Button>
            <Button disabled>Not now</Button>
            <Button size="small">Small</Button>
            <ToggleButton value="a" selected>
              Picked
            </ToggleButton>
            <ToggleButton value="b">Not picked</ToggleButton>
          </Box>
          <Typography component="h2" variant="h2">
            Colours
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(92px, 1fr))', gap: 1 }}>
            {(
              [
                'paper',
                'sheet',
                'well',
                'ink',
                'soft',
                'rule',
                'action',
                'brass',
                'brassFill',
                'hazard',
                'hazardWash',
              ] as const
            ).map((name) => (
              <Box key={name}>
                <Box sx={{ height: 34, bgcolor: bench[name], border: '1px solid', borderColor: 'divider' }} />
                <Typography variant="caption">{name}</Typography>
              </Box>
            ))}
          </Box>
        </Box>
        <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
          <Typography component="h2" variant="h2">
            Fields
          </Typography>
          <TextField label="Empty" />
          <TextField label="Filled" defaultValue="Words" helperText="Read as words" />
          <TextField label="Wrong" defaultValue="12 apples" error helperText="Type a number, such as 116 V." />
          <TextField label="Not now" disabled defaultValue="Held back" />
          <TextField select label="Choice" defaultValue="a">
            <MenuItem value="a">First</MenuItem>
            <MenuItem value="b">Second</MenuItem>
          </TextField>
          <Box>
            <FormControlLabel control={<Checkbox defaultChecked />} label="Ticked" />
            <FormControlLabel control={<Checkbox />} label="Not ticked" />
            <FormControlLabel control={<Checkbox disabled />} label="Not now" />
          </Box>
          <Typography component="h2" variant="h2">
            Plates
          </Typography>
          <CautionPlate label="Has been wet" text="Do not power up before it is opened, dried and insulation-tested." />
          <Notice title="Cause proved: belt broken." />
          <Empty>Nothing here yet. This says what to do.</Empty>
          <Typography component="h2" variant="h2">
            Table
          </Typography>
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>What</TableCell>
                <TableCell>Due</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              <TableRow hover>
                <TableCell>Wash the pre-motor filter</TableCell>
                <TableCell>
                  <Reading>2030-01-31</Reading>
                </TableCell>
              </TableRow>
              <TableRow hover>
                <TableCell>Flat belt</TableCell>
                <TableCell>
                  <Reading strong>2029-12-01</Reading>
                </TableCell>
              </TableRow>
            </TableBody>
          </Table>
        </Box>
      </Box>
    </Box>
  );
}
