import { daysBetween } from '@/core/service/days';
import { waitingCost } from '@/core/service/waiting';
import type { Db } from '@/data/database';
import type { PlanInputs } from '@/data/plans';
import { partsFor } from '@/data/jobs';
import { ownLives, type OwnLife } from '@/data/lives';
import type { ShopRow } from '@/data/shopSettings';
import { knowledge } from '@/knowledge';
import { planItem } from '@/knowledge/plans';
import { wearLives } from '@/knowledge/wearLives';
import { lifeHere } from './lifeHere';

const YEAR_DAYS = 365.25;

/** What failures cost and how long parts last, kind by kind. */
export interface Waiting {
  /** Kind → fault → what it costs when it fails by itself: the middle part and the minutes of its repair. */
  prices: Map<string, (fault: string) => number>;
  /** The shop's own lives, where it took some over. */
  own: OwnLife[];
}

export async function waitingOf(
  db: Db,
  kinds: readonly string[],
  shop: Pick<ShopRow, 'labour_minor'>,
): Promise<Waiting> {
  // One after the other: a transaction asks one question at a time.
  const lists: [string, Awaited<ReturnType<typeof partsFor>>][] = [];
  for (const kind of kinds) lists.push([kind, await partsFor(db, kind)]);
  const prices = new Map(
    lists.map(([kind, parts]) => [
      kind,
      (id: string) => {
        const { repair } = knowledge.faults.find((f) => f.id === id)!;
        const part = (group: string) => {
          const all = parts.filter((p) => p.part_group === group).map((p) => p.price_minor);
          return all.sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;
        };
        const work = ((shop.labour_minor ?? 0) * repair.minutes) / 60;
        return work + (repair.parts ?? []).reduce((sum, group) => sum + part(group), 0);
      },
    ]),
  );
  return { prices, own: await ownLives(db) };
}

/**
 * What it costs on the average to leave an item for another week: the faults that wear brings on where it is done, each by its
 * chance in that week. Null where no such fault is known.
 */
export function weekMinorOf(
  of: { item: string; kind: string; lastDoneOn: string | null; hoursPerWeek: number },
  today: string,
  { prices, own }: Waiting,
): number | null {
  const station = planItem(of.item)?.stations[of.kind];
  const wears = wearLives.filter(
    (w) => station !== undefined && knowledge.faults.find((f) => f.id === w.fault)!.kinds[of.kind]?.station === station,
  );
  if (wears.length === 0) return null;
  const price = prices.get(of.kind)!;
  const ours = own.filter((o) => o.kind === of.kind);
  const sum = wears.reduce((total, w) => {
    const life = lifeHere(w, of, ours);
    const age =
      of.lastDoneOn === null ? life.scaleYears / 2 : Math.max(0, daysBetween(of.lastDoneOn, today)) / YEAR_DAYS;
    return total + waitingCost(life, age, price(w.fault));
  }, 0);
  return Math.round(sum);
}

/** Items at one place of a machine keep the same faults away: of each place the dearest counts. */
export function atOnce(weeks: readonly { place: string; minor: number }[]): number {
  const most = new Map<string, number>();
  for (const { place, minor } of weeks) most.set(place, Math.max(most.get(place) ?? 0, minor));
  return [...most.values()].reduce((sum, minor) => sum + minor, 0);
}

/** What another week costs of all that is planned on a machine and falls to the shop. */
export function weekOfAll(inputs: PlanInputs, today: string, waiting: Waiting): number {
  if (inputs.machine.scrapped_on !== null) return 0;
  const hoursPerWeek = Number(inputs.machine.hours_per_week);
  return atOnce(
    inputs.plans
      .filter((p) => p.due_on !== null && !p.by_its_people)
      .map((p) => ({
        place: planItem(p.item)?.stations[inputs.kind] ?? '',
        minor:
          weekMinorOf({ item: p.item, kind: inputs.kind, lastDoneOn: p.last_done_on, hoursPerWeek }, today, waiting) ??
          0,
      })),
  );
}
