/** Most milliseconds between two keys of a scanner on the average; a fast typist needs about 80 (common practice, no source). */
const FASTEST_HAND_MS = 60;
/** A busy browser may hold one key back; a longer pause ends a burst. */
const LONGEST_PAUSE_MS = 200;
const LEAST_KEYS = 5;
/** A tag of the shop: letters, a dash, digits. */
const TAG = /^[A-Z]{1,6}-[A-Z0-9-]{2,14}$/i;

export interface Burst {
  code: string;
  /** What stood in the field before the first key of the burst; null outside a field. */
  before: string | null;
}

/**
 * Tells a scanner from a hand: a tag typed faster than anybody types, ended by Enter.
 * @returns `press`, which gives the burst when its Enter comes
 */
export function startScan() {
  let code = '';
  let first = 0;
  let last = -Infinity;
  let before: string | null = null;
  return {
    press(key: string, atMs: number, field: string | null): Burst | null {
      const follows = atMs - last <= LONGEST_PAUSE_MS;
      last = atMs;
      if (key === 'Enter') {
        const quick = follows && atMs - first <= code.length * FASTEST_HAND_MS;
        const burst = quick && code.length >= LEAST_KEYS && TAG.test(code) ? { code, before } : null;
        code = '';
        return burst;
      }
      if (key.length !== 1) return null;
      if (!follows || code === '') {
        code = '';
        first = atMs;
        before = field;
      }
      code += key;
      return null;
    },
  };
}
