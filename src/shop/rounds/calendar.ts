import ICAL from 'ical.js';
import { addDays } from '@/core/service/days';
import { customerById } from '@/data/customers';
import { database } from '@/data/database';
import { dueForCalendar, feedByToken, promisedTo, putFeed, visitDates, type DueItem } from '@/data/rounds';
import { shopSettings } from '@/data/shopSettings';
import { planItem } from '@/knowledge/plans';
import { everyone } from '../access/roles';
import { openedBy } from '../access/secretAddress';
import { tokenHash, tokenOfPress } from '../access/secrets';
import { once, shopDeed } from '../deed/deed';
import { openLines } from '../openLines';
import { notFound } from '../problem';
import { dayInZone } from '../settings/day';
import { RenewFeedDto, type RenewedFeed } from './dto';

/** So far ahead a calendar tells. */
const AHEAD_DAYS = 400;
const MOST_LINES = 5000;

/** A new secret address for a calendar of what falls due; the last one opens nothing from now on. */
export const renewFeed = shopDeed(
  {
    name: 'renew-feed',
    roles: everyone,
    summary: 'A new secret address for the calendar of what falls due',
    dto: RenewFeedDto,
  },
  async (person, dto): Promise<RenewedFeed> => {
    const token = tokenOfPress(person.id, dto.key);
    const customer = dto.scope === 'customer' ? (dto.customer ?? 0) : null;
    await once(
      person,
      'renew-feed',
      dto,
      `${dto.scope}:${customer ?? (dto.scope === 'person' ? person.id : '')}`,
      async (db) => {
        if (customer !== null && !(await customerById(db, customer))) throw notFound('This customer');
        await putFeed(db, {
          scope: dto.scope,
          customer_id: customer,
          token_hash: tokenHash(token),
          person_id: person.id,
        });
        return {};
      },
    );
    return { path: `/cal/${token}.ics` };
  },
);

/** The calendar behind an address. @throws ProblemError 404 for an address that opens nothing; 429 after too many */
export async function calendarOf(token: string, address: string): Promise<string> {
  const db = database();
  const feed = await openedBy(db, token, address, 'This calendar', (hash) => feedByToken(db, hash));
  const shop = await shopSettings(db);
  const today = dayInZone(new Date(), shop.zone);
  if (feed.scope === 'person')
    return writeEvents(shop.name, promisedEvents(await promisedTo(db, feed.person_id)), today);
  const rows = await dueForCalendar(db, addDays(today, AHEAD_DAYS), feed.customer_id, MOST_LINES);
  const visits = (await visitDates(db, today, feed.customer_id)).map((v) => ({
    id: `visit-${v.customer_id}`,
    on: v.on_day,
    says: `Visit: ${v.name}${v.words && `, ${v.words}`}`,
    where: v.address,
  }));
  return writeCalendar(shop.name, rows, today, visits);
}

/**
 * What falls due as a calendar (RFC 5545): one whole-day event for each machine and day. Days have no hour and no zone, so
 * that daylight saving moves none of them. What is past stands on the day it was due.
 */
export function writeCalendar(
  name: string,
  rows: readonly (Pick<DueItem, 'tag' | 'maker' | 'model' | 'machine_id' | 'item' | 'due_on' | 'site'> & {
    customer: string;
  })[],
  today: string,
  more: readonly DayEvent[] = [],
): string {
  const days = new Map<string, typeof rows>();
  for (const row of rows) {
    const key = `${row.machine_id}:${row.due_on}`;
    days.set(key, [...(days.get(key) ?? []), row]);
  }
  const events = [...days].map(([key, items]): DayEvent => {
    const [first] = items;
    return {
      id: key.replace(':', '-'),
      on: first!.due_on,
      says: `${first!.tag} ${first!.maker} ${first!.model}: ${items.map((i) => planItem(i.item)?.label ?? i.item).join(', ')}`,
      where: [first!.customer, first!.site].filter(Boolean).join(', '),
    };
  });
  return writeEvents(name, [...more, ...events], today);
}

/** What one person promised: an event for each open job, on its day. */
const promisedEvents = (jobs: Awaited<ReturnType<typeof promisedTo>>): DayEvent[] =>
  jobs.map((j) => ({
    id: `job-${j.id}`,
    on: j.promised_on,
    says: `${j.tag} ${j.maker} ${j.model}: ${j.visit === '' ? 'promised' : 'service'}, job ${j.id}`,
    where: [j.customer, j.site].filter(Boolean).join(', '),
  }));

interface DayEvent {
  id: string;
  on: string;
  says: string;
  where: string;
}

function writeEvents(name: string, events: readonly DayEvent[], today: string): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Grit Keeper//Rounds//EN');
  calendar.addPropertyWithValue('x-wr-calname', name);
  for (const e of events) {
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', `${e.id}@gritkeeper`);
    event.addPropertyWithValue('dtstamp', ICAL.Time.fromDateString(today).convertToZone(ICAL.Timezone.utcTimezone));
    event.addPropertyWithValue('dtstart', ICAL.Time.fromDateString(e.on));
    event.addPropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(e.on, 1)));
    event.addPropertyWithValue('summary', e.says);
    event.addPropertyWithValue('location', e.where);
    event.addPropertyWithValue('transp', 'TRANSPARENT');
    calendar.addSubcomponent(event);
  }
  return openLines(calendar);
}
