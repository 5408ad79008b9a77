import type { Kind } from '@/core/diagnosis/knowledge';
import { setActor } from '@/data/audit';
import { database, type Db } from '@/data/database';
import { claimDeed } from '@/data/deeds';
import { insertTimeline, lockJob, setNextAction, updateJob, type JobRow } from '@/data/jobs';
import { machineById, modelById, type MachineRow, type ModelRow } from '@/data/machines';
import { kindById } from '@/knowledge';
import type { Person } from '../access/person';
import { allow, type DeedName } from '../access/roles';
import type { JobView } from '../jobView/dto';
import { jobView } from '../jobView/jobView';
import { nextActionOf } from '../jobView/nextAction';
import { notFound, ProblemError } from '../problem';
import type { JobDeedDto } from './dto';

/** What a deed works with: the job is held until it ends. */
export interface DeedScene {
  db: Db;
  person: Person;
  job: JobRow;
  machine: MachineRow;
  model: ModelRow;
  kind: Kind;
  /** Writes one line into the machine's timeline. */
  tell(what: string, text: string): Promise<void>;
}

/**
 * Does one thing to a job: one transaction, once per key, based on the version that the sender saw.
 * @throws ProblemError 403 when the role may not; 404; 409 with the current job when somebody changed it meanwhile or it is closed
 */
export async function jobDeed(
  deed: DeedName,
  person: Person,
  jobId: number,
  dto: JobDeedDto,
  work: (scene: DeedScene) => Promise<void>,
): Promise<JobView> {
  allow(person, deed);
  return database().transaction(async (db) => {
    await setActor(db, person.id, deed);
    if (await claimDeed(db, dto.key, person.id, `${deed}:${jobId}`)) return jobView(db, jobId);
    const job = await lockJob(db, jobId);
    if (!job) throw notFound('This job');
    if (job.closed_at)
      throw new ProblemError(409, 'This job is closed: take the machine in again.', [], {
        current: await jobView(db, jobId),
      });
    if (job.version !== dto.version)
      throw new ProblemError(409, 'Somebody changed this job meanwhile.', [], { current: await jobView(db, jobId) });
    const machine = (await machineById(db, job.machine_id))!;
    const model = (await modelById(db, machine.model_id))!;
    const tell = (what: string, text: string) =>
      insertTimeline(db, { machine_id: machine.id, job_id: job.id, what, text, person_id: person.id });
    await work({ db, person, job, machine, model, kind: kindById(model.kind), tell });
    await updateJob(db, jobId, {});
    const view = await jobView(db, jobId);
    await setNextAction(db, jobId, nextActionOf(view));
    return view;
  });
}
