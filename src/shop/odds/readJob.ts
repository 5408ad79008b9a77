import { database } from '@/data/database';
import { jobById } from '@/data/jobs';
import { jobState } from '@/data/jobState';
import type { OddsView } from '../finding/dto';
import { factsAndState } from '../jobView/jobFacts';
import { announcedOdds, oddsOfJob, oddsSoon } from './odds';
import { notFound } from '../problem';
import type { JobFacts, JobView } from '../jobView/dto';

/** The whole of one job, with the odds as they stand now. @throws ProblemError 404 */
export async function readJob(id: number): Promise<JobView> {
  const { facts, state } = await factsAndState(id, database());
  return { ...facts, odds: await oddsOfJob(state) };
}

/**
 * The odds of one job alone.
 * @param key of a press that was just answered: its odds are on their way, and the job need not be read for them
 * @throws ProblemError 404
 */
export async function readOdds(id: number, key: string | null): Promise<OddsView> {
  const coming = key === null ? undefined : announcedOdds(id, key);
  if (coming) return coming;
  const state = await jobState(database(), id);
  if (!state) throw notFound('This job');
  return oddsOfJob(state);
}

/** What the page of a job starts with: its facts, and the odds if they are known, else a promise of them. @throws ProblemError 404 */
export async function jobPage(id: number): Promise<{ facts: JobFacts; odds: OddsView | Promise<OddsView> }> {
  const { facts, state } = await factsAndState(id, database());
  return { facts, ...(await oddsSoon(state)) };
}

/** Where a job stands: no more than a redirect needs. @throws ProblemError 404 */
export async function stageOf(id: number): Promise<{ job: number; stage: JobFacts['stage'] }> {
  const job = await jobById(database(), id);
  if (!job) throw notFound('This job');
  return { job: job.id, stage: job.stage };
}
