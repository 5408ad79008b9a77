import { insertClearedCaution } from '@/data/jobs';
import { knowledge } from '@/knowledge';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import { jobView } from '../jobView/jobView';
import { refuseIf } from '../problem';
import type { ClearCautionDto } from './dto';

/** Clears a caution that holds back power, under the clearing person's name and with the way it was made safe. */
export function clearCaution(person: Person, jobId: number, dto: ClearCautionDto) {
  return jobDeed('clear-caution', person, jobId, dto, async ({ db, job, tell }) => {
    const inForce = (await jobView(db, job.id)).assessment.cautions;
    refuseIf(inForce.includes(dto.caution) ? [] : [{ field: 'caution', message: 'This caution is not in force.' }]);
    await insertClearedCaution(db, job.id, dto.caution, person.id, dto.how.trim());
    const label = knowledge.cautions.find((c) => c.id === dto.caution)!.label;
    await tell('cleared', `${label}: cleared by ${person.name}. ${dto.how.trim()}`);
  });
}
