import { addDays, daysBetween } from '@/core/service/days';
import { database } from '@/data/database';
import { dueCustomers, dueItems, type DueCustomer, type DueItem } from '@/data/rounds';
import { shopSettings } from '@/data/shopSettings';
import { planItem } from '@/knowledge/plans';
import { atOnce, waitingOf, weekMinorOf, type Waiting } from '../plans/waiting';
import { dayInZone } from '../settings/day';
import { lettersOf } from './letters';
import type { DueLine, RoundsAsked, RoundsView } from './dto';

/** A page has so many customers at most, and ends after the one with which it has so many lines. */
const PAGE = 30;
const PAGE_LINES = 120;
/** Of one page at most: a fleet is shown by its most urgent. */
const MOST_LINES = 600;

/** What falls due, customer by customer, so that one visit serves all their machines; earliest or dearest first, page by page. */
export async function rounds({ ahead, ...asked }: RoundsAsked): Promise<RoundsView> {
  const db = database();
  const shop = await shopSettings(db);
  const today = dayInZone(new Date(), shop.zone);
  const until = addDays(today, ahead);
  const found = await dueCustomers(db, { ...asked, until }, PAGE + 1);
  const shown = onePage(found);
  const items = await dueItems(
    db,
    shown.map((c) => c.id),
    { ...asked, until },
    MOST_LINES,
  );
  const ofCustomer = new Map(shown.map((c): [number, DueItem[]] => [c.id, []]));
  for (const i of items) ofCustomer.get(i.customer_id)!.push(i);
  const waiting = await waitingOf(db, [...new Set(items.map((i) => i.kind))], shop);
  const last = shown.at(-1);
  return {
    today,
    until,
    groups: shown.map((c) => {
      const lines = ofCustomer.get(c.id)!.map((i) => lineOf(i, today, waiting));
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
      found.length > shown.length && last
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

function onePage(found: readonly DueCustomer[]): DueCustomer[] {
  let lines = 0;
  const most = found.slice(0, PAGE);
  const end = most.findIndex((c) => (lines += c.lines) >= PAGE_LINES);
  return end < 0 ? most : most.slice(0, end + 1);
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
