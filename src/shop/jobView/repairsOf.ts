import { repairedFault } from '@/core/diagnosis/doing';
import type { Kind } from '@/core/diagnosis/knowledge';
import type { JobState } from '@/data/jobState';
import { inOrder } from '@/knowledge';
import { isRenewed } from '@/knowledge/repairWork';

/**
 * Faults whose repair was done in this job: ticked, done on suspicion, or found and one of its parts fitted where it stands.
 * That a fault was found mends nothing, and a new belt mends no fault that the old one did not have.
 * @param found faults proved or named in this job, or left open by another
 */
export function repairedIn(kind: Kind, { repairs, findings, fitted }: JobState, found: ReadonlySet<string>): string[] {
  const tried = findings.flatMap((f) => (f.revoked_at === null ? (repairedFault(f.check_id) ?? []) : []));
  const done = new Set([...repairs, ...tried]);
  return inOrder(new Set([...done, ...found]))
    .filter((f) => kind.id in f.kinds && (done.has(f.id) || isRenewed(kind.id, f.id, fitted)))
    .map((f) => f.id);
}
