import { faultById } from '@/knowledge';
import type { WrittenFacts } from '../jobView/jobFacts';

/** What the book says of a repair that was ticked, or taken back. Where nothing was found no fault is named. */
export function repairWords({ agree, openFaults }: WrittenFacts, fault: string, done: boolean): string {
  const { label, repair } = faultById(fault)!;
  const isBesides = agree.besides.includes(fault) && !openFaults.some((f) => f.fault === fault);
  if (isBesides) return `${repair.label}: ${done ? 'done while it was open, as agreed' : 'not done after all'}`;
  return done ? `${label}: ${repair.label}` : `${label}: not repaired after all`;
}
