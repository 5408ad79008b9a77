import { database } from '@/data/database';
import { attachPhotographs, photographBytes, removePhotograph as remove } from '@/data/photographs';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import { notFound, refuseIf } from '../problem';
import type { AddPhotographsDto, RemovePhotographDto } from './dto';

/** Gives photographs to a job; they stand in the machine's book from then on. */
export function addPhotographs(person: Person, jobId: number, dto: AddPhotographsDto) {
  return jobDeed('add-photograph', person, jobId, dto, async ({ db, job, machine, tell }) => {
    const ids = [...new Set(dto.photographs)];
    const to = { machine_id: machine.id, job_id: job.id, caption: dto.caption.trim() };
    const given = await attachPhotographs(db, ids, person.id, to);
    refuseIf(
      given < ids.length
        ? [{ field: 'photographs', message: 'A photograph is not here any more: take it again.' }]
        : [],
    );
    await tell('photograph', `${given} photograph${given === 1 ? '' : 's'}${to.caption ? `: ${to.caption}` : ''}`);
  });
}

/** Takes a photograph out of sight; the audit knows who did. */
export function removePhotograph(person: Person, jobId: number, dto: RemovePhotographDto) {
  return jobDeed('remove-photograph', person, jobId, dto, async ({ db, job, tell }) => {
    const gone = await remove(db, dto.photograph, job.id);
    refuseIf(gone ? [] : [{ field: 'photograph', message: 'This photograph is not one of this job.' }]);
    await tell('photograph', 'A photograph was taken out.');
  });
}

/** @throws ProblemError 404 */
export async function photographFile(id: number, small: boolean): Promise<{ bytes: Buffer; sha256: Buffer }> {
  const found = await photographBytes(database(), id, small);
  if (!found) throw notFound('This photograph');
  return found;
}
