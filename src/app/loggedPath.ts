/** The path of a request as a log may have it: the token of an owner’s page or of a calendar is a key, and stays out. */
export function loggedPath(pathname: string): string {
  return pathname.replace(/^((?:\/api)?\/o\/|\/cal\/)[^/]+/, '$1…').slice(0, 200);
}
