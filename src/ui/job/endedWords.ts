import { visits } from '@/knowledge/counter';
import type { Visit } from '@/shop/jobView/dto';
import { faultLabel } from './labels';

/** What a job that is over was: its causes, what it came for when nothing was wrong, or that no cause was named. */
export function foundOrVisit(job: { faults: readonly string[]; foundWords: string; visit: Visit }): string {
  const found = [...job.faults.map(faultLabel), ...(job.foundWords ? [job.foundWords] : [])].join(', ');
  const visit = visits.find((v) => v.id === job.visit)?.label.toLowerCase();
  return [visit, found].filter(Boolean).join(': ') || 'no cause named';
}
