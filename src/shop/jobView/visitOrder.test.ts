import fc from 'fast-check';
import { knowledge } from '@/knowledge';
import { procedures } from '@/knowledge/kinds';
import { planItem, planItemsOn } from '@/knowledge/plans';
import type { ServiceLine } from './dto';
import { visitOrder } from './visitOrder';

const line = (kind: string, item: string): ServiceLine => ({
  item,
  label: item,
  station: planItem(item)!.stations[kind]!,
  state: 'unknown',
  lastDoneOn: null,
  dueOn: null,
  early: null,
  late: null,
  by: 'days',
  byItsPeople: false,
  done: false,
  said: null,
  words: '',
  lookAgainOn: null,
  minutes: null,
  readings: [],
  before: [],
});

/** How often a machine is turned that lies so, one after the other; where it does not matter it stays as it is. */
function turnings(lies: readonly (string | null)[]): number {
  let [at, turned]: [string | null, number] = [null, 0];
  for (const lie of lies) {
    if (lie === null) continue;
    if (at !== null && lie !== at) turned++;
    at = lie;
  }
  return turned;
}

test('whatever is on the list of whatever kind: nothing before what it needs, and never turned more often than line by line', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...knowledge.kinds),
      fc.infiniteStream(fc.boolean()),
      fc.nat(5),
      (kind, wanted, pressed) => {
        const procedure = procedures[kind.id]!;
        const items = planItemsOn(kind.id).filter(() => wanted.next().value);
        const service = items.map((i) => line(kind.id, i.id));
        const whole = visitOrder(kind, procedure, service, [], new Set());
        // Some of its first steps are behind already.
        const first = whole.lines.flatMap((l) => (l.sort === 'step' ? [l.step.id] : [])).slice(0, pressed);
        const opened = first.map((id) => procedure.steps.find((s) => s.id === id)!);
        const order = visitOrder(kind, procedure, service, opened, new Set());
        const at = new Map(order.lines.map((l, i) => [l.sort === 'step' ? l.step.id : `item ${l.item}`, i]));
        expect(order.lines.filter((l) => l.sort === 'item')).toHaveLength(items.length);
        for (const id of first) expect(at.has(id)).toBe(false);
        for (const l of order.lines)
          if (l.sort === 'step')
            for (const need of procedure.steps.find((s) => s.id === l.step.id)!.needs)
              expect(at.get(need) ?? -1).toBeLessThan(at.get(l.step.id)!);
        for (const item of items) {
          const own = item.after?.[kind.id];
          if (own) expect(at.get(own) ?? -1).toBeLessThan(at.get(`item ${item.id}`)!);
        }
        // One item after the other, each with its own way: what somebody does who does not think ahead.
        const done = new Set<string>();
        const naive = service.flatMap((l) => {
          const one = visitOrder(kind, procedure, [l], [], new Set());
          const lies = one.lines.flatMap((x) => (x.sort === 'step' && !done.has(x.step.id) ? [x.step.lie] : []));
          one.lines.forEach((x) => x.sort === 'step' && done.add(x.step.id));
          return [...lies, planItem(l.item)!.lie ?? null];
        });
        if (whole.exact) expect(whole.turnings).toBeLessThanOrEqual(turnings(naive));
      },
    ),
    { numRuns: 120 },
  );
});
