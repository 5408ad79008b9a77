import { putRepairDone } from '@/data/jobs';
import { knowledge } from '@/knowledge';
import { waitAfter } from '@/knowledge/repairWork';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { letLie } from '../startWait/startWait';
import { MarkRepairedDto } from './dto';
import { repairWords } from './repairWords';

/**
 * Says that the repair of a fault was done, and starts the clock that it must wait for; or takes it back. A fault without it stays open on
 * the machine.
 */
export const markRepaired = jobDeed({
  name: 'mark-repaired',
  roles: bench,
  summary: 'Tick a repair as done',
  dto: MarkRepairedDto,
  async work(scene, dto) {
    const { db, jobId, kind, state, facts, person, tell } = scene;
    const fault = knowledge.faults.find((f) => f.id === dto.fault && kind.id in f.kinds);
    if (!fault) return refuseIf([{ field: 'fault', message: `${kind.id} has no fault ${dto.fault}.` }]);
    await putRepairDone(db, jobId, fault.id, person.id, dto.done);
    tell('repaired', repairWords(facts, state, fault.id, dto.done));
    if (dto.done && !facts.repaired.includes(fault.id)) await letLie(scene, waitAfter(kind.id, fault.id, state.fitted));
  },
});
