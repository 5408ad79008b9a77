'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { schools } from '@/knowledge/schools';
import type { ProposalView } from '@/shop/agree/dto';
import { faultLabel } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { CautionPlate } from '../parts/CautionPlate';
import { longText } from '../parts/longText';

/** Where good practitioners differ on this job: which side the shop takes, and the other on a press. */
export function SchoolsHere({ desk, proposal }: { desk: JobDesk; proposal: ProposalView }) {
  const { job, busy } = desk;
  const choose = (id: string, side: 'a' | 'b') =>
    void desk.act('choose-schools', {
      schools: Object.entries({ ...job.agree.schools, [id]: side }).map(([name, s]) => ({ id: name, side: s })),
    });
  return (
    <Box component="details" sx={{ '& summary': { cursor: 'pointer' } }}>
      <summary>How we do it here</summary>
      {proposal.schools.map(({ school, shop }) => {
        const side = job.agree.schools[school.id] ?? shop;
        const other = side === 'a' ? 'b' : 'a';
        return (
          <Box key={school.id} sx={{ py: 0.5, borderBottom: '1px solid', borderColor: 'divider' }}>
            <Typography variant="body2">
              {school.question} <strong>{school[side]}</strong>
              {job.agree.schools[school.id] && ', on this job'}.{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {school.why}
              </Box>
            </Typography>
            <Button
              size="small"
              variant="text"
              color="inherit"
              disabled={busy}
              onClick={() => choose(school.id, other)}
            >
              Here: {school[other]}
            </Button>
          </Box>
        );
      })}
    </Box>
  );
}

/** A failed switch that is bridged: only by its rules, each of them ticked and written down. */
export function Bridging({ desk, proposal }: { desk: JobDesk; proposal: ProposalView }) {
  const { job, busy, refusal } = desk;
  const interlock = schools.find((s) => s.id === 'interlock')!;
  const fault = job.proved.find((f) => interlock.faults!.includes(f) && !job.agree.bridges.some((b) => b.fault === f));
  const side = job.agree.schools.interlock ?? proposal.schools.find((s) => s.school.id === 'interlock')?.shop;
  const [who, setWho] = useState(job.customer.name);
  const [words, setWords] = useState('');
  const [rule, setRule] = useState('');
  const [allowedHere, setAllowedHere] = useState(false);
  const [labelPrinted, setLabelPrinted] = useState(false);
  const problem = (field: string) => refusal?.fields.find((f) => f.field === field)?.message;
  if (!fault || side !== 'b') return null;
  return (
    <Box component="section" aria-label="Bridging" sx={{ display: 'grid', gap: 1 }}>
      <CautionPlate
        label="A protection is bridged"
        text="Only when no local rule forbids it, with the owner’s own words on record, the label on the machine, and a line in its history for ever. It no longer stops by itself: say so, and show it."
      />
      <TextField
        size="small"
        label="Who agreed"
        value={who}
        onChange={(e) => setWho(e.target.value)}
        error={Boolean(problem('who'))}
        helperText={problem('who')}
      />
      <TextField
        size="small"
        label="In their own words"
        value={words}
        {...longText()}
        onChange={(e) => setWords(e.target.value)}
        error={Boolean(problem('words'))}
        helperText={problem('words')}
      />
      <TextField
        size="small"
        label="Which rule was looked at"
        value={rule}
        onChange={(e) => setRule(e.target.value)}
        error={Boolean(problem('rule'))}
        helperText={problem('rule')}
      />
      <FormControlLabel
        control={<Checkbox checked={allowedHere} onChange={(e) => setAllowedHere(e.target.checked)} />}
        label={problem('allowedHere') ?? 'No local rule forbids it'}
      />
      <FormControlLabel
        control={<Checkbox checked={labelPrinted} onChange={(e) => setLabelPrinted(e.target.checked)} />}
        label={problem('labelPrinted') ?? 'The label is on the machine'}
      />
      <Box>
        <Button
          color="secondary"
          disabled={busy}
          onClick={() => void desk.act('bridge', { fault, who, words, rule, allowedHere, labelPrinted })}
        >
          Bridge it: {faultLabel(fault).toLowerCase()}
        </Button>
      </Box>
    </Box>
  );
}
