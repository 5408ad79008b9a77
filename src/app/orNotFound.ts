import { notFound } from 'next/navigation';
import { ProblemError } from '@/shop/problem';

/** What a page asked for, or the page that says that it is not here. */
export async function orNotFound<T>(asked: Promise<T>): Promise<T> {
  try {
    return await asked;
  } catch (error) {
    if (error instanceof ProblemError && error.status === 404) notFound();
    throw error;
  }
}
