import { putRepairDone } from '@/data/jobs';
import { knowledge } from '@/knowledge';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { MarkRepairedDto } from './dto';
import { repairWords } from './repairWords';

/** Says that the repair of a fault was done, or takes that back; a fault without it stays open on the machine. */
export const markRepaired = jobDeed({
  name: 'mark-repaired',
  roles: bench,
  summary: 'Tick a repair as done',
  dto: MarkRepairedDto,
  async work({ db, jobId, kind, state, facts, person, tell }, dto) {
    const fault = knowledge.faults.find((f) => f.id === dto.fault && kind.id in f.kinds);
    if (!fault) return refuseIf([{ field: 'fault', message: `${kind.id} has no fault ${dto.fault}.` }]);
    await putRepairDone(db, jobId, fault.id, person.id, dto.done);
    tell('repaired', repairWords(facts, state, fault.id, dto.done));
  },
});
