import { addComplaints, strikeComplaint as strike } from '@/data/jobs';
import { bench } from '../access/roles';
import { complaintLabels } from '../finding/complaintLabels';
import { unknownIds } from '../finding/unknownIds';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { StrikeComplaintDto } from './dto';

/** Strikes a complaint that the bench found untrue, with the reason; the customer's words stay as they were said. */
export const strikeComplaint = jobDeed({
  name: 'strike-complaint',
  roles: bench,
  summary: 'Strike a complaint that was not found',
  dto: StrikeComplaintDto,
  async work({ db, jobId, kind, facts, person, tell }, dto) {
    const instead = [...new Set(dto.instead ?? [])].filter((c) => !facts.complaints.includes(c));
    const unknown = unknownIds(kind, { complaints: instead });
    refuseIf(unknown.map((p) => ({ ...p, field: p.field.replace('complaints', 'instead') })));
    const struck = await strike(db, jobId, dto.complaint, dto.why.trim(), person.id);
    refuseIf(struck ? [] : [{ field: 'complaint', message: 'This complaint does not stand in this job.' }]);
    await addComplaints(db, jobId, instead);
    const seen = instead.length > 0 ? ` Instead: ${complaintLabels(instead)}.` : '';
    tell('corrected', `Not found at the bench: ${complaintLabels([dto.complaint])}. ${dto.why.trim()}${seen}`);
  },
});
