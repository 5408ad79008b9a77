import { addDays, daysBetween } from '@/core/service/planDue';
import { waitingCost } from '@/core/service/waiting';
import { database } from '@/data/database';
import { partsFor } from '@/data/jobs';
import { dueCustomers, dueItems, type DueItem } from '@/data/rounds';
import { shopSettings, type ShopRow } from '@/data/shopSettings';
import { knowledge } from '@/knowledge';
import { planItems } from '@/knowledge/plans';
import { lifeInUse, wearLives } from '@/knowledge/wearLives';
import { dayInZone } from '../settings/day';
import type { DueLine, RoundsView } from './dto';

const PAGE = 30;
/** Of one page at most: a fleet is shown by its most urgent. */
const MOST_LINES = 600;
const YEAR_DAYS = 365.25;

export interface RoundsAsked {
  /** Days ahead. */
  ahead: number;
  kind?: string;
  customer?: number;
  after?: { due: string; machine: number };
}

/** What falls due, customer by customer, so that one visit serves all their machines; earliest first, page by page. */
export async function rounds({ ahead, ...asked }: RoundsAsked): Promise<RoundsView> {
  const db = database();
  const shop = await shopSettings(db);
  const today = dayInZone(new Date(), shop.zone);
  const until = addDays(today, ahead);
  const found = await dueCustomers(db, { ...asked, until }, PAGE + 1);
  const shown = found.slice(0, PAGE);
  const items = await dueItems(
    db,
    shown.map((c) => c.id),
    { until, ...(asked.kind === undefined ? {} : { kind: asked.kind }) },
    MOST_LINES,
  );
  const prices = await pricesOf([...new Set(items.map((i) => i.kind))], shop);
  const last = shown.at(-1);
  return {
    today,
    until,
    groups: shown.map((c) => {
      const lines = items.filter((i) => i.customer_id === c.id).map((i) => lineOf(i, today, prices));
      return {
        customer: {
          id: c.id,
          name: c.name,
          phone: c.phone,
          email: c.email,
          business: c.kind === 'business',
          noLetters: c.no_letters,
        },
        lines,
        weekMinor: atOnce(lines),
      };
    }),
    after: found.length > PAGE && last ? `${last.first_due}~${last.first_machine}` : null,
    currency: shop.currency,
    locale: shop.locale,
  };
}

/** Items at one place of a machine keep the same faults away: they are counted once. */
function atOnce(lines: readonly DueLine[]): number {
  const most = new Map<string, number>();
  for (const l of lines) {
    const place = `${l.machine} ${planItems.find((i) => i.id === l.item)?.stations[l.kind]}`;
    most.set(place, Math.max(most.get(place) ?? 0, l.weekMinor ?? 0));
  }
  return [...most.values()].reduce((sum, minor) => sum + minor, 0);
}

/** Kind → fault → what it costs when it fails by itself: the middle part and the minutes of its repair. */
async function pricesOf(kinds: readonly string[], shop: ShopRow): Promise<Map<string, (fault: string) => number>> {
  const db = database();
  const lists = await Promise.all(kinds.map(async (kind) => [kind, await partsFor(db, kind)] as const));
  return new Map(
    lists.map(([kind, parts]) => [
      kind,
      (id: string) => {
        const { repair } = knowledge.faults.find((f) => f.id === id)!;
        const part = (group: string) => {
          const prices = parts.filter((p) => p.part_group === group).map((p) => p.price_minor);
          return prices.sort((a, b) => a - b)[Math.floor(prices.length / 2)] ?? 0;
        };
        const work = ((shop.labour_minor ?? 0) * repair.minutes) / 60;
        return work + (repair.parts ?? []).reduce((sum, group) => sum + part(group), 0);
      },
    ]),
  );
}

function lineOf(row: DueItem, today: string, prices: Map<string, (fault: string) => number>): DueLine {
  const item = planItems.find((i) => i.id === row.item);
  const price = prices.get(row.kind)!;
  const station = item?.stations[row.kind];
  // What the item keeps away: the faults that wear brings on where it is done.
  const wears = wearLives.filter(
    (w) =>
      station !== undefined && knowledge.faults.find((f) => f.id === w.fault)!.kinds[row.kind]?.station === station,
  );
  const age = (life: { scaleYears: number }) =>
    row.last_done_on === null ? life.scaleYears / 2 : Math.max(0, daysBetween(row.last_done_on, today)) / YEAR_DAYS;
  return {
    machine: row.machine_id,
    tag: row.tag,
    model: `${row.maker} ${row.model}`,
    kind: row.kind,
    site: row.site,
    item: row.item,
    label: item?.label ?? row.item,
    dueOn: row.due_on,
    lastDoneOn: row.last_done_on,
    late: daysBetween(row.due_on, today),
    weekMinor:
      wears.length === 0
        ? null
        : Math.round(
            wears.reduce((sum, w) => {
              const life = lifeInUse(w, Number(row.hours_per_week));
              return sum + waitingCost(life, age(life), price(w.fault));
            }, 0),
          ),
    openJob: row.open_job,
  };
}
