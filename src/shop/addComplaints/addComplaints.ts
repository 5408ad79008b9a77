import { addComplaints as add } from '@/data/jobs';
import { bench } from '../access/roles';
import { complaintLabels } from '../finding/complaintLabels';
import { unknownIds } from '../finding/unknownIds';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { AddComplaintsDto } from './dto';

/** What the bench sees besides what was complained of: looked for, and shown to be gone, like what the customer said. */
export const addComplaints = jobDeed({
  name: 'add-complaints',
  roles: bench,
  summary: 'Add what the bench sees besides the complaints',
  dto: AddComplaintsDto,
  async work({ db, jobId, kind, facts, tell }, dto) {
    refuseIf(unknownIds(kind, { complaints: dto.complaints }));
    const more = [...new Set(dto.complaints)].filter((c) => !facts.complaints.includes(c));
    refuseIf(more.length > 0 ? [] : [{ field: 'complaints', message: 'All of this stands in this job already.' }]);
    await add(db, jobId, more);
    tell('corrected', `Seen at the bench: ${complaintLabels(more)}. ${(dto.why ?? '').trim()}`.trim());
  },
});
