'use client';

import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Notice } from '../parts/Notice';
import { ambiguity } from '@/core/units/units';
import { readNumber } from '../parts/readNumber';
import { PhotographPicker } from '../parts/PhotographPicker';
import { useKeptText } from '../parts/useKeptText';
import { AmendJob } from './AmendJob';
import { JobPhotographs } from './JobPhotographs';
import type { JobDesk } from '../job/useJob';
import { classes, Words } from '../parts/Words';
import styles from './job.module.css';
import { Press, PressLink } from '../parts/Press';

/** What is written into the machine's book at any stage: words said, notes, the hour meter, photographs; and its papers. */
export function JobBook({ desk }: { desk: JobDesk }) {
  const { job, act, busy } = desk;
  const [text, setText, dropText] = useKeptText(`job-${job.id}`, 'note', '');
  const [hours, setHours, dropHours] = useKeptText(`job-${job.id}`, 'meter', '');
  const [amending, setAmending] = useState(false);
  const [turning, setTurning] = useState(false);
  const turn = async () => {
    if (await act(job.practice ? 'end-practice' : 'make-practice')) setTurning(false);
  };
  const closed = job.stage === 'closed';
  const write = async (what: 'said' | 'note') => {
    if (text.trim() !== '' && (await act('write-note', { what, text }))) {
      setText('');
      dropText();
    }
  };
  const meter = readNumber(hours) ?? NaN;
  return (
    <section aria-label="Book" className={classes('no-print', styles.book)}>
      <Words size="h3" as="h2">
        Into the book
      </Words>
      {!closed && (
        <>
          <TextField
            label="A note, or what was said"
            value={text}
            onChange={(e) => setText(e.target.value)}
            multiline
            minRows={2}
          />
          <div className={styles.row}>
            <Press small disabled={busy || text.trim() === ''} onClick={() => void write('note')}>
              Note it
            </Press>
            <Press small disabled={busy || text.trim() === ''} onClick={() => void write('said')}>
              The customer said it
            </Press>
          </div>
          <form
            onSubmit={async (e) => {
              e.preventDefault();
              if (hours.trim() !== '' && (await act('record-meter', { hours: meter }))) {
                setHours('');
                dropHours();
              }
            }}
            className={styles.rowTop}
          >
            <TextField
              label="Hour meter"
              value={hours}
              onChange={(e) => setHours(e.target.value)}
              error={hours.trim() !== '' && !Number.isFinite(meter)}
              helperText={ambiguity('number', hours)}
              sx={{ minWidth: 0, flex: 1 }}
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
            <Press
              small
              type="submit"
              disabled={busy || hours.trim() === '' || !Number.isFinite(meter)}
              className={styles.ownButton}
            >
              Write&nbsp;down
            </Press>
          </form>
          <PhotographPicker
            photographs={[]}
            onAdd={(id) => void act('add-photograph', { photographs: [id], caption: text.trim().slice(0, 300) })}
          />
        </>
      )}
      <JobPhotographs job={job} />
      <div className={styles.tight}>
        <PressLink small tone="plain" href={`/jobs/${job.id}/job-sheet`}>
          Job sheet
        </PressLink>
        <PressLink small tone="plain" href={`/machines/${job.machine.tag}/tag`}>
          Tag
        </PressLink>
        {!closed && (job.practice || job.findings.every((f) => f.revoked)) && (
          <Press small tone="plain" disabled={busy} onClick={() => setTurning(true)}>
            {job.practice ? 'End the practice' : 'Practise on it'}
          </Press>
        )}
        {!closed && (
          <Press small tone="plain" onClick={() => setAmending(true)}>
            Correct the take-in
          </Press>
        )}
      </div>
      {turning && (
        <Notice live title={job.practice ? 'Make it a real job again?' : 'Make it a practice job?'}>
          <Words>
            {job.practice
              ? 'What was found in practice is taken back; the real machine is looked at from the start.'
              : 'Faults are hidden in it and the bench answers from them. The real machine is not looked at, the job is not counted, and it can be made real again.'}
          </Words>
          <div className={styles.below}>
            <Press small tone="strong" disabled={busy} onClick={() => void turn()}>
              {job.practice ? 'Yes, end it' : 'Yes, practise'}
            </Press>
            <Press small disabled={busy} onClick={() => setTurning(false)}>
              No
            </Press>
          </div>
        </Notice>
      )}
      {amending && <AmendJob desk={desk} onClose={() => setAmending(false)} />}
    </section>
  );
}
