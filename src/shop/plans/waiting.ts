import { daysBetween } from '@/core/service/days';
import { waitingCost } from '@/core/service/waiting';
import type { Db } from '@/data/database';
import type { PlanInputs } from '@/data/plans';
import { middlePrices, ownLives, type OwnLife } from '@/data/lives';
import type { ShopRow } from '@/data/shopSettings';
import { faultById } from '@/knowledge';
import { planItem } from '@/knowledge/plans';
import { wearsAt } from '@/knowledge/wearLives';
import { lifeHere } from './lifeHere';

const YEAR_DAYS = 365.25;

/** What failures cost and how long parts last. */
export interface Waiting {
  /** What a fault of a kind costs when it is mended by itself: the middle part of each group and the minutes of its repair. */
  price: (kind: string, fault: string) => number;
  /** The shop's own lives, where it took some over. */
  own: OwnLife[];
}

/** Two statements, however many kinds. */
export async function waitingOf(
  db: Db,
  kinds: readonly string[],
  shop: Pick<ShopRow, 'labour_minor'>,
): Promise<Waiting> {
  const middle = new Map((await middlePrices(db, kinds)).map((p) => [`${p.kind} ${p.part_group}`, p.price_minor]));
  const price = (kind: string, id: string) => {
    const { repair } = faultById(id)!;
    const parts = (repair.parts ?? []).reduce((sum, group) => sum + (middle.get(`${kind} ${group}`) ?? 0), 0);
    return ((shop.labour_minor ?? 0) * repair.minutes) / 60 + parts;
  };
  return { price, own: await ownLives(db) };
}

/**
 * What it costs on the average to leave an item for another week: the faults that wear brings on where it is done, each by its
 * chance in that week. Null where no such fault is known.
 */
export function weekMinorOf(
  of: { item: string; kind: string; lastDoneOn: string | null; hoursPerWeek: number },
  today: string,
  { price, own }: Waiting,
): number | null {
  const station = planItem(of.item)?.stations[of.kind];
  const wears = station === undefined ? [] : wearsAt(of.kind, station);
  if (wears.length === 0) return null;
  const ours = own.filter((o) => o.kind === of.kind);
  const sum = wears.reduce((total, w) => {
    const life = lifeHere(w, of, ours);
    const age =
      of.lastDoneOn === null ? life.scaleYears / 2 : Math.max(0, daysBetween(of.lastDoneOn, today)) / YEAR_DAYS;
    return total + waitingCost(life, age, price(of.kind, w.fault));
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
