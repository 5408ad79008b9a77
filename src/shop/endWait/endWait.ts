import * as jobs from '@/data/jobs';
import { everyone } from '../access/roles';
import { JobDeedDto } from '../jobDeed/dto';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';

/** Ends the running wait: the machine comes back to the bench. */
export const endWait = jobDeed({
  name: 'end-wait',
  roles: everyone,
  summary: 'End the running wait',
  dto: JobDeedDto,
  touches: ['waits'],
  async work({ db, jobId, tell, change }) {
    const ended = await jobs.endWait(db, jobId);
    refuseIf(ended ? [] : [{ field: 'wait', message: 'No wait is running.' }]);
    change({ place: 'bench' });
    tell('wait', 'Wait ended.');
  },
});
