'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { roleOf, takenBy } from '@/knowledge/repairWork';
import type { JobFacts } from '@/shop/jobView/dto';
import { CautionGate } from '../job/CautionGate';
import { cautionOf, heldPower, repairCautions } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { stillToMend, workWords } from '../job/toMend';
import { CautionPlate } from '../parts/CautionPlate';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { moneyText } from '@/core/money/currency';
import { offeredParts } from '@/knowledge/offeredParts';
import { OtherPart } from './OtherPart';
import { Repairs } from './Repairs';
import { MachineDrawing } from '../drawing/MachineDrawing';
import { Losses } from '../strip/Losses';
import { openAccesses } from '../strip/stepWords';
import { Tray } from '../strip/Tray';
import { WaitClock } from './WaitClock';
import { WayBack } from './WayBack';

/** Fitting: parts from the list, waits, and the way back with its checks. */
export function FitWork({ desk, onDone, onBack }: { desk: JobDesk; onDone: () => void; onBack: () => void }) {
  const { job, busy } = desk;
  const closed = job.stage === 'closed';
  const left = job.rebuild.filter((s) => !s.done && s.sort !== 'repair').length;
  const now = job.rebuild.find((s) => !s.done);
  const opened = now ? job.strip.done.find((s) => s.id === now.step) : undefined;
  const shut = new Set(job.rebuild.filter((l) => l.sort === 'close' && l.done).map((l) => l.step));
  const stillOpen = job.strip.done.filter((s) => !shut.has(s.id));
  const lit = now?.sort === 'close' ? (job.strip.cups.find((c) => c.step === now.step)?.number ?? null) : null;
  const held = heldPower(job);
  // What stands above with its press to clear it is not said a second time.
  const cautions = repairCautions(job.machine.kind, stillToMend(job)).filter((id) => !job.cautions.includes(id));
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography component="h2" variant="h2">
          Fit
        </Typography>
        <Typography variant="body2">
          {workWords(job)}
          {held && ` It is not run before it is made safe: ${held}.`}
        </Typography>
      </Box>
      <CautionGate desk={desk} />
      {cautions.length > 0 && !closed && (
        <Box
          component="section"
          aria-label="Cautions of this work"
          sx={{ display: 'grid', gap: 0.75, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}
        >
          {cautions.map((id) => (
            <CautionPlate key={id} {...cautionOf(id)} />
          ))}
        </Box>
      )}
      <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, alignItems: 'start' }}>
        <Box sx={{ display: 'grid', gap: 2, minWidth: 0 }}>
          <Repairs desk={desk} />
          <Parts desk={desk} />
          <WaitClock desk={desk} />
        </Box>
        <Box sx={{ display: 'grid', gap: 2, minWidth: 0, order: { xs: -1, md: 0 } }}>
          <WayBack desk={desk} />
          {job.strip.cups.length > 0 && (
            <Box component="section" aria-label="Tray">
              <Typography component="h3" variant="h3">
                Tray
              </Typography>
              <MachineDrawing
                kind={job.machine.kind}
                lie={opened?.lie ?? 'standing'}
                open={openAccesses({ done: stillOpen, ahead: [] })}
                at={lit === null ? null : (opened?.access ?? null)}
                cup={lit}
                count={opened?.fasteners.reduce((sum, f) => sum + f.count, 0) ?? 0}
                title={`${job.machine.model} as it lies`}
              />
              <Tray cups={job.strip.cups} lit={lit} />
            </Box>
          )}
          <Losses desk={desk} atTheEnd />
        </Box>
      </Box>
      {!closed && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          <Button variant="contained" disabled={busy} onClick={onDone}>
            To Prove
          </Button>
          <Button disabled={busy} onClick={onBack}>
            Back to Find
          </Button>
          {left > 0 && (
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
              {left} step{left === 1 ? '' : 's'} of the way back still open.
            </Typography>
          )}
        </Box>
      )}
    </Box>
  );
}

