import { bestOrder } from '@/core/strip/bestOrder';
import { changedBy } from '@/core/strip/changed';
import { stepsToOpen } from '@/core/strip/reach';
import { kindById } from '@/knowledge';
import { procedures } from '@/knowledge/kinds';
import { stepView } from '@/knowledge/stepView';
import type { JobFacts, StepView } from '@/shop/jobView/dto';

/** What is still ahead to one access of a machine, and what that takes. */
export type WayIn = Pick<JobFacts['strip'], 'turnings' | 'minutes' | 'exact'> & { ahead: StepView[] };

/** The way to an access that no repair asks for: somebody wants to look. From what is open now. */
export function wayIn({ machine, strip }: Pick<JobFacts, 'machine' | 'strip'>, access: string): WayIn {
  const kind = kindById(machine.kind);
  const behind = new Set([...strip.done, ...strip.absent].map((s) => s.id));
  const last = strip.done.at(-1);
  const steps = kind.access.some((a) => a.id === access)
    ? stepsToOpen(changedBy(procedures[machine.kind]!, strip.changes).procedure, kind.access, [access], behind)
    : [];
  const order = bestOrder(steps, last ? { lie: last.lie, tool: last.tool } : undefined);
  const ahead = order.steps.map((s) => ({ ...stepView(kind, s), pressed: false }));
  return { ahead, turnings: order.turnings, minutes: order.minutes, exact: order.exact };
}
