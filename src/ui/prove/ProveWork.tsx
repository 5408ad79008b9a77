'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { parseQuantity, UNITS } from '@/core/units/units';
import { knowledge } from '@/knowledge';
import type { ProofView } from '@/shop/jobView/dto';
import { cautionOf, spinCautions } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { CautionPlate } from '../parts/CautionPlate';
import { Reading } from '../parts/Reading';
import { useKeptText } from '../parts/useKeptText';
import NextLink from '../theme/NextLink';

/** Proving: electrical check, roll free, every complaint re-tested, numbers before and after. */
export function ProveWork({ desk, onDone, onBack }: { desk: JobDesk; onDone: () => void; onBack: () => void }) {
  const { job, busy } = desk;
  const closed = job.stage === 'closed';
  const asked = new Set(job.proofs.map((p) => p.item));
  const leadAcid = knowledge.kinds.find((k) => k.id === job.machine.kind)?.supply === 'lead-acid';
  const failed = job.proofs.some((p) => p.result === 'fail');
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 900 }}>
      <Typography component="h2" variant="h2">
        Prove
      </Typography>
      {asked.has('electrical-check') && (
        <CautionPlate
          label="Electrical check"
          text="Earth continuity, insulation and touch current are tested by a competent person with rated instruments, to the limits of the local rules in force: local rules win over anything written here. Earth is proved before the first power-up."
        >
          <Link component={NextLink} href={`/gauges/safety-test?job=${job.id}`} className="no-print">
            Hold the readings against the limits
          </Link>
        </CautionPlate>
      )}
      {asked.has('pack-check') && <CautionPlate {...cautionOf(leadAcid ? 'lead-acid' : 'lithium-pack')} />}
      {asked.has('roll-free') && spinCautions.map((id) => <CautionPlate key={id} {...cautionOf(id)} />)}
      {job.proofs.map((p) =>
        p.quantity ? (
          <NumberProof key={p.item} proof={p} desk={desk} disabled={closed || busy} />
        ) : (
          <PlainProof key={p.item} proof={p} desk={desk} disabled={closed || busy} />
        ),
      )}
      {!closed && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          <Button variant="contained" disabled={busy} onClick={onDone}>
            To Hand back
          </Button>
          <Button disabled={busy} onClick={onBack}>
            Back to Find
          </Button>
          {failed && <Typography variant="body2">Something failed: the cause was not all of it.</Typography>}
        </Box>
      )}
    </Box>
  );
}

interface RowProps {
  proof: ProofView;
  desk: JobDesk;
  disabled: boolean;
}

function PlainProof({ proof, desk, disabled }: RowProps) {
  const [note, setNote, dropNote] = useKeptText(`job-${desk.job.id}`, `proof ${proof.item}`, proof.note);
  const press = async (result: 'pass' | 'fail') => {
    if (await desk.act('record-proof', { item: proof.item, result, note })) dropNote();
  };
  return (
    <Box
      role="group"
      aria-label={proof.label}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 200px auto auto' },
        gap: 1,
        alignItems: 'center',
        borderBottom: '1px solid',
        borderColor: 'divider',
        pb: 1,
      }}
    >
      <Typography variant="body2" sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
        {proof.label}
        {proof.result && <strong>{proof.result === 'pass' ? ': passed' : ': failed'}</strong>}
      </Typography>
      <TextField
        label={proof.item === 'electrical-check' ? 'By which rules, readings' : 'Note'}
        value={note}
        onChange={(e) => setNote(e.target.value)}
        disabled={disabled}
        sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}
      />
      <Button
        variant={proof.result === 'pass' ? 'contained' : 'outlined'}
        aria-pressed={proof.result === 'pass'}
        disabled={disabled}
        onClick={() => press('pass')}
      >
        Passed
      </Button>
      <Button
        variant={proof.result === 'fail' ? 'contained' : 'outlined'}
        color={proof.result === 'fail' ? 'secondary' : 'primary'}
        aria-pressed={proof.result === 'fail'}
        disabled={disabled}
        onClick={() => press('fail')}
      >
        Failed
      </Button>
    </Box>
  );
}

function NumberProof({ proof, desk, disabled }: RowProps) {
  const quantity = proof.quantity!;
  const show = (v: number | null) => (v === null ? '' : String(v));
  const [before, setBefore, dropBefore] = useKeptText(`job-${desk.job.id}`, `before ${proof.item}`, show(proof.before));
  const [after, setAfter, dropAfter] = useKeptText(`job-${desk.job.id}`, `after ${proof.item}`, show(proof.after));
  const [tried, setTried] = useState(false);
  const read = (typed: string) => parseQuantity(quantity, typed);
  const bad = (typed: string, needed: boolean) => tried && (typed.trim() === '' ? needed : !read(typed));
  return (
    <Box
      component="form"
      aria-label={proof.label}
      onSubmit={async (e) => {
        e.preventDefault();
        setTried(true);
        const [b, a] = [read(before), read(after)];
        if (!a || (before.trim() !== '' && !b)) return;
        const done = await desk.act('record-proof', {
          item: proof.item,
          result: 'pass',
          note: '',
          after: a.value,
          ...(b ? { before: b.value } : {}),
        });
        if (!done) return;
        dropBefore();
        dropAfter();
      }}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 150px 150px auto' },
        gap: 1,
        alignItems: 'center',
        borderBottom: '1px solid',
        borderColor: 'divider',
        pb: 1,
      }}
    >
      <Typography variant="body2" sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
        {proof.label} <span>(if measured)</span>
        {proof.after !== null && (
          <>
            {': '}
            <Reading strong>
              {proof.before ?? '–'} → {proof.after} {proof.unit}
            </Reading>
          </>
        )}
      </Typography>
      <TextField
        label={`Before, ${UNITS[quantity].base}`}
        value={before}
        onChange={(e) => setBefore(e.target.value)}
        disabled={disabled}
        error={bad(before, false)}
        helperText={bad(before, false) ? 'A number.' : undefined}
      />
      <TextField
        label={`After, ${UNITS[quantity].base}`}
        value={after}
        onChange={(e) => setAfter(e.target.value)}
        disabled={disabled}
        error={bad(after, true)}
        helperText={bad(after, true) ? 'A number.' : undefined}
      />
      <Button type="submit" disabled={disabled}>
        Keep
      </Button>
    </Box>
  );
}
