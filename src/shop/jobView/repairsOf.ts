import { repairOf } from '@/core/diagnosis/doing';
import type { Kind } from '@/core/diagnosis/knowledge';
import type { JobState } from '@/data/jobState';
import { knowledge } from '@/knowledge';
import { isRenewed } from '@/knowledge/repairWork';

/**
 * Faults whose repair was done in this job: ticked, done on suspicion, or found and one of its parts fitted where it stands.
 * That a fault was found mends nothing, and a new belt mends no fault that the old one did not have.
 * @param found faults proved or named in this job, or left open by another
 */
export function repairedIn(kind: Kind, { repairs, findings, fitted }: JobState, found: ReadonlySet<string>): string[] {
  const tried = new Set(findings.filter((f) => f.revoked_at === null).map((f) => f.check_id));
  return knowledge.faults
    .filter((f) => {
      if (!(kind.id in f.kinds)) return false;
      if (repairs.includes(f.id) || tried.has(repairOf(f.id))) return true;
      return found.has(f.id) && isRenewed(kind.id, f.id, fitted);
    })
    .map((f) => f.id);
}
