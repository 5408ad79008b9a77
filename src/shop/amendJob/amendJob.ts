import { replaceComplaints, updateJob } from '@/data/jobs';
import { refreshSearch } from '@/data/machines';
import type { Person } from '../access/person';
import { unknownIds } from '../finding/finding';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { AmendJobDto } from './dto';

const LABELS: Record<string, string> = {
  words: 'the customer’s words',
  complaints: 'complaints',
  promisedOn: 'the promised day',
  accessories: 'what came with it',
  pickedUp: 'what it picked up last',
};

/** Corrects a mistake of the counter. What stood there before stays in the audit. */
export function amendJob(person: Person, jobId: number, dto: AmendJobDto) {
  return jobDeed('amend-job', person, jobId, dto, async ({ db, job, kind, tell }) => {
    if (dto.complaints) {
      refuseIf(unknownIds(kind, { complaints: dto.complaints }));
      await replaceComplaints(db, job.id, [...new Set(dto.complaints)]);
    }
    await updateJob(db, job.id, {
      ...(dto.words !== undefined ? { words: dto.words } : {}),
      ...(dto.promisedOn ? { promised_on: dto.promisedOn } : {}),
      ...(dto.accessories ? { accessories: dto.accessories.map((a) => a.trim()) } : {}),
      ...(dto.pickedUp !== undefined ? { picked_up: dto.pickedUp.trim() } : {}),
    });
    if (dto.words !== undefined) await refreshSearch(db, job.machine_id);
    const changed = Object.keys(LABELS).filter((k) => dto[k as keyof AmendJobDto] !== undefined);
    await tell('corrected', `Corrected: ${changed.map((k) => LABELS[k]).join(', ')}.`);
  });
}
