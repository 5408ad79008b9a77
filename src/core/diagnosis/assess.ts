import type { Assessment, AssessInput } from './assessment';
import { cautionsInForce, replay } from './benchState';
import { referencesOf } from './classifyReading';
import { compileKind } from './compileKind';
import { dangerFloor } from './dangerFloor';
import { diagnose } from './diagnose';
import { evidenceFor } from './evidenceFor';
import type { Knowledge } from './knowledge';
import { nextActions } from './nextActions';
import { posterior } from './posterior';
import { readingOdds } from './readingOdds';
import { triedInVain } from './triedInVain';

/** Odds that differ by less are the same. */
const SAME_ODDS = 1e-9;

/**
 * Everything that Find shows, from what is known of one machine: odds of every fault, the sets of faults that explain
 * the findings, the next actions by their worth, what is proved, what is held back and why.
 *
 * The answers stand in the order in which they were made: the order decides what is open.
 *
 * @throws RangeError for ids that the kind does not have; ImpossibleReadingError; ImpossibleEvidenceError
 */
export function assess(knowledge: Knowledge, input: AssessInput): Assessment {
  const compiled = compileKind(knowledge, input.kind, input);
  const references = referencesOf(input.kind, input.mainsV);
  const diagnosis = diagnose(compiled, input, references);
  const { observations, proved, labels, pins, result, sets, explained, causes, finished } = diagnosis;
  const untouched = posterior(compiled.network, []).marginals;
  const evidence = evidenceFor(compiled.network, observations, pins, result.marginals);
  // A proved fault is certain whatever one leaves out: why it is, is told without taking it for granted.
  const why =
    pins.size === 0
      ? evidence
      : evidenceFor(compiled.network, observations, new Map(), posterior(compiled.network, observations).marginals);
  const state = replay(compiled, input);
  const cautions = cautionsInForce(compiled, input);
  const floor = dangerFloor(compiled, diagnosis, cautions);
  const vain = triedInVain({
    findings: input.answers.map((a) => ({
      check: a.check,
      outcome: 'outcome' in a ? a.outcome : null,
      revoked: false,
    })),
    proved: [...proved],
  });
  const course = nextActions(compiled, input, diagnosis, state.open, cautions);
  return {
    faults: compiled.faults
      .map((fault, i) => ({
        id: fault.id,
        probability: result.marginals[i]!,
        ...(floor.has(i) ? { atLeast: floor.get(i)! } : {}),
        prior: compiled.network.faults[i]!.prior,
        proved: proved.has(fault.id),
        suspect:
          proved.has(fault.id) ||
          // What was put right, and the complaint stayed, does not explain it; a danger is not waved away by that.
          ((!vain.includes(fault.id) || floor.has(i)) &&
            (fault.complaints.some((c) => input.complaints.includes(c.complaint)) ||
              result.marginals[i]! > 1.5 * untouched[i]!)),
        evidence: [...new Set(labels)]
          // What one finding says in two ways is told once.
          .map((finding) => ({
            finding,
            logOdds: labels.reduce(
              (sum, l, o) => sum + (l === finding ? (pins.has(i) ? why : evidence)[o]![i]! : 0),
              0,
            ),
          }))
          .filter((e) => Math.abs(e.logOdds) > 0.05)
          .sort((a, b) => Math.abs(b.logOdds) - Math.abs(a.logOdds)),
      }))
      .sort(
        (a, b) =>
          Number(b.proved) - Number(a.proved) ||
          Number(b.suspect) - Number(a.suspect) ||
          // What rounding alone tells apart stands in the order of the book.
          Math.round((shownOdds(b) - shownOdds(a)) / SAME_ODDS),
      ),
    explanations: sets.list
      .filter((s) => s.probability > 0.005)
      .slice(0, 12)
      .map((s) => ({ faults: s.faults.map((f) => compiled.faults[f]!.id), probability: s.probability })),
    next: course.next,
    minutesToGo: finished ? 0 : course.minutesToGo,
    proved: [...proved],
    readings: readingOdds(compiled, input, references, pins),
    explained,
    causes,
    finished,
    open: [...state.open],
    minutesSpent: state.minutes,
    cautions,
    basis: { method: result.method, standardError: result.standardError, covered: sets.covered },
  };
}

/** What a fault is shown with: a danger is not shown as less likely than its signs make it. */
export function shownOdds({
  probability,
  atLeast,
}: Pick<Assessment['faults'][number], 'probability' | 'atLeast'>): number {
  return Math.max(probability, atLeast ?? 0);
}
