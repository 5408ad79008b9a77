import type { Kind } from '@/core/diagnosis/knowledge';
import { bestOrder } from '@/core/strip/bestOrder';
import type { Procedure, StripStep } from '@/core/strip/procedure';
import { stepsToOpen } from '@/core/strip/reach';
import { knowledge } from '@/knowledge';
import { planItem } from '@/knowledge/plans';
import { stepView } from '@/knowledge/stepView';
import type { ServiceLine, VisitOrder } from './dto';

/** An order is found between two presses, whatever the list: beyond so many states it says that it is not the best of all. */
const MOST_STATES = 600;

type Line = Pick<StripStep, 'id' | 'lie' | 'tool' | 'needs' | 'minutes'> & { step: StripStep | null };

/**
 * The whole visit in one order: what opens the machine and what is done there, the machine turned as rarely as can be, then
 * as few changes of tool.
 * @param opened steps that are done, in their order, or that this machine does not have
 */
export function visitOrder(
  kind: Kind,
  procedure: Procedure,
  service: readonly ServiceLine[],
  opened: readonly StripStep[],
  absent: ReadonlySet<string>,
): VisitOrder {
  const done = new Set([...opened.map((s) => s.id), ...absent]);
  const items = service
    .filter((l) => l.said === null && l.state !== 'later')
    .map((l) => ({ item: planItem(l.item)!, opens: opensFor(kind, procedure, l) }));
  const wanted = new Set(items.flatMap((i) => i.opens.map((s) => s.id)));
  const steps = procedure.steps.filter(
    (s) => wanted.has(s.id) && !done.has(s.id) && !s.instead.some((i) => done.has(i)),
  );
  const lines: Line[] = [
    ...steps.map((step) => ({ ...step, step })),
    ...items.map(({ item, opens }) => ({
      id: itemId(item.id),
      lie: item.lie ?? opens.at(-1)?.lie ?? null,
      tool: '',
      needs: opens.map((s) => s.id),
      minutes: item.minutes,
      step: null,
    })),
  ];
  const last = opened.at(-1);
  const order = bestOrder(lines, last ? { lie: last.lie, tool: last.tool } : undefined, MOST_STATES);
  return {
    lines: order.steps.map((l) =>
      l.step
        ? { sort: 'step', step: { ...stepView(knowledge, kind, l.step), pressed: false } }
        : { sort: 'item', item: l.id.slice(ITEM.length) },
    ),
    turnings: order.turnings,
    toolChanges: order.toolChanges,
    minutes: order.minutes,
    exact: order.exact,
  };
}

const ITEM = 'item:';
const itemId = (id: string) => `${ITEM}${id}`;

/** The steps that an item of the service is reached by. */
export function opensFor(kind: Kind, procedure: Procedure, { item, station }: ServiceLine): StripStep[] {
  const own = procedure.steps.find((s) => s.id === planItem(item)!.after?.[kind.id]);
  if (own) return withNeeds(procedure, own);
  const access = kind.access.find((a) => a.bares.includes(station))?.id;
  return access ? stepsToOpen(procedure, kind.access, [access]) : [];
}

/** A step with all that must be done before it, in the order in which they are written. */
export function withNeeds(procedure: Procedure, step: StripStep): StripStep[] {
  const wanted = new Set<string>();
  const want = (id: string) => {
    if (wanted.has(id)) return;
    wanted.add(id);
    procedure.steps.find((s) => s.id === id)?.needs.forEach(want);
  };
  want(step.id);
  return procedure.steps.filter((s) => wanted.has(s.id));
}
