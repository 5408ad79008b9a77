/** Started once with each server: the clocks of the shop run whoever looks. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  const [{ keepClocks }, { log }] = await Promise.all([import('./shop/live/ringClocks'), import('./app/log')]);
  let quiet = false;
  keepClocks((err) => {
    // Said once, not every two seconds, while the database is away.
    if (!quiet) log.warn({ err }, 'the clocks could not be rung; trying again');
    quiet = true;
    setTimeout(() => (quiet = false), 60_000).unref();
  });
}
