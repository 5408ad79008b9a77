'use client';

import { useState } from 'react';
import { useLater } from '../asking/useLater';
import { CautionPlate } from '../parts/CautionPlate';
import { instantAt } from '../parts/instants';
import { NotFetched } from '../parts/NotFetched';
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
  const later = useLater('clearing', async () => (await import('./ClearCaution')).ClearCaution, open);
  const Clear = later.piece;
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
      {open &&
        (Clear ? (
          <Clear id={id} desk={desk} onEnd={() => setOpen(false)} />
        ) : (
          <NotFetched failed={later.failed} what="What it is cleared with" again={later.again} />
        ))}
    </CautionPlate>
  );
}
