'use client';

import Button from '@mui/material/Button';
import { useState } from 'react';
import { FormText } from '../forms/FormText';
import { CautionPlate } from '../parts/CautionPlate';
import { instantAt } from '../parts/instants';
import { cautionOf } from './labels';
import { useDeedForm } from './useDeedForm';
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
  const { control, submit } = useDeedForm({
    desk,
    deed: 'clear-caution',
    dto: async () => (await import('@/shop/clearCaution/dto')).ClearCautionDto,
    start: { how: '' },
    body: ({ how }) => ({ caution: id, how }),
    kept: { how: `how ${id}` },
  });
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
            submit();
          }}
          className={styles.clear}
        >
          <FormText
            control={control}
            name="how"
            label="How was it made safe?"
            helperText="Opened, dried, insulation measured … It is kept under your name."
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
