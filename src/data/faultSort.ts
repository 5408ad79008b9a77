/** Errors of PostgreSQL (appendix A of its manual) and of the network that say: the server is away, or going. */
const AWAY = new Set([
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08003',
  '08006',
  '08001',
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
]);
const DISK_FULL = '53100';

/** What sort of fault an error is, when it is one that people can do something about. */
export function faultSort(error: unknown): 'away' | 'disk-full' | null {
  if (!(error instanceof Error)) return null;
  const code = (error as Error & { code?: unknown }).code;
  if (code === DISK_FULL) return 'disk-full';
  if (typeof code === 'string' && AWAY.has(code)) return 'away';
  // The pool and the driver tell some of it in words only.
  if (/Connection terminated|Timeout acquiring a connection|Unable to acquire a connection/.test(error.message))
    return 'away';
  return error instanceof AggregateError && error.errors.some((e) => faultSort(e) === 'away') ? 'away' : null;
}
