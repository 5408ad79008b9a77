'use client';

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { CautionPlate } from '../parts/CautionPlate';
import { instantAt } from '../parts/instants';
import { useKeptText } from '../parts/useKeptText';
import { cautionOf } from './labels';
import type { JobDesk } from './useJob';
import { Words } from '../parts/Words';
import styles from './job.module.css';
import { Press } from '../parts/Press';

/** Cautions in force, and those of old age: each says what it holds back, and is cleared under a name with how it was made safe. */
export function CautionGate({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  return (
    <>
      {job.standing.map((id) => (
        <CautionPlate key={id} {...cautionOf(id)} />
      ))}
      {job.cautions.map((id) => (
        <Gate key={id} id={id} desk={desk} />
      ))}
      {job.clearedCautions.map((c) => (
        <Words size="caption" as="span" tone="soft" key={c.caution}>
          {cautionOf(c.caution).label}: cleared by {c.by}, {instantAt(c.at, job.zone)}. {c.how}
        </Words>
      ))}
    </>
  );
}

function Gate({ id, desk }: { id: string; desk: JobDesk }) {
  const caution = cautionOf(id);
  const [open, setOpen] = useState(false);
  const [how, setHow, dropHow] = useKeptText(`job-${desk.job.id}`, `how ${id}`, '');
  const problem = desk.refusal?.fields.find((f) => f.field === 'how')?.message;
  return (
    <CautionPlate
      label={caution.label}
      text={caution.text + (caution.holds === 'power' ? ' Nothing that needs power is offered or taken.' : '')}
    >
      {desk.job.stage !== 'closed' && !open && (
        <Press small onClick={() => setOpen(true)} className={styles.gapAbove}>
          Made safe: clear it under my name
        </Press>
      )}
      {open && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void desk.act('clear-caution', { caution: id, how }).then((done) => done && dropHow());
          }}
          className={styles.clear}
        >
          <TextField
            label="How was it made safe?"
            value={how}
            onChange={(e) => setHow(e.target.value)}
            error={Boolean(problem)}
            helperText={problem ?? 'Opened, dried, insulation measured … It is kept under your name.'}
            autoFocus
            sx={{ flex: '1 1 260px' }}
          />
          <Button type="submit" variant="contained" color="error" disabled={desk.busy}>
            Clear
          </Button>
          <Press onClick={() => setOpen(false)}>Leave it</Press>
        </form>
      )}
    </CautionPlate>
  );
}
