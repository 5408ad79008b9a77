import { putRebuildTick } from '@/data/jobs';
import { rebuildSteps } from '@/knowledge/bench';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { TickRebuildDto } from './dto';

/** Ticks a step of the rebuild, or takes the tick back. */
export function tickRebuild(person: Person, jobId: number, dto: TickRebuildDto) {
  return jobDeed('tick-rebuild', person, jobId, dto, async ({ db, job, kind }) => {
    const step = rebuildSteps.find((s) => s.id === dto.step && s.kinds.includes(kind.id));
    refuseIf(step ? [] : [{ field: 'step', message: `There is no rebuild step ${dto.step}.` }]);
    await putRebuildTick(db, job.id, dto.step, person.id, dto.done);
  });
}
