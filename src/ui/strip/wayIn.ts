import { kindOf } from '@/core/diagnosis/knowledge';
import { bestOrder } from '@/core/strip/bestOrder';
import { changedBy } from '@/core/strip/changed';
import { stepsToOpen } from '@/core/strip/reach';
import { stepView } from '@/knowledge/stepView';
import type { JobFacts, StepView } from '@/shop/jobView/dto';
import { bookOf } from '../job/trade';

/** What is still ahead to one access of a machine, and what that takes. */
export type WayIn = Pick<JobFacts['strip'], 'turnings' | 'minutes' | 'exact'> & { ahead: StepView[] };

/** The way to an access that no repair asks for: somebody wants to look. From what is open now. */
export function wayIn({ machine, strip }: Pick<JobFacts, 'machine' | 'strip'>, access: string): WayIn {
  const { knowledge, procedure } = bookOf(machine.kind);
  const kind = kindOf(knowledge, machine.kind);
  const behind = new Set([...strip.done, ...strip.absent].map((s) => s.id));
  const last = strip.done.at(-1);
  const steps = kind.access.some((a) => a.id === access)
    ? stepsToOpen(changedBy(procedure, strip.changes).procedure, kind.access, [access], behind)
    : [];
  const order = bestOrder(steps, last ? { lie: last.lie, tool: last.tool } : undefined);
  const ahead = order.steps.map((s) => ({ ...stepView(knowledge, kind, s), pressed: false }));
  return { ahead, turnings: order.turnings, minutes: order.minutes, exact: order.exact };
}
