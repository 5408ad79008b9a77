import { insertFittedPart } from '@/data/jobs';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { FitOtherDto } from './dto';

/** Fits a part that is on no list: improvised, the customer's own, or bought for this job, with its words and its risk. */
export const fitOther = jobDeed({
  name: 'fit-other',
  roles: bench,
  summary: 'Fit a part that is on no list',
  dto: FitOtherDto,
  async work({ db, jobId, machineId, kind, person, facts, tell }, dto) {
    const known = kind.lines.some((l) => l.stations.some((s) => s.id === dto.station));
    const added = facts.machine.addedStations.some((s) => s.id === dto.station);
    if (!known && !added)
      return refuseIf([{ field: 'station', message: `${kind.id} has no part ${dto.station.slice(0, 60)}.` }]);
    await insertFittedPart(db, {
      job_id: jobId,
      machine_id: machineId,
      label: dto.label.trim(),
      why: dto.why.trim(),
      station: dto.station,
      quantity: dto.quantity,
      person_id: person.id,
    });
    tell(
      'fitted',
      `${dto.quantity > 1 ? `${dto.quantity} × ` : ''}${dto.label.trim()}, not from the list: ${dto.why.trim()}`,
    );
  },
});
