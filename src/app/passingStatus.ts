import { faultOf } from '@/shop/health/fault';

/**
 * The status of a page that broke on something that passes by itself, such as a database that has no hand free, or null when the
 * fault is ours.
 */
export function passingStatus(error: unknown): number | null {
  // By name: what was thrown in another bundle is no instance of what is known here.
  if (error instanceof Error && error.name === 'ProblemError') {
    const { status } = error as Error & { status?: unknown };
    return status === 503 || status === 429 ? status : null;
  }
  return faultOf(error)?.status ?? null;
}
