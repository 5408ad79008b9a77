import { takeBackFittedPart } from '@/data/jobs';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { partsOfJob } from '../jobView/jobFacts';
import { refuseIf } from '../problem';
import { TakeBackPartDto } from './dto';

/** Undoes a fitted part: it goes back to stock. */
export const takeBackPart = jobDeed({
  name: 'take-back-part',
  roles: bench,
  summary: 'Take a fitted part back',
  dto: TakeBackPartDto,
  async work({ db, jobId, tell, also }, dto) {
    const taken = await takeBackFittedPart(db, jobId, dto.fitted);
    refuseIf(taken ? [] : [{ field: 'fitted', message: 'This part is not fitted in this job.' }]);
    tell('taken-back', 'A part was taken back to stock.');
    also('parts', partsOfJob);
  },
});
