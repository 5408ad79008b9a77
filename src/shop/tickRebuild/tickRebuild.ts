import { putRebuildTick } from '@/data/jobs';
import { rebuildSteps } from '@/knowledge/bench';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { TickRebuildDto } from './dto';

/** Ticks a step of the rebuild, or takes the tick back. */
export const tickRebuild = jobDeed({
  name: 'tick-rebuild',
  roles: bench,
  summary: 'Tick a rebuild step',
  dto: TickRebuildDto,
  async work({ db, jobId, kind, person }, dto) {
    const step = rebuildSteps.find((s) => s.id === dto.step && s.kinds.includes(kind.id));
    refuseIf(step ? [] : [{ field: 'step', message: `There is no rebuild step ${dto.step}.` }]);
    await putRebuildTick(db, jobId, dto.step, person.id, dto.done);
  },
});
