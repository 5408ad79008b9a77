'use client';

import type { JobChanges, JobFacts } from '@/shop/jobView/dto';
import { EditSheet } from '../sheet/EditSheet';
import { bookOf } from '../job/trade';
import type { JobDesk } from '../job/useJob';

const values = (job: JobFacts) => ({
  words: job.words,
  complaints: job.complaints,
  promisedOn: job.promisedOn,
  pickedUp: job.pickedUp,
  accessories: job.accessories,
});

/** Corrects what the counter wrote down. */
export function AmendJob({ desk, onClose }: { desk: JobDesk; onClose: () => void }) {
  const { job } = desk;
  return (
    <EditSheet<JobChanges>
      title={`Correct the take-in of job ${job.id}`}
      fields={[
        { name: 'words', label: 'In the customer’s own words', sort: 'long' },
        {
          name: 'complaints',
          label: 'Complaints',
          sort: 'several',
          choices: bookOf(job.machine.kind)
            .knowledge.complaints.filter((c) => c.kinds.includes(job.machine.kind))
            .map((c) => ({ value: c.id, label: c.label })),
          help: 'As they were meant. One that the bench does not find is struck beside the words instead.',
        },
        { name: 'promisedOn', label: 'Promised for', sort: 'date', span: 3 },
        { name: 'pickedUp', label: 'Picked up last', span: 3 },
        { name: 'accessories', label: 'Came with it, one a line', sort: 'lines' },
      ]}
      values={values(job)}
      version={job.version}
      dto={async () => (await import('@/shop/amendJob/dto')).AmendJobDto}
      url={`/api/v1/jobs/${job.id}/amend-job`}
      draft={`amend-job-${job.id}`}
      body={({ complaints, ...v }) => ({
        ...v,
        // A visit has none, and that is nothing to correct.
        ...(job.visit && (complaints as string[]).length === 0 ? {} : { complaints }),
        accessories: (v.accessories as string[]).map((a) => a.trim()).filter(Boolean),
      })}
      current={(card) => ({ values: values(card as JobFacts), version: (card as JobFacts).version })}
      onDone={(saved) => {
        desk.take(saved);
        onClose();
      }}
      onClose={onClose}
    />
  );
}
