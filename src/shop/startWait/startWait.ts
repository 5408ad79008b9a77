import type { StepWait } from '@/core/strip/procedure';
import { insertWait, type Place } from '@/data/jobs';
import { waitKinds } from '@/knowledge/counter';
import { everyone } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { StartWaitDto } from './dto';

/** Starts a wait clock: the machine goes to the place where it waits. The clock runs on the server, whoever looks. */
export const startWait = jobDeed({
  name: 'start-wait',
  roles: everyone,
  summary: 'Start a wait clock',
  dto: StartWaitDto,
  touches: ['waits'],
  work: (scene, dto) => beginWait(scene, dto),
});

/** Starts the clock of what was done, unless one is running: that one is ended by hand. */
export async function letLie(scene: DeedScene, waits: StepWait | undefined): Promise<void> {
  if (waits && scene.facts.waits.every((w) => w.endedAt !== null)) await beginWait(scene, waits);
}

/** The same within another deed. @throws ProblemError 400 while another wait runs */
export async function beginWait(
  { db, facts, tell, change }: DeedScene,
  dto: Pick<StartWaitDto, 'kind' | 'what' | 'hours'>,
): Promise<void> {
  const running = facts.waits.some((w) => w.endedAt === null);
  refuseIf(running ? [{ field: 'kind', message: 'A wait is running already: end it first.' }] : []);
  const kind = waitKinds.find((w) => w.id === dto.kind)!;
  await insertWait(db, facts.id, dto.kind, dto.what.trim(), dto.hours);
  change({ place: kind.place as Place });
  tell('wait', `${kind.label}${dto.what.trim() ? `: ${dto.what.trim()}` : ''}, ${dto.hours} h`);
}
