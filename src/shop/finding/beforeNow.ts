import { checksOf, type Kind } from '@/core/diagnosis/knowledge';
import { madeBefore } from '@/core/diagnosis/machineState';
import type { JobState } from '@/data/jobState';
import { knowledge } from '@/knowledge';

/** Ids of the findings in force that were made before the last repair or reset of this job. */
export function beforeNow(
  kind: Kind,
  { findings, repairedAt }: Pick<JobState, 'findings' | 'repairedAt'>,
): Set<number> {
  const inForce = findings.filter((f) => f.revoked_at === null);
  const before = madeBefore(
    checksOf(knowledge, kind.id),
    inForce.map((f) => ({ check: f.check_id, outcome: f.outcome, at: Date.parse(f.at) })),
    repairedAt.map((r) => Date.parse(r.at)),
  );
  return new Set(inForce.flatMap((f, i) => (before[i] ? [f.id] : [])));
}
