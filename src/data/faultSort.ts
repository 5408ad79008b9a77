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
/** The statement was ended for taking too long, or too many are connected. */
const BUSY = new Set(['57014', '55P03', '53300', '25P03']);
/** Still at odds with another after every try. */
const CONTENDED = new Set(['40001', '40P01', '23505', 'GK001']);
/** What it refers to is not there, or went away meanwhile. */
const NOT_THERE = '23503';
/** Values that the schema does not take: class 22, and its own rules. */
const UNKEPT = /^(22...|23514|23502)$/;

export type FaultSort = 'away' | 'disk-full' | 'busy' | 'contended' | 'not-there' | 'unkept';

/** What sort of fault an error is, when it is one that people can do something about. */
export function faultSort(error: unknown): FaultSort | null {
  if (!(error instanceof Error)) return null;
  // Given up because it took longer than anybody waits.
  if (error.name === 'TimeoutError' || error.name === 'AbortError') return 'busy';
  const code = (error as Error & { code?: unknown }).code;
  if (code === DISK_FULL) return 'disk-full';
  if (typeof code === 'string') {
    if (AWAY.has(code)) return 'away';
    if (BUSY.has(code)) return 'busy';
    if (CONTENDED.has(code)) return 'contended';
    if (code === NOT_THERE) return 'not-there';
    if (UNKEPT.test(code)) return 'unkept';
  }
  // The pool and the driver tell some of it in words only.
  if (
    /Connection terminated|Timeout acquiring a connection|Unable to acquire a connection|Query read timeout|not queryable|timeout exceeded when trying to connect|timeout expired/.test(
      error.message,
    )
  )
    return 'away';
  return error instanceof AggregateError && error.errors.some((e) => faultSort(e) === 'away') ? 'away' : null;
}
