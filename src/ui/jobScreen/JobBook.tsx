'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { Notice } from '../parts/Notice';
import { ambiguity } from '@/core/units/units';
import { readNumber } from '../parts/readNumber';
import { PhotographPicker } from '../parts/PhotographPicker';
import { JobPhotographs } from './JobPhotographs';
import { FormPlain } from '../forms/FormPlain';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { classes, Words } from '../parts/Words';
import { useTypedEarly, WAKES_LATER } from '../theme/useTypedEarly';
import styles from './job.module.css';
import { Press, PressLink } from '../parts/Press';

const AmendJob = dynamic(() => import('./AmendJob').then((m) => m.AmendJob));

/** What is written into the machine's book at any stage: words said, notes, the hour meter, photographs; and its papers. */
export function JobBook({ desk }: { desk: JobDesk }) {
  const { job, act, busy } = desk;
  const [amending, setAmending] = useState(false);
  const [turning, setTurning] = useState(false);
  const turn = async () => {
    if (await act(job.practice ? 'end-practice' : 'make-practice')) setTurning(false);
  };
  const closed = job.stage === 'closed';
  const book = useTypedEarly<HTMLElement>();
  return (
    <section ref={book} {...WAKES_LATER} aria-label="Book" className={classes('no-print', styles.book)}>
      <Words size="h3" as="h2">
        Into the book
      </Words>
      {!closed && (
        <>
          <NoteForm desk={desk} />
          <MeterForm desk={desk} />
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

/** Something said, or a note of ours; the same words go with a photograph. */
function NoteForm({ desk }: { desk: JobDesk }) {
  const { act, busy } = desk;
  const { control, reset, setValue, submit } = useDeedForm({
    desk,
    deed: 'write-note',
    dto: async () => (await import('@/shop/writeNote/dto')).WriteNoteDto,
    start: { text: '', what: 'note' as 'said' | 'note' },
    unread: ({ text }) => (text.trim() === '' ? [{ field: 'text', message: 'Some words.' }] : []),
    kept: { text: 'note' },
    onDone() {
      reset({ text: '', what: 'note' });
    },
  });
  const text = useWatch({ control, name: 'text' });
  const write = (what: 'said' | 'note') => {
    setValue('what', what);
    submit();
  };
  return (
    <>
      <FormPlain control={control} name="text" label="A note, or what was said" lines={2} />
      <div className={styles.row}>
        <Press small disabled={busy || text.trim() === ''} onClick={() => write('note')}>
          Note it
        </Press>
        <Press small disabled={busy || text.trim() === ''} onClick={() => write('said')}>
          The customer said it
        </Press>
      </div>
      <PhotographPicker
        photographs={[]}
        onAdd={(id) => void act('add-photograph', { photographs: [id], caption: text.trim().slice(0, 300) })}
      />
    </>
  );
}

function MeterForm({ desk }: { desk: JobDesk }) {
  const { control, reset, submit } = useDeedForm({
    desk,
    deed: 'record-meter',
    dto: async () => (await import('@/shop/recordMeter/dto')).RecordMeterDto,
    start: { hours: '' },
    body: ({ hours }) => ({ hours: readNumber(hours) }),
    unread: ({ hours }) =>
      typeof readNumber(hours) === 'number'
        ? []
        : [{ field: 'hours', message: ambiguity('number', hours) ?? 'Hours, as the meter shows them.' }],
    kept: { hours: 'meter' },
    onDone() {
      reset({ hours: '' });
    },
  });
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      className={styles.rowTop}
    >
      <FormPlain control={control} name="hours" label="Hour meter" inputMode="decimal" className={styles.grow} />
      <Press small type="submit" disabled={desk.busy} className={styles.ownButton}>
        Write&nbsp;down
      </Press>
    </form>
  );
}
