'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import type { ImportReport } from '@/shop/exchange/dto';
import { Notice } from '../parts/Notice';
import { sendFile, type Refusal } from '../parts/post';
import { Reading } from '../parts/Reading';

const FILES = [
  {
    what: 'customers.csv',
    label: 'Customers, CSV',
    accept: '.csv,text/csv',
    columns: 'name; may have: kind (household or business), phone, email, address, standing',
  },
  {
    what: 'machines.csv',
    label: 'Machines, CSV',
    accept: '.csv,text/csv',
    columns:
      'maker, model, owner; may have: owner_phone, tag, serial, made_year, purchased_on, pets (yes or no), hours_per_week, note. Models and owners must be known before.',
  },
  { what: 'customers.vcf', label: 'Customers, vCard', accept: '.vcf,text/vcard', columns: 'cards of version 3 or 4' },
] as const;

type What = (typeof FILES)[number]['what'];
const OUTCOMES = { new: 'new', known: 'known already, left as it is', wrong: 'wrong' };

/** Data in and out, in open formats. A file is looked at first and written only when every row is right. */
export function DataScreen() {
  return (
    <Box sx={{ display: 'grid', gap: 2.5 }}>
      <Box component="section" aria-label="Out">
        <Typography component="h1" variant="h2" sx={{ mb: 0.75 }}>
          Out
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {FILES.map((f) => (
            <Button key={f.what} size="small" href={`/api/v1/export/${f.what}`} download>
              {f.label}
            </Button>
          ))}
        </Box>
        <Typography variant="body2" sx={{ mt: 1 }}>
          A machine’s whole book (JSON, PDF) is on its card. Everything at once, photographs too, is written at the
          server: <Reading>./gritkeeper backup FILE</Reading>, and read back with{' '}
          <Reading>./gritkeeper restore FILE</Reading>.
        </Typography>
      </Box>
      <In />
    </Box>
  );
}

function In() {
  const input = useRef<HTMLInputElement>(null);
  const stop = useRef<AbortController | null>(null);
  const [what, setWhat] = useState<What>('customers.csv');
  const [file, setFile] = useState<File | null>(null);
  const [report, setReport] = useState<ImportReport | null>(null);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState<'looking' | 'writing' | null>(null);
  const run = async (of: What, chosen: File, write: boolean) => {
    setBusy(write ? 'writing' : 'looking');
    setRefusal(null);
    stop.current = new AbortController();
    const sent = await sendFile<ImportReport>(
      `/api/v1/import/${of}${write ? '?write' : ''}`,
      chosen,
      stop.current.signal,
    );
    setBusy(null);
    if (sent.ok) setReport(sent.value);
    else setRefusal(sent.refusal);
  };
  const choose = (of: What) => {
    setWhat(of);
    setReport(null);
    setRefusal(null);
    // The same file may be chosen again after it was mended.
    if (input.current) input.current.value = '';
    setTimeout(() => input.current?.click(), 0);
  };
  const clean = report !== null && !report.written && report.counts.wrong === 0 && report.counts.new > 0;
  return (
    <Box component="section" aria-label="In" sx={{ display: 'grid', gap: 1 }}>
      <Typography component="h2" variant="h2">
        In
      </Typography>
      <Typography variant="body2">
        The file is looked at first, row by row; nothing is written until you say so, and nothing at all while one row
        is wrong.
      </Typography>
      {FILES.map((f) => (
        <Box key={f.what} sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
          <Button size="small" onClick={() => choose(f.what)} disabled={busy !== null}>
            {f.label} …
          </Button>
          <Typography variant="body2" sx={{ color: 'text.secondary', flex: '1 1 300px' }}>
            {f.columns}
          </Typography>
        </Box>
      ))}
      <input
        ref={input}
        type="file"
        hidden
        aria-label="File to take in"
        accept={FILES.find((f) => f.what === what)!.accept}
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          if (!chosen) return;
          setFile(chosen);
          void run(what, chosen, false);
        }}
      />
      {busy && (
        <Box role="status">
          <Typography variant="body2">
            {busy === 'looking' ? 'Looking at every row …' : 'Writing, all or nothing …'}
            <Button size="small" variant="text" color="inherit" onClick={() => stop.current?.abort()}>
              Stop
            </Button>
          </Typography>
          <LinearProgress aria-label="At work" />
        </Box>
      )}
      {refusal && (
        <Notice live title={refusal.title}>
          {refusal.fields.map((f) => (
            <Typography key={f.field} variant="body2">
              {f.message}
            </Typography>
          ))}
        </Notice>
      )}
      {report && (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Notice
            live
            title={
              report.written
                ? `Written: ${report.counts.new} new. ${report.counts.known} were known already.`
                : `${file?.name ?? 'The file'}: ${report.counts.new} new, ${report.counts.known} known already, ${report.counts.wrong} wrong. Nothing is written yet.`
            }
          >
            {clean && file && (
              <Button
                variant="contained"
                size="small"
                sx={{ mt: 1 }}
                disabled={busy !== null}
                onClick={() => void run(what, file, true)}
              >
                Write {report.counts.new} rows
              </Button>
            )}
          </Notice>
          <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Rows of the file">
            <Table size="small">
              <TableHead>
                <TableRow>
                  {['Row', 'What', 'Outcome', 'Why'].map((h) => (
                    <TableCell key={h}>{h}</TableCell>
                  ))}
                </TableRow>
              </TableHead>
              <TableBody>
                {report.rows.map((r) => (
                  <TableRow key={r.row}>
                    <TableCell>
                      <Reading>{r.row}</Reading>
                    </TableCell>
                    <TableCell>{r.what}</TableCell>
                    <TableCell sx={{ fontWeight: r.outcome === 'wrong' ? 700 : 400 }}>{OUTCOMES[r.outcome]}</TableCell>
                    <TableCell>
                      {r.problems.map((p) => `${p.field.replaceAll('_', ' ')}: ${p.message}`).join(' ')}
                    </TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          </Box>
          {report.more > 0 && <Typography variant="body2">and {report.more} more rows</Typography>}
        </Box>
      )}
    </Box>
  );
}
