import type { Habit } from '@/core/service/planDue';
import { database } from '@/data/database';
import { markStale, ownIntervals, putOwnInterval } from '@/data/plans';
import { knowledge } from '@/knowledge';
import { planItemsOn } from '@/knowledge/plans';
import { owner } from '../access/roles';
import { once, shopDeed } from '../deed/deed';
import { notFound, refuseIf } from '../problem';
import { PLANS_FORM, ReadPlansDto, type PlansBook } from './dto';

/** The plan of a kind as it holds in this shop. @throws ProblemError 404 */
export async function plansBook(kind: string): Promise<PlansBook> {
  if (!knowledge.kinds.some((k) => k.id === kind)) throw notFound('This kind');
  const own = (await ownIntervals(database())).filter((o) => o.kind === kind);
  return {
    form: PLANS_FORM,
    kind,
    items: planItemsOn(kind).map((item) => {
      const ours = own.find((o) => o.item === item.id);
      return {
        item: item.id,
        label: item.label,
        station: item.stations[kind]!,
        minutes: item.minutes,
        maker: habitOf(item.maker),
        bench: habitOf(item.bench),
        heavyDays: item.heavyDays ?? null,
        tradeOnly: item.tradeOnly === true,
        floodedOnly: item.flooded === true,
        beforeFrost: item.frost === true,
        byItsPeople: item.byItsPeople === true,
        own: ours ? { days: ours.days, hours: ours.hours, uses: ours.uses, why: ours.why } : null,
      };
    }),
  };
}

const habitOf = (habit: Habit | undefined): PlansBook['items'][number]['bench'] =>
  habit === undefined
    ? null
    : {
        days: habit.days ?? null,
        hours: habit.hours ?? null,
        uses: habit.uses ?? null,
        times: habit.times ?? null,
      };

/** The shop's own intervals of a kind as a file has them, its own or another shop's; items that it does not name stay. */
export const readPlans = shopDeed(
  {
    name: 'read-plans',
    roles: owner,
    summary: 'Take over the intervals of a kind from a file',
    dto: ReadPlansDto,
  },
  (person, dto): Promise<{ kind: string; items: number }> =>
    once(person, 'read-plans', dto, dto.plans.kind, async (db) => {
      const { kind, items } = dto.plans;
      const known = new Set(planItemsOn(kind).map((i) => i.id));
      refuseIf(knowledge.kinds.some((k) => k.id === kind) ? [] : [{ field: 'plans.kind', message: 'No such kind.' }]);
      refuseIf(
        items.flatMap(({ item, own }, i) => [
          ...(known.has(item)
            ? []
            : [{ field: `plans.items[${i}].item`, message: `${kind} has no service ${item.slice(0, 60)}.` }]),
          ...(items.findIndex((o) => o.item === item) === i
            ? []
            : [{ field: `plans.items[${i}].item`, message: 'It stands there twice.' }]),
          ...(own && (own.days ?? own.hours ?? own.uses ?? null) === null
            ? [{ field: `plans.items[${i}].own`, message: 'Days, hours or uses.' }]
            : []),
        ]),
      );
      for (const { item, own } of items)
        await putOwnInterval(
          db,
          kind,
          item,
          own
            ? {
                days: own.days ?? null,
                hours: own.hours ?? null,
                uses: own.uses ?? null,
                why: own.why.trim(),
                person_id: person.id,
              }
            : null,
        );
      await markStale(db, { kind });
      return { kind, items: items.length };
    }),
);
