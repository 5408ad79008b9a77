import type { JobState } from '@/data/jobState';
import type { PlanItem } from '@/knowledge/plans';

/** What was done at a visit, as far as it can do an item of the service. */
export type DidHere = Pick<JobState, 'service' | 'fitted' | 'findings' | 'proofs'> & { repaired: readonly string[] };

/**
 * Whether a visit does an item of the service, by a deed that did it: a part of the item's group at its station, a repair, a
 * look, a proof, or the item itself ticked. A tick of the rebuild does nothing: a filter that is back was not washed.
 */
export function isDoneHere(item: PlanItem, kindId: string, did: DidHere): boolean {
  const station = item.stations[kindId];
  return (
    // What was only measured is no newer than it was.
    (!item.reading?.wear && did.service.some((s) => s.item === item.id && s.state === 'done')) ||
    did.fitted.some((f) => f.station === station && f.group !== null && item.parts.includes(f.group)) ||
    did.repaired.some((id) => item.repairs.includes(id)) ||
    did.findings.some((f) => f.revoked_at === null && item.checks?.includes(f.check_id)) ||
    did.proofs.some((p) => p.result === 'pass' && item.proofs?.includes(p.item))
  );
}
