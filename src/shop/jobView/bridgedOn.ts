import type { Kind } from '@/core/diagnosis/knowledge';
import type { JobState } from '@/data/jobState';
import { isMadeNew } from '@/knowledge/madeNew';

/** Faults of protections that are bridged on this machine: until the switch itself is replaced. */
export function bridgedOn(kind: Kind, { bridges, partAges }: Pick<JobState, 'bridges' | 'partAges'>): string[] {
  const isReplaced = (fault: string, at: string) => {
    return partAges.some((p) => isMadeNew(kind.id, fault, p) && Date.parse(p.at) > Date.parse(at));
  };
  return [...new Set(bridges.filter((b) => !isReplaced(b.fault, b.at)).map((b) => b.fault))];
}
