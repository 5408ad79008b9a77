import { LRUCache } from 'lru-cache';
import type { FinderCase, Reckoned } from '@/core/diagnosis/finderCase';
import type { Forecast } from '@/core/diagnosis/forecastsOf';
import type { Tallies } from '@/core/diagnosis/learnPriors';
import { database } from '@/data/database';
import type { JobState } from '@/data/jobState';
import { talliesFor } from '@/data/tallies';
import { caseOfJob, keyOfCase } from '../jobView/caseOfJob';
import type { OddsView } from '../finding/dto';
import { finderDoes } from './finderThreads';

/** An answer of the finder: on its way, and then there. */
interface Answer {
  coming: Promise<OddsView>;
  odds: OddsView | null;
}

/** Answers by all that they depend on; one that is being worked out is shared by whoever asks meanwhile. */
const held = globalThis as { gritkeeperOdds?: LRUCache<string, Answer> };
const answers = (held.gritkeeperOdds ??= new LRUCache({ max: 300 }));

/** The odds of a job, with the priors that the shop's own jobs have taught. */
export async function oddsOfJob(state: JobState): Promise<OddsView> {
  return oddsOf(caseOfJob(state), state.model.id);
}

/** Odds that somebody will ask for in a moment, by job and key: begun with as soon as the press is answered. */
const ANNOUNCED_MS = 10_000;
const announcedHere = globalThis as { gritkeeperAnnounced?: LRUCache<string, Promise<OddsView>> };
const announced = (announcedHere.gritkeeperAnnounced ??= new LRUCache({ max: 300, ttl: ANNOUNCED_MS }));

/** Begins with the odds of a job as it is now, for who asks next. @param key of the case that they are odds of */
export function announceOdds(state: JobState, key: string): Promise<OddsView> {
  const name = `${state.job.id} ${key}`;
  const coming = oddsOfJob(state);
  announced.set(name, coming);
  // What failed is asked anew from the job itself.
  coming.catch(() => announced.delete(name));
  return coming;
}

/** Odds that a press has just begun with; undefined when none did, or in another server. */
export const announcedOdds = (jobId: number, key: string): Promise<OddsView> | undefined =>
  announced.get(`${jobId} ${key}`);

/** The odds of a case. @param modelId of the shop's own list, to lean on its jobs */
export async function oddsOf(asked: FinderCase, modelId: number | null): Promise<OddsView> {
  return (await asking(asked, modelId)).coming;
}

/** The odds of a job when they are known already, else a promise of them: a page need not wait. */
export async function oddsSoon(state: JobState): Promise<{ odds: OddsView | Promise<OddsView> }> {
  const { odds, coming } = await asking(caseOfJob(state), state.model.id);
  return { odds: odds ?? coming };
}

/** What was said of a job before its cause was known, from the very case that its odds are made from. */
export async function foretold(state: JobState, confirmed: string[]): Promise<Forecast[]> {
  const tallies = await talliesFor(database(), state.model.kind, state.model.id);
  return finderDoes('foretell', { asked: caseOfJob(state), tallies, confirmed });
}

async function asking(asked: FinderCase, modelId: number | null): Promise<Answer> {
  const tallies = await talliesFor(database(), asked.kind, modelId);
  const all = JSON.stringify([asked, tallies]);
  const known = answers.get(all);
  if (known) return known;
  const answer: Answer = {
    coming: finderDoes('reckon', { asked, tallies }).then((r) => view(keyOfCase(asked), r, tallies)),
    odds: null,
  };
  answers.set(all, answer);
  answer.coming.then(
    (odds) => (answer.odds = odds),
    // What failed is asked anew by the next; who waits for it is told by the promise itself.
    () => answers.delete(all),
  );
  return answer;
}

function view(key: string, { assessment, problem }: Reckoned, { kindJobs, modelJobs }: Tallies): OddsView {
  return {
    key,
    assessment: assessment && { ...assessment, basis: { ...assessment.basis, kindJobs, modelJobs } },
    problem,
  };
}
