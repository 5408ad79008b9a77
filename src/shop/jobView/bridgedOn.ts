import type { Kind } from '@/core/diagnosis/knowledge';
import type { JobState } from '@/data/jobState';
import { faultById } from '@/knowledge';

/** Faults of protections that are bridged on this machine: until the switch itself is replaced. */
export function bridgedOn(kind: Kind, { bridges, partAges }: Pick<JobState, 'bridges' | 'partAges'>): string[] {
  const isReplaced = (fault: string, at: string) => {
    const station = faultById(fault)?.kinds[kind.id]?.station;
    return partAges.some((p) => p.station === station && Date.parse(p.at) > Date.parse(at));
  };
  return [...new Set(bridges.filter((b) => !isReplaced(b.fault, b.at)).map((b) => b.fault))];
}
