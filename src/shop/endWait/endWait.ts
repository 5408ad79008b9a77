import * as jobs from '@/data/jobs';
import type { Person } from '../access/person';
import type { JobDeedDto } from '../jobDeed/dto';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';

/** Ends the running wait: the machine comes back to the bench. */
export function endWait(person: Person, jobId: number, dto: JobDeedDto) {
  return jobDeed('end-wait', person, jobId, dto, async ({ db, job, tell }) => {
    const ended = await jobs.endWait(db, job.id);
    refuseIf(ended ? [] : [{ field: 'wait', message: 'No wait is running.' }]);
    await jobs.updateJob(db, job.id, { place: 'bench' });
    await tell('wait', 'Wait ended.');
  });
}
