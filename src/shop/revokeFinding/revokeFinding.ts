import * as jobs from '@/data/jobs';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { RevokeFindingDto } from './dto';

/** Takes one finding back; it stays in the record, struck through. */
export function revokeFinding(person: Person, jobId: number, dto: RevokeFindingDto) {
  return jobDeed('revoke-finding', person, jobId, dto, async ({ db, job, tell }) => {
    const taken = await jobs.revokeFinding(db, job.id, dto.finding, person.id);
    refuseIf(taken ? [] : [{ field: 'finding', message: 'This finding is not in force in this job.' }]);
    await tell('taken-back', 'A finding was taken back.');
  });
}
