'use client';

import { useState } from 'react';
import type { JobFacts } from '@/shop/jobView/dto';
import type { SeenView } from '@/shop/practice/dto';
import { outcomeLabel, type Doing } from '../job/labels';
import { send } from '../parts/post';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import styles from './find.module.css';

/** On a practice job nothing stands on the bench: it tells what would be seen, and leaves the answering to who practises. */
export function PracticeLook({ job, doing, disabled }: { job: JobFacts; doing: Doing; disabled: boolean }) {
  const [seen, setSeen] = useState<SeenView['seen'] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const lookAtIt = async () => {
    setBusy(true);
    const sent = await send<SeenView>('POST', `/api/v1/jobs/${job.id}/look`, { check: doing.id });
    setBusy(false);
    setTrouble(sent.ok ? null : (sent.refusal.fields[0]?.message ?? sent.refusal.title));
    if (sent.ok) setSeen(sent.value.seen);
  };
  const words = seen?.map(({ aspect, outcome }) => {
    const label = doing.repairs
      ? outcome === 'gone'
        ? 'complaint gone'
        : 'still there'
      : outcomeLabel(job.machine.kind, doing.id, outcome);
    const named = doing.aspects.find((a) => a.id === aspect);
    return doing.aspects.length > 1 && named ? `${named.label}: ${label}` : label;
  });
  return (
    <div className={styles.instrument}>
      <Press small disabled={disabled || busy} onClick={() => void lookAtIt()}>
        {doing.repairs ? 'Run it' : 'Look'}
      </Press>
      {words && <Words role="status">You see: {words.join('; ')}.</Words>}
      {trouble && (
        <Words role="alert" className={styles.wrong}>
          {trouble}
        </Words>
      )}
    </div>
  );
}
