import { insertFittedPart, partsFor } from '@/data/jobs';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { FitPartDto } from './dto';

/** Fits a part from the shop's list at a station; the stock goes down. */
export function fitPart(person: Person, jobId: number, dto: FitPartDto) {
  return jobDeed('fit-part', person, jobId, dto, async ({ db, job, machine, kind, tell }) => {
    const parts = await partsFor(db, kind.id);
    const part = parts.find((p) => p.code === dto.code && p.station === dto.station);
    const known = parts.some((p) => p.code === dto.code);
    if (!part)
      return refuseIf([
        known
          ? { field: 'station', message: `${dto.code} does not belong at ${dto.station}.` }
          : { field: 'code', message: `There is no part ${dto.code} for this kind of machine.` },
      ]);
    await insertFittedPart(db, {
      job_id: job.id,
      machine_id: machine.id,
      code: part.code,
      station: part.station,
      quantity: dto.quantity,
      person_id: person.id,
    });
    await tell('fitted', `${dto.quantity > 1 ? `${dto.quantity} × ` : ''}${part.label}`);
  });
}
