import { revokeFindings } from '@/data/jobs';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { RevokeFindingDto } from './dto';

/** Takes one finding back; it stays in the record, struck through. */
export const revokeFinding = jobDeed({
  name: 'revoke-finding',
  roles: bench,
  summary: 'Take a finding back',
  dto: RevokeFindingDto,
  touches: ['findings'],
  async work({ db, jobId, person, tell }, dto) {
    const taken = await revokeFindings(db, jobId, [dto.finding], person.id);
    refuseIf(taken === 1 ? [] : [{ field: 'finding', message: 'This finding is not in force in this job.' }]);
    tell('taken-back', 'A finding was taken back.');
  },
});
