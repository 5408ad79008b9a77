const FIRST_MS = 500;
const LONGEST_MS = 30_000;
/** A server that stood so long had started well: its end is the first of a new row. */
const STOOD_MS = 60_000;

/**
 * How long to wait before a server that died is started again: half a second, then twice as long each time, at most half a
 * minute.
 * @param before the last wait in ms, 0 for none
 * @param stoodMs how long the server had stood
 * @returns ms
 */
export function backOffMs(before: number, stoodMs: number): number {
  if (before === 0 || stoodMs >= STOOD_MS) return FIRST_MS;
  return Math.min(LONGEST_MS, before * 2);
}
