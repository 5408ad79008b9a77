/** Of no site: only to read a path against. */
const NOWHERE = 'http://nowhere.invalid';

/**
 * A path of ours out of what somebody asked to be led to: read as a browser reads it, never matched as text, so that nothing
 * that a browser takes for another site gets through.
 * @returns path, query and fragment; `/` for everything else
 */
export function ownPath(asked: unknown): string {
  if (typeof asked !== 'string' || !asked.startsWith('/')) return '/';
  try {
    const url = new URL(asked, NOWHERE);
    const path = url.pathname + url.search + url.hash;
    // Read once more: `/.//elsewhere` and its like only then show what they are.
    const again = new URL(path, NOWHERE);
    return url.origin === NOWHERE && again.origin === NOWHERE && !path.startsWith('//') ? path : '/';
  } catch {
    return '/';
  }
}
