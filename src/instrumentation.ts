import type { Instrumentation } from 'next';
import { passingStatus } from './app/passingStatus';
import { rememberPageFault } from './shop/doors/pageFaults';

/** Started once with each server: what it is told is checked, the finder gets its threads, the clocks run whoever looks. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  const { startServer } = await import('./app/startServer');
  startServer();
}

/** A page broke while it was made: what passes by itself is told apart from a fault of ours before its status is sent. */
export const onRequestError: Instrumentation.onRequestError = async (error, request) => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const id = request.headers['x-request-id'];
  const status = passingStatus(error);
  if (typeof id === 'string' && status !== null) rememberPageFault(id, status);
};
