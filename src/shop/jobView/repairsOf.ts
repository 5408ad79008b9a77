import { repairOf } from '@/core/diagnosis/doing';
import type { Kind } from '@/core/diagnosis/knowledge';
import type { JobState } from '@/data/jobState';
import { knowledge } from '@/knowledge';

/**
 * Faults whose repair was done in this job: ticked, done on suspicion, or found and one of its parts fitted where it stands.
 * That a fault was found mends nothing, and a new belt mends no fault that the old one did not have.
 * @param found faults proved or named in this job, or left open by another
 */
export function repairedIn(kind: Kind, { repairs, findings, fitted }: JobState, found: ReadonlySet<string>): string[] {
  const tried = new Set(findings.filter((f) => f.revoked_at === null).map((f) => f.check_id));
  return knowledge.faults
    .filter((f) => {
      const station = f.kinds[kind.id]?.station;
      if (station === undefined) return false;
      if (repairs.includes(f.id) || tried.has(repairOf(f.id))) return true;
      if (!found.has(f.id)) return false;
      const groups = f.repair.parts ?? [];
      return fitted.some((p) => p.station === station && p.group !== null && groups.includes(p.group));
    })
    .map((f) => f.id);
}
