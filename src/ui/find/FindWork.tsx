'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { JobDesk } from '../job/useJob';
import { faultLabel, faultOf } from '../job/labels';
import { Key } from '../parts/Key';
import { Notice } from '../parts/Notice';
import { useKeptText } from '../parts/useKeptText';
import { CheckCard, type Answered } from './CheckCard';
import { CautionGate } from './CautionGate';
import { FaultList } from './FaultList';
import { FindingLog } from './FindingLog';
import { OtherChecks } from './OtherChecks';
import { SameWorth } from './SameWorth';

interface Props {
  desk: JobDesk;
  onLook: (check: string | null) => void;
  onDone: () => void;
  station: string | null;
  onStation: (station: string | null) => void;
}

/** Finding: the proposed check with its keys, the odds, and what was done so far. */
export function FindWork({ desk, onLook, onDone, station, onStation }: Props) {
  const { job, act, busy } = desk;
  const { assessment } = job;
  // The check that lies on the bench half done is there again after a reload.
  const [kept, keep, forget] = useKeptText(`job-${job.id}`, 'check', '');
  const pinned = kept === '' ? null : kept;
  const latest = useRef(pinned);
  useEffect(() => {
    latest.current = pinned;
  });
  const setPinned = (check: string | null) => {
    keep(check ?? '');
    if (check === null) forget();
  };
  const closed = job.stage === 'closed';
  const proposed = job.firstChecks[0] ?? assessment.next.find((n) => n.heldBackBy.length === 0)?.check ?? null;
  const current = pinned ?? (assessment.finished ? null : proposed);
  useEffect(() => onLook(current), [current, onLook]);

  const inForce = useMemo(() => job.findings.filter((f) => !f.revoked), [job.findings]);
  const last = inForce.at(-1);
  const undo = () => last && act('revoke-finding', { finding: last.id });
  useHotkeys('u', () => void undo(), { enabled: !closed }, [last, act]);
  useHotkeys('escape', () => setPinned(null));

  const record = async (answered: Answered[], stay: boolean) => {
    const before = pinned;
    if (!(await act('record-findings', { findings: answered }))) return;
    // What was picked while the answer was on its way stays picked.
    if (latest.current === before) setPinned(stay ? (answered[0]?.check ?? null) : null);
  };
  const next = assessment.next.find((n) => n.check === current) ?? null;

  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <CautionGate desk={desk} />
      {assessment.finished && (
        <Notice title={`Cause proved: ${assessment.proved.map(faultLabel).join(', ')}.`}>
          <Typography variant="body2">
            {assessment.proved.map((id) => faultOf(id)?.repair.label).join('; ')}. Anything else found open on the way
            is worth a look before it is closed.
          </Typography>
          {!closed && (
            <Button variant="contained" onClick={onDone} disabled={busy} sx={{ mt: 1 }}>
              To Fit
            </Button>
          )}
        </Notice>
      )}
      <Box
        sx={{
          display: 'grid',
          gap: 2.5,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1.35fr) minmax(0, 1fr)' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.5, minWidth: 0 }}>
          {current && !closed && job.firstChecks.includes(current) && (
            <Notice title="First, because of how it arrived." />
          )}
          {current && !closed && current === proposed && !job.firstChecks.length && (next?.informs ?? 0) <= 0.02 && (
            <Notice title="No check is worth its minutes any more.">
              <Typography variant="body2">Fit what is most likely and run it, or look further below.</Typography>
            </Notice>
          )}
          {current &&
            !closed &&
            current === proposed &&
            current.startsWith('repair:') &&
            (next?.informs ?? 0) > 0.02 && (
              <Notice title="Fit it and run it.">
                <Typography variant="body2">Looking further would cost more than it is expected to save.</Typography>
              </Notice>
            )}
          {current && !closed ? (
            <CheckCard
              key={current}
              job={job}
              checkId={current}
              next={next}
              proposed={current === proposed}
              busy={busy}
              onRecord={record}
              onLeave={() => setPinned(null)}
            />
          ) : (
            !assessment.finished && (
              <Notice
                title={
                  closed ? 'This job is closed.' : 'Nothing more is worth checking without clearing a caution first.'
                }
              />
            )
          )}
          {current && !closed && current === proposed && <SameWorth job={job} current={current} onPick={setPinned} />}
          <FindingLog job={job} onRevoke={closed ? null : (id) => void act('revoke-finding', { finding: id })} />
          {!closed && (
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
              <Button onClick={undo} disabled={busy || !last} size="small">
                Undo last &nbsp;<Key>u</Key>
              </Button>
              {!assessment.finished && (
                <Button size="small" onClick={onDone} disabled={busy}>
                  Go to Fit without proof
                </Button>
              )}
              <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                {assessment.minutesSpent.toFixed(1)} min spent
                {!assessment.finished &&
                  `, about ${Math.round(assessment.minutesToGo)} more to the end with the repair`}
              </Typography>
            </Box>
          )}
        </Box>
        <Box sx={{ display: 'grid', gap: 2, minWidth: 0 }}>
          <FaultList job={job} station={station} onStation={onStation} />
          {!closed && <OtherChecks job={job} current={current} onPick={setPinned} />}
        </Box>
      </Box>
    </Box>
  );
}
