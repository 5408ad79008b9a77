/** A piece of a text that stands for some stations alone, and what stands there without them: `{flat-belt/~gear:with|without}`. */
const PIECE = /\{([^:{}]+):([^|{}]*)(?:\|([^{}]*))?\}/g;

/**
 * A text as it is said of a machine with some stations: nobody is told to feel the belt of a machine that has none. A key is
 * the id of a station; with `~` before it, a word of any station's id.
 * @example ofStations('Head open{~belt:, belt off}.', new Set(['flat-belt'])) === 'Head open, belt off.'
 */
export function ofStations(text: string, stations: ReadonlySet<string>): string {
  return text
    .replace(PIECE, (_, keys: string, own: string, other = '') =>
      keysOf(keys).some((k) => isKey(k, stations)) ? own : other,
    )
    .trim();
}

/** The keys that a text is split by. */
export const stationKeys = (text: string): string[] => [...text.matchAll(PIECE)].flatMap(([, keys]) => keysOf(keys!));

/** Whether a key means one of some stations. */
export const isKey = (key: string, stations: ReadonlySet<string>): boolean =>
  key.startsWith('~') ? [...stations].some((s) => s.split('-').includes(key.slice(1))) : stations.has(key);

const keysOf = (keys: string) => keys.split('/');
