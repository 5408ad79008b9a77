import type { Check, Fault, Kind } from './knowledge';
import type { RepairCosts } from './finishingCourse';
import { remembered } from './remembered';

/** Access ids from the outermost to the one named; empty for what is reached from outside. */
export function accessPath(kind: Kind, access: string): string[] {
  const path: string[] = [];
  for (let id: string | undefined = access; id && id !== 'outside';) {
    const found = kind.access.find((a) => a.id === id);
    if (!found) throw new RangeError(`${kind.id} has no access named ${id}.`);
    path.unshift(id);
    id = found.needs;
  }
  return path;
}

/** Minutes of opening still needed to reach `access` when `open` is open already. */
function openingMinutes(kind: Kind, open: ReadonlySet<string>, access: string): number {
  return accessPath(kind, access)
    .filter((id) => !open.has(id))
    .reduce((sum, id) => sum + kind.access.find((a) => a.id === id)!.openMinutes, 0);
}

/** Minutes to close what may not be open under power. */
export function closingMinutes(kind: Kind, open: ReadonlySet<string>): number {
  return kind.access.filter((a) => a.closedForPower && open.has(a.id)).reduce((sum, a) => sum + a.closeMinutes, 0);
}

/** What opening and closing a check costs from this state, and the state it leaves. */
export function reach(kind: Kind, open: ReadonlySet<string>, check: Pick<Check, 'access' | 'power'>) {
  const next = new Set(open);
  let minutes = 0;
  if (check.power === 'yes') {
    const wanted = new Set(accessPath(kind, check.access));
    const closed = kind.access.filter((a) => a.closedForPower && open.has(a.id) && !wanted.has(a.id));
    minutes += closed.reduce((sum, a) => sum + a.closeMinutes, 0);
    for (const a of closed) next.delete(a.id);
  }
  minutes += openingMinutes(kind, next, check.access);
  for (const id of accessPath(kind, check.access)) next.add(id);
  return { minutes, open: next };
}

/** Costs with openings shared along the course, for states of open parts kept as bit masks. */
export function courseCosts(kind: Kind, faults: readonly Fault[], open: ReadonlySet<string>) {
  const bit = new Map(kind.access.map((a, i) => [a.id, 1 << i]));
  const maskOf = (ids: Iterable<string>) => [...ids].reduce((mask, id) => mask | bit.get(id)!, 0);
  const pathOf = (access: string) => maskOf(accessPath(kind, access));
  const closedForPower = maskOf(kind.access.filter((a) => a.closedForPower).map((a) => a.id));
  const sumOf = (minutes: (a: Kind['access'][number]) => number) =>
    remembered((mask) => kind.access.reduce((sum, a, i) => sum + (mask & (1 << i) ? minutes(a) : 0), 0));
  const opening = sumOf((a) => a.openMinutes);
  const closing = sumOf((a) => a.closeMinutes);
  const faultPath = faults.map((f) => pathOf(f.repair.access));
  const repair: RepairCosts = {
    minutes: (fault, now) => opening(faultPath[fault]! & ~now) + faults[fault]!.repair.minutes,
    opens: (fault, now) => now | faultPath[fault]!,
  };
  return {
    repair,
    maskOf,
    openNow: maskOf(open),
    /** A check's minutes from a state, and what is open after it. */
    check(check: Pick<Check, 'access' | 'power' | 'minutes'>) {
      const path = pathOf(check.access);
      const mustClose = check.power === 'yes' ? closedForPower & ~path : 0;
      return {
        minutes: (now: number) => check.minutes + closing(now & mustClose) + opening(path & ~(now & ~mustClose)),
        opens: (now: number) => (now & ~mustClose) | path,
      };
    },
  };
}
