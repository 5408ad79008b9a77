'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { AnyGauge } from '@/core/gauges/reckon';
import type { RawValues } from '@/core/gauges/fields';
import type { GaugeAnswer } from '@/core/gauges/gauge';
import { knowledge } from '@/knowledge';
import { planItems } from '@/knowledge/plans';
import type { JobFacts } from '@/shop/jobView/dto';
import { JobConflict } from '../job/JobConflict';
import '../job/everyKind';
import { allDoings } from '../job/labels';
import { useJob } from '../job/useJob';
import { Notice } from '../parts/Notice';
import { Onward } from './Onward';

interface Props {
  names: Readonly<Record<string, string>>;
  gauge: AnyGauge;
  answer: GaugeAnswer;
  raw: RawValues;
}

/** What a result is good for in its job: it answers the finder, starts a wait, sets a plan, or proves. */
export function JobUses(props: Props & { initial: JobFacts }) {
  const { gauge, answer, raw, initial } = props;
  const desk = useJob(initial, null);
  const { job, busy, act } = desk;
  const [use, setUse] = useState<ReadonlySet<string>>(new Set());
  const [kept, setKept] = useState('');
  const uses = usesOf(answer, job);
  const content = JSON.stringify(raw);
  const keep = async () => {
    const chosen = uses.filter((u) => use.has(u.id)).map((u) => u.id);
    if (await act('keep-gauge', { gauge: gauge.id, inputs: raw, use: chosen })) setKept(content);
  };
  return (
    <Box component="section" aria-label="For the job" className="no-print" sx={{ display: 'grid', gap: 1.25 }}>
      <JobConflict desk={desk} />
      {desk.refusal && !desk.conflict && (
        <Notice live title={desk.refusal.title}>
          {desk.refusal.fields.map((f) => (
            <Typography key={f.field + f.message} variant="body2">
              {f.message}
            </Typography>
          ))}
        </Notice>
      )}
      {job.stage === 'closed' ? (
        <Typography variant="body2">Job {job.id} is closed: nothing more is kept with it.</Typography>
      ) : (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          <Button variant="contained" disabled={busy || kept === content} onClick={() => void keep()}>
            {kept === content ? `Kept with job ${job.id}` : 'Keep with job'}
          </Button>
          {uses.map((u) => (
            <FormControlLabel
              key={u.id}
              control={
                <Checkbox
                  checked={use.has(u.id)}
                  onChange={(e) => {
                    const next = new Set(use);
                    if (e.target.checked) next.add(u.id);
                    else next.delete(u.id);
                    setUse(next);
                  }}
                />
              }
              label={u.label}
            />
          ))}
        </Box>
      )}
      <Onward {...props} desk={desk} />
    </Box>
  );
}

/** What this result may do in this job at once. */
function usesOf(
  { feeds = {} }: GaugeAnswer,
  job: JobFacts,
): { id: 'finding' | 'wait' | 'plan' | 'proof'; label: string }[] {
  const { finding, wait, plan, proof } = feeds;
  const shown = proof && job.proofs.find((p) => p.item === proof.item);
  const check = finding && knowledge.checks.find((c) => c.id === finding.check);
  const isHere = check && allDoings(job.machine.kind).some((c) => c.id === check.id);
  const item = plan && planItems.find((p) => p.id === plan.item);
  return [
    ...(isHere ? [{ id: 'finding' as const, label: `answers “${check.label}” in Find` }] : []),
    ...(wait && !job.waits.some((w) => !w.endedAt) ? [{ id: 'wait' as const, label: 'starts the wait clock' }] : []),
    ...(shown
      ? [
          {
            id: 'proof' as const,
            label: `${proof!.result === 'pass' ? 'passes' : 'fails'} “${shown.label}” in Prove`,
          },
        ]
      : []),
    ...(item?.stations[job.machine.kind]
      ? [{ id: 'plan' as const, label: `sets “${item.label}” to ${plan!.dueOn}` }]
      : []),
  ];
}
