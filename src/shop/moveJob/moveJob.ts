import { updateJob } from '@/data/jobs';
import { workers } from '@/data/people';
import { shopSettings } from '@/data/shopSettings';
import { places } from '@/knowledge/bench';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { MoveJobDto } from './dto';

/**
 * Carries a machine to another place, or gives it to another person.
 * @throws ProblemError 400 for a bench that the shop does not have, or a person who is not of it
 */
export function moveJob(person: Person, jobId: number, dto: MoveJobDto) {
  return jobDeed('move-job', person, jobId, dto, async ({ db, job, tell }) => {
    const { benches } = await shopSettings(db);
    if (dto.benchNo !== undefined && dto.benchNo > benches)
      refuseIf([{ field: 'benchNo', message: `The shop has ${benches} bench${benches === 1 ? '' : 'es'}.` }]);
    const worker = dto.personId ? (await workers(db)).find((w) => w.id === dto.personId) : undefined;
    if (dto.personId && !worker) refuseIf([{ field: 'personId', message: 'This person is not of the shop.' }]);
    await updateJob(db, job.id, {
      ...(dto.place ? { place: dto.place } : {}),
      ...(dto.benchNo ? { bench_no: dto.benchNo } : {}),
      ...(dto.personId !== undefined ? { person_id: dto.personId } : {}),
    });
    const place = places.find((p) => p.id === (dto.place ?? job.place))!.label.toLowerCase();
    const bench = (dto.place ?? job.place) === 'bench' ? ` ${dto.benchNo ?? job.bench_no}` : '';
    const told = [
      dto.place || dto.benchNo ? `To ${place}${bench}` : '',
      dto.personId !== undefined ? (worker ? `Given to ${worker.name}` : 'Given to nobody') : '',
    ].filter(Boolean);
    if (told.length > 0) await tell('moved', `${told.join('. ')}.`);
  });
}
