import { lastReplacement } from '@/data/agree';
import { database } from '@/data/database';
import type { JobState } from '@/data/jobState';
import { kindById } from '@/knowledge';
import { factsAndState } from '../jobView/jobFacts';
import { oddsOfJob } from '../odds/odds';
import { inPaperThread } from '../papers/paperThreads';
import { dayInZone } from '../settings/day';
import type { BundleStep, ExtraJob } from '@/core/strip/bundle';
import type { ProposalView } from './dto';
import { proposalOf } from './propose';

/** How likely each fault is there that was not proved, by what was found so far; nothing when the findings cannot all be true. */
async function presentOdds(state: JobState): Promise<Record<string, number>> {
  const { assessment } = await oddsOfJob(state);
  return Object.fromEntries((assessment?.faults ?? []).map((f) => [f.id, f.probability]));
}

/**
 * What would be offered for a job, from what was found.
 * @param budgetMinor the most that extras may cost; no limit when absent
 * @throws ProblemError 404
 */
export async function readProposal(jobId: number, budgetMinor?: number): Promise<ProposalView> {
  const db = database();
  const { facts, state } = await factsAndState(jobId, db);
  const given = {
    kind: kindById(state.model.kind),
    state,
    facts,
    today: dayInZone(new Date(), state.shop.zone),
    replacement: await lastReplacement(db, state.model.id, state.model.kind),
    present: await presentOdds(state),
  };
  if (budgetMinor === undefined) return proposalOf(given);
  // Within a budget it is an integer program: its two sides are asked for first, and the solver works beside the server.
  let asked: { jobs: readonly ExtraJob[]; steps: readonly BundleStep[] } = { jobs: [], steps: [] };
  proposalOf({
    ...given,
    choose: (jobs, steps) => {
      asked = { jobs, steps };
      return { jobs: [], steps: [], worthMinor: 0 };
    },
  });
  const within = await inPaperThread('bundleWithin', { ...asked, budgetMinor });
  return proposalOf({ ...given, choose: () => within });
}
