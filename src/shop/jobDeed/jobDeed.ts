import type { Kind } from '@/core/diagnosis/knowledge';
import { database, inTransaction, type Db } from '@/data/database';
import { earlierDeed } from '@/data/deeds';
import { beginJobDeed, endJobDeed, jobState, type JobChange, type JobState, type TimelineLine } from '@/data/jobState';
import { kindById } from '@/knowledge';
import type { Person } from '../access/person';
import { claimOf, deedOn, usedOtherwise, type DeedOn, type DeedSpec } from '../deed/deed';
import { foresee } from '../odds/foresee';
import type { JobChanges } from '../jobView/dto';
import { factsOf, jobFacts, type WrittenFacts } from '../jobView/jobFacts';
import { notFound, ProblemError } from '../problem';
import type { JobDeedDto } from './dto';

/** What a deed works with: the job is held until it ends, and these are its facts as they stand before it. */
export interface DeedScene {
  db: Db;
  person: Person;
  jobId: number;
  machineId: number;
  kind: Kind;
  state: JobState;
  facts: WrittenFacts;
  /** One line into the machine's timeline; written when the deed ends. */
  tell(what: string, text: string): void;
  /** Changes the job's own row; written when the deed ends. */
  change(change: JobChange & { closed?: boolean }): void;
  /** What needs the job's row as it is changed; runs in the same transaction. */
  onceWritten(work: (db: Db) => Promise<void>): void;
  /** Says that something changed which stands beside the job: the answer tells it anew. */
  also<Name extends Beside>(name: Name, read: (db: Db, state: JobState) => Promise<JobChanges[Name]>): void;
}

type Beside = 'parts';
type Touched = Exclude<keyof JobState, 'job'>;

interface JobDeedSpec<Dto extends JobDeedDto, Ready> extends DeedSpec<Dto> {
  /** What takes long or needs no lock, worked out before the job is held; the work is refused when the job moved on since. */
  prepare?: (state: JobState, dto: Dto) => Promise<Ready>;
  work: (scene: DeedScene, dto: Dto, ready: Ready) => Promise<void>;
  /** All that it can change, before its end, of the state beside the job's own row: only this is read anew. Left out, everything is. */
  touches?: readonly Touched[];
  /** The owner did it, by a link that this person made: the book says nobody of the shop. */
  byOwner?: true;
}

/**
 * Describes one thing that is done to a job: one transaction, once per key, based on the version that the sender saw. It
 * answers with what changed; odds are never worked out while the job is held.
 * @returns the deed, which throws ProblemError 403 when the role may not; 404; 409 with the current job when somebody changed
 * it meanwhile or it is closed
 */
export function jobDeed<Dto extends JobDeedDto, Ready = undefined>(
  spec: JobDeedSpec<Dto, Ready>,
): DeedOn<number, Dto, JobChanges> {
  return deedOn(spec, async (person, jobId: number, dto): Promise<JobChanges> => {
    const before = spec.prepare && (await jobState(database(), jobId));
    if (spec.prepare && !before) throw notFound('This job');
    const ready = (before && !before.job.closed_at ? await spec.prepare!(before, dto) : undefined) as Ready;
    const { answer, after, facts } = await inTransaction(database(), async (db) => {
      const claim = claimOf(person, spec.name, jobId, dto);
      const begun = await beginJobDeed(db, { ...claim, deed: spec.name, jobId });
      if (!begun.fresh && (await earlierDeed(db, claim)) === 'other') throw usedOtherwise();
      if (!begun.job) throw notFound('This job');
      // Pressed twice: nothing is done again, and the answer is the whole job as it is now.
      if (!begun.fresh) return { answer: (await jobFacts(jobId, db)) as JobChanges, after: null, facts: undefined };
      if (begun.job.closed) throw await conflict(db, jobId, 'This job is closed: take the machine in again.');
      if (begun.job.version !== dto.version || (before && before.job.version !== dto.version))
        throw await conflict(db, jobId, 'Somebody changed this job meanwhile.');
      const state = begun.state ?? (await jobState(db, jobId))!;
      return write(db, person, state, spec, (scene) => spec.work(scene, dto, ready));
    });
    if (after) foresee(after, facts);
    return answer;
  });
}

async function write(
  db: Db,
  person: Person,
  state: JobState,
  { touches, byOwner }: { touches?: readonly Touched[]; byOwner?: true },
  work: (scene: DeedScene) => Promise<void>,
) {
  const { job, machine, model } = state;
  const facts = factsOf(state);
  const lines: TimelineLine[] = [];
  const change: JobChange & { closed?: boolean } = {};
  const then: ((db: Db) => Promise<void>)[] = [];
  const beside: ((db: Db, after: JobState) => Promise<Partial<JobChanges>>)[] = [];
  await work({
    db,
    person,
    jobId: job.id,
    machineId: machine.id,
    kind: kindById(model.kind),
    state,
    facts,
    tell: (what, text) => void lines.push({ what, text }),
    change: (more) => void Object.assign(change, more),
    onceWritten: (more) => void then.push(more),
    also: (name, read) => void beside.push(async (now, after) => ({ [name]: await read(now, after) })),
  });
  const at = { jobId: job.id, machineId: machine.id, personId: byOwner ? null : person.id };
  const written = await endJobDeed(db, at, change, lines, touches ?? []);
  for (const more of then) await more(db);
  const after: JobState = touches ? { ...state, ...written } : (await jobState(db, job.id))!;
  const told = factsOf(after);
  const answer: JobChanges = { ...changes(facts, told), id: job.id, version: after.job.version };
  for (const read of beside) Object.assign(answer, await read(db, after));
  return { answer, after, facts: told };
}

/** The members that are not as they were. */
function changes(before: WrittenFacts, after: WrittenFacts): Partial<WrittenFacts> {
  return Object.fromEntries(
    Object.entries(after).filter(
      ([name, value]) => JSON.stringify(value) !== JSON.stringify(before[name as keyof WrittenFacts]),
    ),
  );
}

async function conflict(db: Db, jobId: number, title: string): Promise<ProblemError> {
  return new ProblemError(409, title, [], { current: await jobFacts(jobId, db) });
}
