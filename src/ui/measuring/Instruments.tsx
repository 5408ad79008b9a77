'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { InstrumentView } from '@/shop/instruments/dto';
import { EditSheet } from '../sheet/EditSheet';
import type { EditField } from '../sheet/sheet';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { readNumber } from '../parts/readNumber';

const STATE = {
  good: '',
  soon: 'falls due soon',
  past: 'ran out: what it reads proves nothing',
  never: 'never calibrated',
  'out-of-use': 'out of use',
} as const;

const FIELDS: EditField[] = [
  { name: 'name', label: 'What it is called', help: 'as it is typed into a gauge', span: 3 },
  { name: 'measures', label: 'What it measures', span: 3 },
  { name: 'goodToPercent', label: 'Good to, %', sort: 'number', help: 'its class; empty when not known', span: 2 },
  { name: 'calibratedOn', label: 'Calibrated on', sort: 'date', span: 2 },
  { name: 'everyMonths', label: 'Every so many months', sort: 'number', span: 2 },
  { name: 'certificate', label: 'Certificate', help: 'its number, where it lies', span: 3 },
  { name: 'note', label: 'Note', span: 3 },
  { name: 'outOfUse', label: 'Out of use', sort: 'tick' },
];

const NEW = {
  name: '',
  measures: '',
  goodToPercent: '',
  calibratedOn: '',
  everyMonths: '12',
  certificate: '',
  note: '',
  outOfUse: false,
};

const values = (i: InstrumentView) => ({
  name: i.name,
  measures: i.measures,
  goodToPercent: i.goodToPercent === null ? '' : String(i.goodToPercent),
  calibratedOn: i.calibratedOn ?? '',
  everyMonths: String(i.everyMonths),
  certificate: i.certificate,
  note: i.note,
  outOfUse: i.outOfUse,
});

/** What the shop measures with, how good it is, and until when somebody answers for it. */
export function Instruments({ instruments, mayPut }: { instruments: readonly InstrumentView[]; mayPut: boolean }) {
  const router = useRouter();
  const [open, setOpen] = useState<InstrumentView | 'new' | null>(null);
  return (
    <Box component="section" aria-label="Instruments">
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 0.5 }}>
        <Typography component="h2" variant="h2">
          Instruments
        </Typography>
        {mayPut && (
          <Button size="small" variant="contained" onClick={() => setOpen('new')}>
            Add an instrument
          </Button>
        )}
      </Box>
      {instruments.length === 0 && (
        <Empty>
          None yet. One that is listed here is offered in the safety test, which asks when its calibration ran out.
        </Empty>
      )}
      {instruments.length > 0 && (
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Instrument</TableCell>
                <TableCell>Measures</TableCell>
                <TableCell align="right">Good to</TableCell>
                <TableCell>Calibrated</TableCell>
                <TableCell>Until</TableCell>
                <TableCell>Certificate</TableCell>
                <TableCell />
              </TableRow>
            </TableHead>
            <TableBody>
              {instruments.map((i) => (
                <TableRow key={i.id} sx={{ opacity: i.outOfUse ? 0.65 : 1 }}>
                  <TableCell>
                    <strong>{i.name}</strong>
                    {i.note && <Box sx={{ color: 'text.secondary' }}>{i.note}</Box>}
                  </TableCell>
                  <TableCell>{i.measures}</TableCell>
                  <TableCell align="right">
                    <Reading>{i.goodToPercent === null ? '–' : `${i.goodToPercent} %`}</Reading>
                  </TableCell>
                  <TableCell>
                    <Reading>{i.calibratedOn ?? '–'}</Reading>
                  </TableCell>
                  <TableCell sx={i.state === 'past' || i.state === 'never' ? { color: 'bench.hazard' } : {}}>
                    <Reading strong={i.state !== 'good'}>{i.dueOn ?? ''}</Reading> {STATE[i.state]}
                  </TableCell>
                  <TableCell>{i.certificate}</TableCell>
                  <TableCell align="right">
                    {mayPut && (
                      <Button size="small" aria-label={`Change ${i.name}`} onClick={() => setOpen(i)}>
                        Change
                      </Button>
                    )}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
      {open !== null && (
        <EditSheet<unknown>
          title={open === 'new' ? 'A new instrument' : open.name}
          fields={FIELDS}
          values={open === 'new' ? NEW : values(open)}
          {...(open === 'new' ? {} : { version: open.version })}
          dto={async () => (await import('@/shop/instruments/dto')).PutInstrumentDto}
          url={open === 'new' ? '/api/v1/instruments' : `/api/v1/instruments/${open.id}/put-instrument`}
          draft={`instrument-${open === 'new' ? 'new' : open.id}`}
          body={(v) => ({
            ...v,
            goodToPercent: readNumber(String(v.goodToPercent)) ?? null,
            everyMonths: readNumber(String(v.everyMonths)) ?? 0,
            calibratedOn: v.calibratedOn || null,
          })}
          current={(i) => ({ values: values(i as InstrumentView), version: (i as InstrumentView).version })}
          onDone={() => {
            setOpen(null);
            router.refresh();
          }}
          onClose={() => setOpen(null)}
        />
      )}
    </Box>
  );
}
