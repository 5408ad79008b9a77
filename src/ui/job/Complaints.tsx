'use client';

import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { visits } from '@/knowledge/counter';
import { complaintLabel } from './labels';
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
  const [why, setWhy] = useState('');
  const problem = desk.refusal?.fields.find((f) => f.field === 'why')?.message;
  return (
    <form
      onSubmit={async (e) => {
        e.preventDefault();
        if (await desk.act('strike-complaint', { complaint, why })) onEnd();
      }}
      className={styles.form}
    >
      <TextField
        label="What was seen instead?"
        value={why}
        onChange={(e) => setWhy(e.target.value)}
        error={Boolean(problem)}
        helperText={problem ?? 'Their words stay as they were said.'}
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
