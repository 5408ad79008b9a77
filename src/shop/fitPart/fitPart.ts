import { insertFittedPart, partAt } from '@/data/jobs';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { partsOfJob } from '../jobView/jobFacts';
import { refuseIf } from '../problem';
import { FitPartDto } from './dto';

/** Fits a part from the shop's list at a station; the stock goes down. */
export const fitPart = jobDeed({
  name: 'fit-part',
  roles: bench,
  summary: 'Fit a part',
  dto: FitPartDto,
  async work({ db, jobId, machineId, kind, person, tell, also }, dto) {
    const part = await partAt(db, kind.id, dto.code);
    if (!part) return refuseIf([{ field: 'code', message: `There is no part ${dto.code} for this kind of machine.` }]);
    if (!part.stations.includes(dto.station))
      return refuseIf([{ field: 'station', message: `${dto.code} does not belong at ${dto.station}.` }]);
    await insertFittedPart(db, {
      job_id: jobId,
      machine_id: machineId,
      code: part.code,
      station: dto.station,
      quantity: dto.quantity,
      person_id: person.id,
    });
    tell('fitted', `${dto.quantity > 1 ? `${dto.quantity} × ` : ''}${part.label}`);
    also('parts', partsOfJob);
  },
});
