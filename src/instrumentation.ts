/** Started once with each server: what it is told is checked, the finder gets its threads, the clocks run whoever looks. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  const { startServer } = await import('./app/startServer');
  startServer();
}
