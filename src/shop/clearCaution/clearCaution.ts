import { insertClearedCaution } from '@/data/jobs';
import { knowledge } from '@/knowledge';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { ClearCautionDto } from './dto';

/** Clears a caution that holds back power, under the clearing person's name and with the way it was made safe. */
export const clearCaution = jobDeed({
  name: 'clear-caution',
  roles: bench,
  summary: 'Clear a caution by name',
  dto: ClearCautionDto,
  async work({ db, facts, person, tell }, dto) {
    const isInForce = facts.cautions.includes(dto.caution);
    refuseIf(isInForce ? [] : [{ field: 'caution', message: 'This caution is not in force.' }]);
    await insertClearedCaution(db, facts.id, dto.caution, person.id, dto.how.trim());
    const label = knowledge.cautions.find((c) => c.id === dto.caution)!.label;
    tell('cleared', `${label}: cleared by ${person.name}. ${dto.how.trim()}`);
  },
});
