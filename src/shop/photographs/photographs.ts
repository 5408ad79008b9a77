import { database } from '@/data/database';
import { attachPhotographs, photographBytes, removePhotograph as remove } from '@/data/photographs';
import type { Person } from '../access/person';
import { everyone } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { notFound, refuseIf } from '../problem';
import { AddPhotographsDto, RemovePhotographDto } from './dto';

/** Gives photographs to a job; they stand in the machine's book from then on. */
export const addPhotographs = jobDeed({
  name: 'add-photograph',
  roles: everyone,
  summary: 'Give photographs to the job',
  dto: AddPhotographsDto,
  async work({ db, jobId, machineId, person, tell }, dto) {
    const ids = [...new Set(dto.photographs)];
    const to = { machine_id: machineId, job_id: jobId, caption: dto.caption.trim(), shows: dto.shows ?? '' };
    const given = await attachPhotographs(db, ids, person.id, to);
    refuseIf(
      given < ids.length
        ? [{ field: 'photographs', message: 'A photograph is not here any more: take it again.' }]
        : [],
    );
    tell('photograph', `${given} photograph${given === 1 ? '' : 's'}${to.caption ? `: ${to.caption}` : ''}`);
  },
});

/** Takes a photograph out of sight; the audit knows who did. */
export const removePhotograph = jobDeed({
  name: 'remove-photograph',
  roles: everyone,
  summary: 'Take a photograph out of sight',
  dto: RemovePhotographDto,
  async work({ db, jobId, tell }, dto) {
    const gone = await remove(db, dto.photograph, jobId);
    refuseIf(gone ? [] : [{ field: 'photograph', message: 'This photograph is not one of this job.' }]);
    tell('photograph', 'A photograph was taken out.');
  },
});

/** @throws ProblemError 404 */
export async function photographFile(
  person: Person,
  id: number,
  small: boolean,
): Promise<{ bytes: Buffer; sha256: Buffer }> {
  const found = await photographBytes(database(), id, small, person.id);
  if (!found) throw notFound('This photograph');
  return found;
}
