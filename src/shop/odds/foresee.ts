import { jobState, keepNextAction, type JobState } from '@/data/jobState';
import { database } from '@/data/database';
import { factsOf, type WrittenFacts } from '../jobView/jobFacts';
import { nextActionOf } from '../jobView/nextAction';
import { afterwards } from '../afterwards/afterwards';
import { announceOdds } from './odds';

/**
 * Works out, after a job was changed and the press answered, what is next for the hands, and keeps it for the Bench. A server
 * that dies in between loses nothing: the Bench sees that what is kept is of an older version, and asks again.
 */
export function foresee(state: JobState, facts: WrittenFacts = factsOf(state)): void {
  afterwards(() => keepForeseen(state, facts));
}

async function keepForeseen(state: JobState, facts: WrittenFacts): Promise<void> {
  const wantsOdds = facts.stage === 'find' && facts.complaints.length > 0;
  const odds = wantsOdds ? await announceOdds(state, facts.oddsKey) : null;
  await keepNextAction(database(), state.job.id, state.job.version, nextActionOf(facts, odds?.assessment ?? null));
}

const beingForeseen = new Set<number>();

/**
 * Asks again for the jobs whose kept next thing is of an older version: a server died before it was kept, or the version that
 * is running now keeps it otherwise. One at a time for each job.
 */
export function foreseeStale(jobs: { id: number; version: number; next_action: { version: number } | null }[]): void {
  for (const job of jobs) {
    if (job.next_action?.version === job.version || beingForeseen.has(job.id)) continue;
    beingForeseen.add(job.id);
    afterwards(async () => {
      try {
        const state = await jobState(database(), job.id);
        if (state) await keepForeseen(state, factsOf(state));
      } finally {
        beingForeseen.delete(job.id);
      }
    });
  }
}
