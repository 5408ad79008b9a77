/**
 * Whether an address may reach the service. Said of too many rather than of too few: what the pages' own door would leave
 * to this one, in whichever way it is written, is asked for here.
 */
export function isService(url: string): boolean {
  const path = url.split('?', 1)[0]!;
  // An address of two slashes may be read as that of another host.
  return path.startsWith('//') || [path, plainPath(path)].some((p) => SERVICE.test(p));
}

const SERVICE = /^(\/_next\/data\/[^/]+)?\/api\//i;

/** Without escapes, doubled slashes and steps back. */
function plainPath(path: string): string {
  try {
    return decodeURIComponent(new URL(path, 'http://here').pathname).replace(/\/+/g, '/');
  } catch {
    return path;
  }
}
