/** More than the turns that the door gives at once: whoever is older has left. */
const MOST = 500;

const held = globalThis as { gritkeeperPageFaults?: Map<string, number> };
// The framework calls from one bundle, the door asks from another: what both know is known to the process.
const faults = () => (held.gritkeeperPageFaults ??= new Map());

/** Remembers the status that a page deserves which broke while it was made: the framework would send 500 for all of them. */
export function rememberPageFault(requestId: string, status: number): void {
  const all = faults();
  all.set(requestId, status);
  if (all.size > MOST) all.delete(all.keys().next().value!);
}

/** What was remembered of a request, told once, or null. */
export function takePageFault(requestId: string): number | null {
  const status = faults().get(requestId) ?? null;
  faults().delete(requestId);
  return status;
}
