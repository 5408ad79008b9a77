import { takeBackFittedPart } from '@/data/jobs';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { TakeBackPartDto } from './dto';

/** Undoes a fitted part: it goes back to stock. */
export function takeBackPart(person: Person, jobId: number, dto: TakeBackPartDto) {
  return jobDeed('take-back-part', person, jobId, dto, async ({ db, job, tell }) => {
    const taken = await takeBackFittedPart(db, job.id, dto.fitted);
    refuseIf(taken ? [] : [{ field: 'fitted', message: 'This part is not fitted in this job.' }]);
    await tell('taken-back', 'A part was taken back to stock.');
  });
}
