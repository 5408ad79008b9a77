import { insertMeterReading, meterReadingsOf } from '@/data/machines';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import type { RecordMeterDto } from './dto';

/** Writes down the hour meter. A lower figure than the last is kept and said so: a board was changed, or it was misread. */
export function recordMeter(person: Person, jobId: number, dto: RecordMeterDto) {
  return jobDeed('record-meter', person, jobId, dto, async ({ db, job, machine, tell }) => {
    const [last] = await meterReadingsOf(db, machine.id);
    await insertMeterReading(db, { machine_id: machine.id, job_id: job.id, hours: dto.hours, person_id: person.id });
    const back = last && dto.hours < last.hours ? `, below the ${last.hours} h written before` : '';
    await tell('reading', `Hour meter ${dto.hours} h${back}`);
  });
}
