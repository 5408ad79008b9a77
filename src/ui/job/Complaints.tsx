'use client';

import Link from '@mui/material/Link';
import { useState } from 'react';
import { visits } from '@/knowledge/counter';
import { FormText } from '../forms/FormText';
import { complaintLabel } from './labels';
import { useDeedForm } from './useDeedForm';
import type { JobDesk } from './useJob';
import { Words } from '../parts/Words';
import styles from './job.module.css';
import { Press } from '../parts/Press';

/** What the machine is here for; a complaint that the bench does not find is struck with a reason, the words stay. */
export function Complaints({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  const [striking, setStriking] = useState<string | null>(null);
  const closed = job.stage === 'closed';
  return (
    <div className={styles.all}>
      {job.visit && <Words>Here for {visits.find((v) => v.id === job.visit)!.says}.</Words>}
      {job.complaints.map((id) => (
        <div key={id}>
          <Words as="span">{complaintLabel(id)}</Words>
          {!closed && striking !== id && (
            <Link
              component="button"
              type="button"
              variant="body2"
              aria-label={`Not found at the bench: ${complaintLabel(id)}`}
              onClick={() => setStriking(id)}
              sx={{ ml: 1, color: 'text.secondary' }}
              className="no-print"
            >
              not found?
            </Link>
          )}
          {striking === id && <Strike desk={desk} complaint={id} onEnd={() => setStriking(null)} />}
        </div>
      ))}
      {job.struck.map((s) => (
        <Words tone="soft" key={s.complaint}>
          <s>{complaintLabel(s.complaint)}</s>: {s.why}
        </Words>
      ))}
    </div>
  );
}

function Strike({ desk, complaint, onEnd }: { desk: JobDesk; complaint: string; onEnd: () => void }) {
  const { control, submit } = useDeedForm({
    desk,
    deed: 'strike-complaint',
    dto: async () => (await import('@/shop/strikeComplaint/dto')).StrikeComplaintDto,
    start: { why: '' },
    body: ({ why }) => ({ complaint, why }),
    onDone: onEnd,
  });
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      className={styles.form}
    >
      <FormText
        control={control}
        name="why"
        label="What was seen instead?"
        helperText="Their words stay as they were said."
        autoFocus
      />
      <div className={styles.buttons}>
        <Press small type="submit" disabled={desk.busy}>
          Strike it
        </Press>
        <Press small onClick={onEnd}>
          Leave it
        </Press>
      </div>
    </form>
  );
}