function Parts({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const [words, setWords] = useState('');
  const closed = job.stage === 'closed';
  const faults = [...new Set([...job.toMend, ...job.openFaults.map((f) => f.fault)])];
  const rows =
    words === ''
      ? offeredParts(job.parts, job.machine.kind, faults, job.fitted)
      : job.parts.filter((p) => `${p.code} ${p.label} ${p.station}`.toLowerCase().includes(words.toLowerCase()));
  return (
    <Box component="section" aria-label="Parts">
      <Typography component="h2" variant="h3">
        Parts fitted
      </Typography>
      {job.fitted.length === 0 && <Empty>None yet.</Empty>}
      {job.fitted.map((f) => (
        <Box
          key={f.id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            borderBottom: '1px solid',
            borderColor: 'divider',
            minHeight: 42,
          }}
        >
          <Typography variant="body2" sx={{ flex: 1 }}>
            {f.quantity > 1 && `${f.quantity} × `}
            <strong>{f.label}</strong> at {f.station.replaceAll('-', ' ')}{' '}
            {f.code ? <Reading>{f.code}</Reading> : `(not from the list: ${f.why})`}
          </Typography>
          {!closed && (
            <Button
              size="small"
              variant="text"
              color="inherit"
              disabled={busy}
              onClick={() => void desk.act('take-back-part', { fitted: f.id })}
            >
              take back
            </Button>
          )}
        </Box>
      ))}
      {!closed && (
        <>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 1.5 }}>
            <Typography component="h2" variant="h3">
              {words ? 'Found in the list' : 'What this repair takes'}
            </Typography>
            <InputBase
              value={words}
              onChange={(e) => setWords(e.target.value)}
              placeholder="find a part"
              inputProps={{ 'aria-label': 'Find a part' }}
              sx={{
                ml: 'auto',
                width: 170,
                px: 1,
                border: '1px solid',
                borderColor: 'bench.soft',
                borderRadius: '3px',
              }}
            />
          </Box>
          {rows.length === 0 && (
            <Empty>
              {words
                ? 'No such part for this kind of machine.'
                : `${job.fitted.length > 0 ? 'No further part' : 'No part'} is needed for what is to be mended. Find one by its name or code.`}
            </Empty>
          )}
          {rows.slice(0, 9).map((p) => (
            <PartRow
              key={`${p.code} ${p.station}`}
              part={p}
              currency={job.currency}
              locale={job.agree.locale}
              disabled={busy}
              quantity={takenBy(faults, p.group)}
              role={words === '' ? ROLES[roleOf(faults, p.group)] : ''}
              onFit={() =>
                void desk.act('fit-part', { code: p.code, station: p.station, quantity: takenBy(faults, p.group) })
              }
            />
          ))}
          <OtherPart desk={desk} />
        </>
      )}
    </Box>
  );
}

/** What must be new goes without saying. */
const ROLES = { must: '', usual: 'usually new with it, ', choice: 'if it cannot be kept, ' };

function PartRow({
  part,
  currency,
  locale,
  disabled,
  quantity,
  role,
  onFit,
}: {
  part: JobFacts['parts'][number];
  currency: string;
  locale: string;
  disabled: boolean;
  /** Whether the repair can do without it, in words. */
  role: string;
  /** How many the repair takes. */
  quantity: number;
  onFit: () => void;
}) {
  const price = moneyText(part.priceMinor, currency, locale);
  return (
    <Box
      sx={{ display: 'flex', alignItems: 'center', gap: 1, borderBottom: '1px solid', borderColor: 'divider', py: 0.5 }}
    >
      <Typography variant="body2" sx={{ flex: 1, minWidth: 0 }}>
        {part.label} <Reading>{part.code}</Reading>
        {part.own && <strong> this model’s own</strong>}
        <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.9em' }}>
          {role}at {part.station.replaceAll('-', ' ')}, {part.stock > 0 ? `${part.stock} in stock` : 'none in stock'},{' '}
          {price}
        </Box>
      </Typography>
      <Button
        size="small"
        disabled={disabled}
        onClick={onFit}
        aria-label={`Fit ${part.label} at ${part.station.replaceAll('-', ' ')}`}
      >
        {quantity > 1 ? `Fit ${quantity}` : 'Fit'}
      </Button>
    </Box>
  );
}
