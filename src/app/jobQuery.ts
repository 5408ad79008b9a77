import { notFound } from 'next/navigation';
import type { JobFacts } from '@/shop/jobView/dto';
import { jobFacts } from '@/shop/jobView/jobFacts';
import { jobNumber } from './jobNumber';
import { orNotFound } from './orNotFound';

/** The job that a page's `?job=` names, or undefined without one; the page is not found when there is no such job. */
export async function jobQuery(given: string | string[] | undefined): Promise<JobFacts | undefined> {
  if (given === undefined) return undefined;
  if (typeof given !== 'string') notFound();
  return orNotFound((async () => jobFacts(jobNumber(given)))());
}
