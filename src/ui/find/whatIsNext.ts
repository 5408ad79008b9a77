import { proposedStep } from '@/core/diagnosis/finderCase';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';

/** Bits below which a look is not worth its minutes. */
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
