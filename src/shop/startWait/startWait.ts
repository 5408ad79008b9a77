import { insertWait, updateJob, waitsOf, type Place } from '@/data/jobs';
import { waitKinds } from '@/knowledge/bench';
import type { Person } from '../access/person';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { StartWaitDto } from './dto';

/** Starts a wait clock: the machine goes to the place where it waits. The clock runs on the server, whoever looks. */
export function startWait(person: Person, jobId: number, dto: StartWaitDto) {
  return jobDeed('start-wait', person, jobId, dto, (scene) => beginWait(scene, dto));
}

/** The same within another deed. @throws ProblemError 400 while another wait runs */
export async function beginWait(
  { db, job, tell }: DeedScene,
  dto: Pick<StartWaitDto, 'kind' | 'what' | 'hours'>,
): Promise<void> {
  const running = (await waitsOf(db, job.id)).some((w) => !w.ended_at);
  refuseIf(running ? [{ field: 'kind', message: 'A wait is running already: end it first.' }] : []);
  const kind = waitKinds.find((w) => w.id === dto.kind)!;
  await insertWait(db, job.id, dto.kind, dto.what.trim(), dto.hours);
  await updateJob(db, job.id, { place: kind.place as Place });
  await tell('wait', `${kind.label}${dto.what.trim() ? `: ${dto.what.trim()}` : ''}, ${dto.hours} h`);
}
