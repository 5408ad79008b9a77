import { faultById } from '@/knowledge';
import { doneWords } from '@/knowledge/repairWork';
import type { JobState } from '@/data/jobState';
import type { WrittenFacts } from '../jobView/jobFacts';

/** What the book says of a repair that was ticked, or taken back. Where nothing was found no fault is named. */
export function repairWords(
  { agree, openFaults, machine }: WrittenFacts,
  { fitted }: Pick<JobState, 'fitted'>,
  fault: string,
  done: boolean,
): string {
  const { label, repair } = faultById(fault)!;
  const isBesides = agree.besides.includes(fault) && !openFaults.some((f) => f.fault === fault);
  const did = done ? doneWords(machine.kind, fault, fitted) : repair.label;
  if (isBesides) return `${did}: ${done ? 'done while it was open, as agreed' : 'not done after all'}`;
  return done ? `${label}: ${did}` : `${label}: not repaired after all`;
}
