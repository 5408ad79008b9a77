import { addDays, daysBetween } from '@/core/service/days';
import { database } from '@/data/database';
import { dueCustomers, dueItems, type DueItem } from '@/data/rounds';
import { shopSettings } from '@/data/shopSettings';
import { planItem } from '@/knowledge/plans';
import { atOnce, waitingOf, weekMinorOf, type Waiting } from '../plans/waiting';
import { dayInZone } from '../settings/day';
import { lettersOf } from './letters';
import type { DueLine, RoundsAsked, RoundsView } from './dto';

const PAGE = 30;
/** Of one page at most: a fleet is shown by its most urgent. */
const MOST_LINES = 600;

/** What falls due, customer by customer, so that one visit serves all their machines; earliest or dearest first, page by page. */
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
  const waiting = await waitingOf(db, [...new Set(items.map((i) => i.kind))], shop);
  const last = shown.at(-1);
  return {
    today,
    until,
    groups: shown.map((c) => {
      const lines = items.filter((i) => i.customer_id === c.id).map((i) => lineOf(i, today, waiting));
      return {
        customer: {
          id: c.id,
          name: c.name,
          phone: c.phone,
          email: c.email,
          business: c.kind === 'business',
          noLetters: c.no_letters,
          visitOn: c.visit_on,
          visitWords: c.visit_words ?? '',
        },
        lines,
        weekMinor: atOnce(
          lines.map((l) => ({
            place: `${l.machine} ${planItem(l.item)?.stations[l.kind]}`,
            minor: l.weekMinor ?? 0,
          })),
        ),
      };
    }),
    after:
      found.length > PAGE && last
        ? `${asked.order === 'cost' ? last.week_minor : last.first_due}~${last.first_machine}`
        : null,
    currency: shop.currency,
    letter: {
      ...lettersOf(shop),
      shop: shop.name,
      phone: (shop.letterhead as { phone?: string }).phone ?? '',
    },
    locale: shop.locale,
  };
}

function lineOf(row: DueItem, today: string, waiting: Waiting): DueLine {
  return {
    machine: row.machine_id,
    tag: row.tag,
    model: `${row.maker} ${row.model}`,
    kind: row.kind,
    site: row.site,
    item: row.item,
    label: planItem(row.item)?.label ?? row.item,
    dueOn: row.due_on,
    early: row.due_early,
    late: row.due_late,
    by: row.due_by,
    lastDoneOn: row.last_done_on,
    pastDays: daysBetween(row.due_on, today),
    weekMinor: weekMinorOf(
      { item: row.item, kind: row.kind, lastDoneOn: row.last_done_on, hoursPerWeek: Number(row.hours_per_week) },
      today,
      waiting,
    ),
    openJob: row.open_job,
  };
}
