import { proposedStep } from '@/core/diagnosis/finderCase';
import { repairedFault } from '@/core/diagnosis/doing';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { cautionOf, freesRoll } from '../job/labels';

/** Minutes that a look must spare of what follows to tell anything. */
export const TELLS_LITTLE = 0.02;

/** What the finder puts forward, with nothing on the bench half done. */
export function whatIsNext(
  job: Pick<JobFacts, 'firstChecks' | 'complaints' | 'proved'>,
  odds: AssessmentView,
): {
  /** The check or repair; null where nothing that is left is worth its minutes. */
  proposed: string | null;
  /** The cause is known, or nothing more is looked for. */
  finished: boolean;
} {
  const best = proposedStep(odds.next, job.firstChecks);
  // Where nothing is complained of, a look that tells next to nothing is not asked for, but for what comes first as it arrived.
  const isFirst = best !== null && job.firstChecks.includes(best.check);
  const isIdle = job.complaints.length === 0 && !isFirst && (best?.informs ?? 0) <= TELLS_LITTLE;
  return {
    proposed: isIdle ? null : (best?.check ?? null),
    finished: odds.finished || (isIdle && job.proved.length > 0),
  };
}

/** Nothing holds it back, or only that the roll was not turned by hand yet. */
const mayFollow = ({ heldBackBy }: AssessmentView['next'][number]) =>
  heldBackBy.every((caution) => cautionOf(caution).holds === 'spin');

/**
 * Whether a look that may be made now, or once the roll is turned by hand, tells of what is sought and is sooner at the end than any
 * repair that is tried on suspicion. What stands first need not be it: turning the roll by hand goes before whatever is run.
 */
export function isAnyLookWorth({ next }: AssessmentView): boolean {
  const tried = Math.min(...next.filter((n) => repairedFault(n.check) !== null && mayFollow(n)).map((n) => n.total));
  return next.some(
    (n) => repairedFault(n.check) === null && mayFollow(n) && n.informs > TELLS_LITTLE && n.total < tried,
  );
}

/**
 * What turning the roll by hand is proposed for: the best of all that tells waits for nothing else. Null for another check, where
 * turning it tells by itself, and where something that may be made now is better.
 */
export function waitsForTurning(kindId: string, check: string, { next }: AssessmentView): string | null {
  const turn = next.find((n) => n.check === check);
  if (!turn || turn.informs > TELLS_LITTLE || !freesRoll(kindId, check)) return null;
  const telling = next.filter((n) => mayFollow(n) && n.informs > TELLS_LITTLE);
  const best = telling.sort((a, b) => a.total - b.total)[0];
  return best && best.heldBackBy.length > 0 ? best.check : null;
}
