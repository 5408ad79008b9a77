/** KiB as the sender counts them. */
const KIB = 1024;
const MIB = 1024 * KIB;

/** What a stranger may send, and where no more is ever needed. */
export const SMALLEST_BODY_BYTES = 4 * KIB;
/** What is typed by hand: the longest words a form takes, in letters of three bytes, and all the rest of it. */
export const DEED_BODY_BYTES = 64 * KIB;

interface Limit {
  /** Path under the address of the shop, from its beginning to its end. */
  path: RegExp;
  bytes: number;
}

/** The exceptions, first match first; everything else under /api/v1 is typed by hand. */
const LIMITS: readonly Limit[] = [
  { path: /^\/api\/sign-(in|out)$/, bytes: SMALLEST_BODY_BYTES },
  // What the owner writes on the page of a link.
  { path: /^\/api\/o\/[^/]+$/, bytes: 16 * KIB },
  // Eighty lines with their reasons.
  { path: /^\/api\/v1\/jobs\/[^/]+\/make-estimate$/, bytes: 256 * KIB },
  { path: /^\/api\/v1\/photographs$/, bytes: 15 * MIB },
  { path: /^\/api\/v1\/import\/[^/]+$/, bytes: 20 * MIB },
  // The record of a pack's discharge is a file, and is kept with the job as it was read.
  { path: /^\/api\/v1\/gauges\/pack$/, bytes: 13 * MIB },
  { path: /^\/api\/v1\/jobs\/[^/]+\/keep-gauge$/, bytes: 13 * MIB },
  { path: /^\/api\/v1\/gauges\/usual$/, bytes: 128 * KIB },
  // Another shop's learning: every kind with every fault of it.
  { path: /^\/api\/v1\/learning$/, bytes: 2 * MIB },
  // A form that is half filled in, as the screen keeps it.
  { path: /^\/api\/v1\/drafts\/[^/]+$/, bytes: 128 * KIB },
  { path: /^\/api\/v1\//, bytes: DEED_BODY_BYTES },
];

/**
 * The largest body that a path takes, looked up before one byte of it is read.
 * @param path as in the address, without its query
 * @returns bytes
 */
export function bodyLimitBytes(path: string): number {
  return LIMITS.find((l) => l.path.test(path))?.bytes ?? SMALLEST_BODY_BYTES;
}

/** Bytes in words for whoever sent too many. */
export function sizeInWords(bytes: number): string {
  return bytes >= MIB ? `${Math.floor(bytes / MIB)} MiB` : `${Math.floor(bytes / KIB)} KiB`;
}
