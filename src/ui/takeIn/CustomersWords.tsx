'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useMemo, type RefObject } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { CounterNames } from '@/knowledge/atTheCounter';
import { visits } from '@/knowledge/counter';
import type { Visit } from '@/shop/jobView/dto';
import { Key } from '../parts/Key';
import { TypedField } from './TypedField';
import { useHearing, type Proposal } from './useHearing';
import type { TakeInForm } from './useTakeIn';
import type { Trade } from './useTrade';
import { longText } from '../parts/longText';

interface Props {
  form: TakeInForm;
  names: CounterNames;
  kindId: string | null;
  /** What is known of machines, when it is there. */
  trade: Trade | undefined;
  wordsBox: RefObject<HTMLTextAreaElement | null>;
}

/** The customer's own words, the complaints that are heard in them, and what they think it is. */
export function CustomersWords({ form, names, kindId, trade, wordsBox }: Props) {
  const { values: v, set, toggle, fieldProblem: problem } = form;
  const knowledge = trade?.knowledge;
  const ofKind = useMemo(
    () => (kindId && knowledge ? knowledge.complaints.filter((c) => c.kinds.includes(kindId)) : null),
    [kindId, knowledge],
  );
  // Before the machine is known: what most kinds can have; the rest is heard in the words, or comes with the machine.
  const offered = ofKind ?? names.complaints.filter((c) => c.isCommon || v.complaints.includes(c.id));
  const faults = useMemo(
    () => (kindId && knowledge ? knowledge.faults.filter((f) => kindId in f.kinds) : []),
    [kindId, knowledge],
  );
  const { proposed, deaf } = useHearing(v, ofKind ?? names.complaints);
  const accept = (p: Proposal | undefined) => {
    if (p?.complaint) toggle('complaints', p.complaint);
    if (p?.visit) set({ visit: p.visit });
  };
  useHotkeys(
    'alt+1,alt+2,alt+3',
    (event) => {
      event.preventDefault();
      accept(proposed[Number(event.code.slice(-1)) - 1]);
    },
    { enableOnFormTags: true },
    [proposed],
  );
  return (
    <>
      <Typography component="h2" variant="h2">
        What the customer says
      </Typography>
      <TextField
        label="In their own words"
        inputRef={wordsBox}
        value={v.words}
        onChange={(e) => set({ words: e.target.value })}
        {...longText(3)}
        error={Boolean(problem('words'))}
        helperText={problem('words') ?? 'Kept as spoken.'}
      />
      <Box
        role="status"
        aria-label="Heard in their words"
        // One line, whatever is heard: what stands below must not move away under the finger.
        sx={{
          display: 'flex',
          gap: 0.75,
          height: 44,
          overflowX: 'auto',
          overflowY: 'hidden',
          '& > *': { flexShrink: 0 },
        }}
      >
        {proposed.length > 0 && (
          <Typography variant="body2" sx={{ alignSelf: 'center', color: 'text.secondary' }}>
            Heard:
          </Typography>
        )}
        {proposed.map((p, i) => (
          <Button key={p.label} size="small" onClick={() => accept(p)} title={`Heard in: ${p.because}`}>
            {p.label} &nbsp;<Key>{`Alt ${i + 1}`}</Key>
          </Button>
        ))}
        {deaf && (
          <Typography variant="body2" sx={{ alignSelf: 'center', color: 'text.secondary' }}>
            The words could not be listened to just now: choose below.
          </Typography>
        )}
      </Box>
      <Box role="group" aria-label="Complaints">
        <Typography variant="h3" component="h3" sx={{ mb: 0.5 }}>
          Complaints
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {offered.map((c) => (
            <ToggleButton
              key={c.id}
              value={c.id}
              size="small"
              selected={v.complaints.includes(c.id)}
              onChange={() => toggle('complaints', c.id)}
            >
              {c.label}
            </ToggleButton>
          ))}
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 1, alignItems: 'center' }}>
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            Nothing wrong:
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="Why it is here when nothing is wrong"
            value={v.visit}
            onChange={(_, visit: Visit | null) => set({ visit: visit ?? '' })}
            sx={{ flexWrap: 'wrap' }}
          >
            {visits.map((visit) => (
              <ToggleButton key={visit.id} value={visit.id}>
                {visit.label}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        {problem('complaints') && (
          <Typography variant="caption" role="alert" sx={{ color: 'error.main' }}>
            {problem('complaints')}
          </Typography>
        )}
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
        <TextField
          select
          label="They think it is"
          value={v.guess}
          onChange={(e) => set({ guess: e.target.value })}
          helperText="A hint of small weight."
          disabled={faults.length === 0}
        >
          <MenuItem value="">nothing said</MenuItem>
          {faults.map((f) => (
            <MenuItem key={f.id} value={f.id}>
              {f.label}
            </MenuItem>
          ))}
        </TextField>
        <TypedField form={form} name="pickedUp" label="Picked up last" help="Plaster, water, glass, a sock …" />
      </Box>
    </>
  );
}
