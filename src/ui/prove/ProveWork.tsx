'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { ambiguity, parseQuantity, UNITS } from '@/core/units/units';
import type { ProofAsk, ProofView } from '@/shop/jobView/dto';
import { FormText } from '../forms/FormText';
import { CautionGate } from '../job/CautionGate';
import { cautionOf, faultLabel } from '../job/labels';
import { BesidesLeft, NotWanted } from '../job/StillOpen';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { CautionPlate } from '../parts/CautionPlate';
import { Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';

/** Proving: electrical check, roll free, what the repairs owe, every complaint re-tested, numbers before and after. */
export function ProveWork({
  desk,
  me,
  onDone,
  onBack,
}: {
  desk: JobDesk;
  /** Who is signed in: made the electrical check unless somebody else is named. */
  me: string;
  onDone: () => void;
  onBack: () => void;
}) {
  const { job, busy } = desk;
  const closed = job.stage === 'closed';
  const held = job.cautions.some((c) => cautionOf(c).holds === 'power');
  const unmended = job.leftOpen.filter((f) => !job.agree.notWanted.includes(f));
  const failed = job.proofs.some((p) => p.result === 'fail');
  const cautions = [...new Set(job.proofs.flatMap((p) => p.cautions))].filter((c) => c !== 'earth-first');
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 960 }}>
      <Typography component="h2" variant="h2">
        Prove
      </Typography>
      <CautionGate desk={desk} />
      {unmended.length > 0 && (
        <Notice title={`Proved and not mended: ${unmended.map((f) => faultLabel(f).toLowerCase()).join(', ')}.`}>
          <Typography variant="body2">Tick it under Fit when it is done; else it stays open on the machine.</Typography>
        </Notice>
      )}
      <BesidesLeft job={job} />
      <NotWanted job={job} />
      {job.proofs.some((p) => p.asks.length > 0) && (
        <CautionPlate
          label="Electrical check"
          text="Earth continuity, insulation and touch current are tested by a competent person with rated instruments, to the limits of the local rules in force: local rules win over anything written here. Earth is proved before the first power-up."
        >
          <Link component={NextLink} href={`/gauges/safety-test?job=${job.id}`} className="no-print">
            Hold the readings against the limits
          </Link>
        </CautionPlate>
      )}
      {cautions.map((id) => (
        <CautionPlate key={id} {...cautionOf(id)} />
      ))}
      {job.proofs.map((p) => {
        const isHeld = held && p.power;
        const row = { proof: p, desk, disabled: closed || busy || isHeld, isHeld };
        if (p.quantity) return <NumberProof key={p.item} {...row} />;
        return p.asks.length > 0 ? <SignedProof key={p.item} {...row} me={me} /> : <PlainProof key={p.item} {...row} />;
      })}
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
  /** It needs power, and a caution holds power back. */
  isHeld: boolean;
}

/** One proof on a line of its own; two columns on a phone. */
const rowOf = (columns: string) => ({
  display: 'grid',
  gridTemplateColumns: { xs: '1fr 1fr', sm: columns },
  gap: 1,
  alignItems: 'center',
  borderBottom: '1px solid',
  borderColor: 'divider',
  pb: 1,
});

/** What is proved, and how it stands. */
function ProofName({ proof, isHeld }: Pick<RowProps, 'proof' | 'isHeld'>) {
  return (
    <Typography variant="body2" sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
      {proof.label}
      {proof.result && <strong>{proof.result === 'pass' ? ': passed' : ': failed'}</strong>}
      {isHeld && (
        <Box component="span" sx={{ display: 'block', color: 'bench.hazard' }}>
          needs power: held back
        </Box>
      )}
    </Typography>
  );
}

function PassOrFail({
  proof,
  disabled,
  onPress,
}: Pick<RowProps, 'proof' | 'disabled'> & { onPress: (result: 'pass' | 'fail') => void }) {
  return (
    <>
      <Button
        variant={proof.result === 'pass' ? 'contained' : 'outlined'}
        aria-pressed={proof.result === 'pass'}
        disabled={disabled}
        onClick={() => onPress('pass')}
      >
        Passed
      </Button>
      <Button
        variant={proof.result === 'fail' ? 'contained' : 'outlined'}
        color={proof.result === 'fail' ? 'secondary' : 'primary'}
        aria-pressed={proof.result === 'fail'}
        disabled={disabled}
        onClick={() => onPress('fail')}
      >
        Failed
      </Button>
    </>
  );
}

