import { insertMeterReading, meterReadingsOf } from '@/data/machines';
import { everyone } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refreshPlans } from '../plans/refreshPlans';
import { RecordMeterDto } from './dto';

/** Writes down the hour meter. A lower figure than the last is kept and said so: a board was changed, or it was misread. */
export const recordMeter = jobDeed({
  name: 'record-meter',
  roles: everyone,
  summary: 'Write down the hour meter',
  dto: RecordMeterDto,
  async work({ db, jobId, machineId, person, tell }, dto) {
    const [last] = await meterReadingsOf(db, machineId);
    await insertMeterReading(db, { machine_id: machineId, job_id: jobId, hours: dto.hours, person_id: person.id });
    const back = last && dto.hours < last.hours ? `, below the ${last.hours} h written before` : '';
    await refreshPlans(db, [machineId]);
    tell('reading', `Hour meter ${dto.hours} h${back}`);
  },
});
