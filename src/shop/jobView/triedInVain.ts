import { repairedFault } from '@/core/diagnosis/doing';
import type { JobFacts } from './dto';

/** Faults whose repair was done on suspicion, and it was not it: the complaint was still there after it. */
export function triedInVain({ findings, proved }: Pick<JobFacts, 'findings' | 'proved'>): string[] {
  const last = new Map<string, boolean>();
  for (const { check, outcome, revoked } of findings) {
    const fault = repairedFault(check);
    if (fault !== null && !revoked) last.set(fault, outcome === 'remains');
  }
  return [...last].flatMap(([fault, remains]) => (remains && !proved.includes(fault) ? [fault] : []));
}
