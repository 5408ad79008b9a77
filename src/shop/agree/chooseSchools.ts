import { putJobSchools } from '@/data/agree';
import { schools } from '@/knowledge/schools';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { choicesOf } from '../terms/terms';
import { ChooseSchoolsDto } from './dto';

/** On this job one side is taken otherwise than the shop does. */
export const chooseSchools = jobDeed({
  name: 'choose-schools',
  roles: bench,
  summary: 'Follow another school on this job',
  dto: ChooseSchoolsDto,
  async work({ db, jobId, facts, tell }, dto) {
    const choices = choicesOf(dto.schools);
    await putJobSchools(db, jobId, choices);
    for (const school of schools) {
      const side = choices[school.id];
      if (side === undefined || side === facts.agree.schools[school.id]) continue;
      tell('note', `On this job: ${school.question.toLowerCase()} ${school[side]}.`);
    }
  },
});
