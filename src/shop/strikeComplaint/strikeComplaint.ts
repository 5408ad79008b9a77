import { strikeComplaint as strike } from '@/data/jobs';
import { knowledge } from '@/knowledge';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { StrikeComplaintDto } from './dto';

/** Strikes a complaint that the bench found untrue, with the reason; the customer's words stay as they were said. */
export const strikeComplaint = jobDeed({
  name: 'strike-complaint',
  roles: bench,
  summary: 'Strike a complaint that was not found',
  dto: StrikeComplaintDto,
  async work({ db, jobId, person, tell }, dto) {
    const struck = await strike(db, jobId, dto.complaint, dto.why.trim(), person.id);
    refuseIf(struck ? [] : [{ field: 'complaint', message: 'This complaint does not stand in this job.' }]);
    const label = knowledge.complaints.find((c) => c.id === dto.complaint)?.label ?? dto.complaint;
    tell('corrected', `Not found at the bench: ${label.toLowerCase()}. ${dto.why.trim()}`);
  },
});
