import type { ReactElement } from 'react';
import { ProblemError } from '@/shop/problem';
import { Notice } from '@/ui/parts/Notice';

/** The page, or in its place why this person does not see it. */
export async function orForbidden(page: () => Promise<ReactElement>): Promise<ReactElement> {
  try {
    return await page();
  } catch (error) {
    if (error instanceof ProblemError && error.status === 403) return <Notice title={error.title} />;
    throw error;
  }
}
