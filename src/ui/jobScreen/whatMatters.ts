import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { faultLabel } from '../job/labels';
import { percent } from '../parts/Reading';

/**
 * The suspects, what is proved, what is open: in one line.
 * @param open accesses, in words
 */
export function whatMatters(job: JobFacts, odds: AssessmentView | null, open: string[]): string {
  const proved = job.proved.map(faultLabel);
  const suspects = (odds?.faults ?? [])
    .filter((f) => f.suspect && !f.proved && f.probability >= 0.1)
    .slice(0, 2)
    .map((f) => `${percent(f.probability)} ${faultLabel(f.id).toLowerCase()}`);
  const parts = [
    proved.length > 0 ? `Proved: ${proved.join(', ')}` : '',
    proved.length === 0 ? suspects.join(', ') : '',
    open.length > 0 ? `open: ${open.join(', ')}` : '',
  ].filter(Boolean);
  return parts.join('; ') || 'The line board of this machine';
}
