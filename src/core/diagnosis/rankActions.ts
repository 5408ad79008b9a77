import { aspectTables, jointOutcomes, likeliest, shownBy } from './aspectTables';
import { finishingCourse, type FinishingInput } from './finishingCourse';
import type { Network } from './network';
import { remembered } from './remembered';

/** Something that can be done next: a check with one or more aspects, or a repair and a run. */
export interface Action {
  /** Findings that it makes, by index. */
  findings: number[];
  /** All its minutes: its own, the opening still needed, closing up for power. */
  minutes: number;
  /** The fault it repairs, if it is a repair. */
  repairs?: number;
  /** What is open after it (a bit mask), for what it saves of later openings. */
  openAfter: number;
  /** Faults that a level of one of its findings shows directly. */
  proves?: (finding: number, level: number) => readonly number[];
}

export interface RankedAction {
  action: number;
  /** Minutes to the end of the job that it is expected to save, its own minutes counted. */
  saving: number;
  /** Expected minutes to the end of the job when it is done next and the best follows. */
  total: number;
  /** Minutes that the answer alone is expected to save, without what is opened on the way. */
  informs: number;
  /** What each joint outcome would lead to, most probable first. */
  leads: Lead[];
}

export interface Lead {
  levels: { finding: number; level: number }[];
  probability: number;
  topFault: number;
  topProbability: number;
  /** Expected minutes from there to the end of the job. */
  minutesToGo: number;
  /** The best action after it, where two steps were looked ahead; -1 for none better than going straight on. */
  then?: number;
}

export interface Ranking {
  /** Expected minutes to the end of the job by proving alone, from now. */
  now: number;
  ranked: RankedAction[];
}

/** Joint outcomes rarer than this are taken to change nothing. */
const RARE_OUTCOME = 2e-3;
/** Minutes that an answer must be expected to save before its own minutes are counted. */
const TELLS = 0.02;
/** So many of the best actions, and of their likeliest outcomes, are looked at two steps ahead. */
const AHEAD_ACTIONS = 3;
const AHEAD_OUTCOMES = 4;
const AHEAD_FOLLOWERS = 7;

export interface RankInput extends FinishingInput {
  network: Network;
  /** Faults over which the sets run; faults outside act on the answers independently, by `marginals`. */
  candidates: number[];
  marginals: Float64Array;
  actions: Action[];
  /** Faults proved already. */
  proved: ReadonlySet<number>;
  openNow: number;
  /** Tell what would come after the best few (not needed to choose). Default true. */
  ahead?: boolean;
}

/**
 * Ranks actions by the expected minutes to the end of the job when each is done next (decision-theoretic
 * troubleshooting: Heckerman, Breese, Rommelse 1995): its own minutes and, after its answer, those of finishing by
 * proving alone. On machines drawn from the shipped knowledge this order needs fewer minutes than the order by saving
 * per minute, and than looking two steps ahead with this estimate, whose errors the second step picks out. The second
 * step is told for the best few: what would come next after each likely answer.
 */
export function rankActions(input: RankInput): Ranking {
  const { network, candidates, marginals, actions, proved, openNow } = input;
  const sets = likeliest(input.sets);
  const totalWeight = sets.reduce((sum, s) => sum + s.probability, 0);
  const weights = Float64Array.from(sets, (s) => s.probability / totalWeight);
  const course = finishingCourse({ ...input, sets, before: { weights, proved } });
  const nobody: ReadonlySet<number> = new Set();
  const now = course(weights, proved, nobody, openNow).minutes;
  const isCandidate = new Uint8Array(network.faults.length);
  for (const c of candidates) isCandidate[c] = 1;
  const tablesOf = actions.map((a) => aspectTables(network, sets, isCandidate, marginals, a.findings));

  /**
   * Expected minutes to the end after an action from these weights, and where each answer leads; given up (more than `most`, and
   * not all leads) once it cannot be less than `most`.
   */
  function evaluate(
    index: number,
    from: Float64Array,
    settled: ReadonlySet<number>,
    otherwise: number,
    most = Infinity,
  ) {
    const action = actions[index]!;
    let after = 0;
    let covered = 0;
    const leads: (Lead & { w: Float64Array; proved: ReadonlySet<number>; repaired: ReadonlySet<number> })[] = [];
    for (const { levels, probability, weights: w } of jointOutcomes(tablesOf[index]!, from, RARE_OUTCOME)) {
      const shown = action.proves ? shownBy(levels, action.proves) : [];
      const provedNow = shown.length ? new Set([...settled, ...shown]) : settled;
      const gone = action.repairs !== undefined && levels[0]?.level === 0;
      const repaired = gone ? new Set([action.repairs!]) : nobody;
      const rest = course(w, provedNow, repaired, action.openAfter);
      after += probability * rest.minutes;
      if (action.minutes + after > most) break;
      covered += probability;
      leads.push({
        levels,
        probability,
        topFault: rest.topFault,
        topProbability: rest.topProbability,
        minutesToGo: rest.minutes,
        w,
        proved: provedNow,
        repaired,
      });
    }
    after += Math.max(0, 1 - covered) * otherwise;
    leads.sort((a, b) => b.probability - a.probability);
    return { total: action.minutes + after, leads };
  }

  // Of many actions the same is open afterwards.
  const minutesOpened = remembered((open) => course(weights, proved, nobody, open).minutes);
  const rows = actions.map((action, index) => {
    const { total, leads } = evaluate(index, weights, proved, now);
    const opened = minutesOpened(action.openAfter);
    return { action: index, total, saving: now - total, informs: opened - (total - action.minutes), leads };
  });
  // A look that leaves the rest of the course as long as it was tells nothing, however cheap it is.
  const tells = (row: { informs: number }) => row.informs > TELLS;
  const better = (a: (typeof rows)[number], b: (typeof rows)[number]) =>
    Number(tells(b)) - Number(tells(a)) || a.total - b.total;
  rows.sort(better);
  if (input.ahead !== false)
    for (const row of rows.slice(0, AHEAD_ACTIONS)) {
      for (const lead of row.leads.slice(0, AHEAD_OUTCOMES)) {
        if (lead.minutesToGo < 1) continue;
        let best = lead.minutesToGo;
        lead.then = -1;
        for (const next of rows.slice(0, AHEAD_FOLLOWERS)) {
          if (next.action === row.action) continue;
          const { total } = evaluate(next.action, lead.w, lead.proved, lead.minutesToGo, best);
          if (total < best - 1e-9) {
            best = total;
            lead.then = next.action;
          }
        }
        lead.minutesToGo = best;
      }
    }
  return {
    now,
    ranked: rows.map(({ leads, ...row }) => ({
      ...row,
      leads: leads.map(({ levels, probability, topFault, topProbability, minutesToGo, then }) => ({
        levels,
        probability,
        topFault,
        topProbability,
        minutesToGo,
        ...(then === undefined ? {} : { then }),
      })),
    })),
  };
}
