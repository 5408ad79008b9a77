import { planItem, renews } from '@/knowledge/plans';
import type { JobFacts } from '../jobView/dto';

export type Service = JobFacts['service'][number];
/** An item of the service that is late. */
export type Late = Service & { dueOn: string };

/** Late, and nothing was said of it yet. */
export const isLate = (line: Service): line is Late =>
  line.state === 'past' && !line.done && line.said === null && line.dueOn !== null;

/** Since when the new part is late that takes the place of a repair which cleans the old one; null when it is not. */
export function newInsteadSince(fault: string, group: string, service: readonly Service[]): string | null {
  const late = service.filter(isLate).find(({ item }) => {
    const due = planItem(item);
    if (!due || !renews(due) || !due.parts.includes(group) || due.counts === undefined) return false;
    return planItem(due.counts)!.repairs.includes(fault);
  });
  return late?.dueOn ?? null;
}
