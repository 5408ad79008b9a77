import { notFound } from 'next/navigation';
import type { JobView } from '@/shop/jobView/dto';
import { readJob } from '@/shop/jobView/jobView';
import { jobNumber } from './jobNumber';
import { orNotFound } from './orNotFound';

/** The job that a page's `?job=` names, or undefined without one; the page is not found when there is no such job. */
export async function jobQuery(given: string | string[] | undefined): Promise<JobView | undefined> {
  if (given === undefined) return undefined;
  if (typeof given !== 'string') notFound();
  return orNotFound((async () => readJob(jobNumber(given)))());
}
