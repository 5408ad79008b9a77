import type { JobState } from '@/data/jobState';

/**
 * So many days after it was handed back a machine that comes again for the same complaint is a comeback, and one in which a part went in
 * here counts as opened lately, whatever it comes for. Common practice, no source.
 */
export const COMEBACK_DAYS = 90;

/** Whether a machine was put together again lately, by somebody else or here: what goes wrong in rebuilding weighs more. */
export function isOpenedLately({ job, partAges }: Pick<JobState, 'job' | 'partAges'>): boolean {
  if (job.opened_before || job.comeback_of !== null) return true;
  const from = Date.parse(job.taken_in_at) - COMEBACK_DAYS * 86_400_000;
  return partAges.some(({ before }) => before !== null && Date.parse(before) >= from);
}