const ASKS: Record<ProofAsk, { label: string; hint: string }> = {
  rules: { label: 'By which rules', hint: 'Their name and edition' },
  readings: { label: 'Readings', hint: 'Earth, insulation, touch current' },
  tester: { label: 'Tested by', hint: 'A competent person' },
};

const proofDto = async () => (await import('@/shop/recordProof/dto')).RecordProofDto;
type Result = 'pass' | 'fail';

/** A proof that is signed: what was read, by which rules, by whom. It is never passed blank. */
function SignedProof({ proof, desk, disabled, isHeld, me }: RowProps & { me: string }) {
  const { rules = '', readings = '', tester = '' } = proof.details;
  const { control, setValue, submit } = useDeedForm({
    desk,
    deed: 'record-proof',
    dto: proofDto,
    start: { rules, readings, tester: tester || me, result: 'pass' as Result },
    body: (typed) => ({ ...typed, item: proof.item, note: proof.note }),
    kept: { rules: `rules ${proof.item}`, readings: `read ${proof.item}`, tester: `tester ${proof.item}` },
  });
  const press = (result: Result) => {
    setValue('result', result);
    submit();
  };
  return (
    <Box role="group" aria-label={proof.label} sx={rowOf('1fr auto auto')}>
      <ProofName proof={proof} isHeld={isHeld} />
      <PassOrFail proof={proof} disabled={disabled} onPress={press} />
      <Box
        sx={{
          gridColumn: '1 / -1',
          display: 'grid',
          gap: 1,
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1.6fr 1fr' },
          alignItems: 'start',
        }}
      >
        {proof.asks.map((ask) => (
          <FormText
            key={ask}
            control={control}
            name={ask}
            label={ASKS[ask].label}
            disabled={disabled}
            helperText={ASKS[ask].hint}
          />
        ))}
      </Box>
    </Box>
  );
}

function PlainProof({ proof, desk, disabled, isHeld }: RowProps) {
  const { control, setValue, submit } = useDeedForm({
    desk,
    deed: 'record-proof',
    dto: proofDto,
    start: { note: proof.note, result: 'pass' as Result },
    body: (typed) => ({ ...typed, item: proof.item }),
    kept: { note: `proof ${proof.item}` },
  });
  const press = (result: Result) => {
    setValue('result', result);
    submit();
  };
  return (
    <Box role="group" aria-label={proof.label} sx={rowOf('1fr 200px auto auto')}>
      <ProofName proof={proof} isHeld={isHeld} />
      <FormText
        control={control}
        name="note"
        label="Note"
        disabled={disabled}
        sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}
      />
      <PassOrFail proof={proof} disabled={disabled} onPress={press} />
    </Box>
  );
}

function NumberProof({ proof, desk, disabled }: RowProps) {
  const quantity = proof.quantity!;
  const show = (v: number | null) => (v === null ? '' : String(v));
  const told = (field: string, typed: string) => ({ field, message: ambiguity(quantity, typed) ?? 'A number.' });
  const { control, submit } = useDeedForm({
    desk,
    deed: 'record-proof',
    dto: proofDto,
    start: { before: show(proof.before), after: show(proof.after) },
    body({ before, after }) {
      const [b, a] = [parseQuantity(quantity, before), parseQuantity(quantity, after)];
      return { item: proof.item, result: 'pass', note: '', after: a?.value, ...(b ? { before: b.value } : {}) };
    },
    unread: ({ before, after }) => [
      ...(before.trim() !== '' && !parseQuantity(quantity, before) ? [told('before', before)] : []),
      ...(parseQuantity(quantity, after) ? [] : [told('after', after)]),
    ],
    kept: { before: `before ${proof.item}`, after: `after ${proof.item}` },
  });
  return (
    <Box
      component="form"
      aria-label={proof.label}
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      sx={rowOf('1fr 150px 150px auto')}
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
      <FormText control={control} name="before" label={`Before, ${UNITS[quantity].base}`} disabled={disabled} />
      <FormText control={control} name="after" label={`After, ${UNITS[quantity].base}`} disabled={disabled} />
      <Button type="submit" disabled={disabled}>
        Keep
      </Button>
    </Box>
  );
}
