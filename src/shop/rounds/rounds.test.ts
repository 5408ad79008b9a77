import { randomUUID } from 'node:crypto';
import ICAL from 'ical.js';
import nodeIcal from 'node-ical';
import { addDays } from '@/core/service/days';
import { refusal, openJob, testShop } from '../scene.fixture';
import { calendarOf, renewFeed, writeCalendar } from './calendar';
import { agreeVisit } from './agreeVisit';
import { amendLetters, letters, lettersPdf } from './letters';
import { partsWanted } from './partsWanted';
import { rounds } from './rounds';
import { markStale } from '@/data/plans';
import { refreshStale } from '../plans/refreshPlans';
import { moveJob } from '../moveJob/moveJob';
import { base } from '../scene.fixture';
import { sendDue } from './sendDue';

const shop = testShop();
const K1 = 'upright-shaft-belt';
const today = new Date().toISOString().slice(0, 10);
let customers: { id: number; version: number }[];

beforeAll(async () => {
  const { db, person, models } = shop;
  await db('shop').update({ labour_minor: 6000 });
  // Forty customers with two machines each, due in an order of their own; one that is scrapped and one of another kind.
  await openJob(person, models[K1]!, ['squeal']);
  await db.raw(
    `with c as (insert into customer (name, email) select 'C' || n, 'c' || n || '@house.example' from generate_series(1, 40) n returning id, name)
     insert into machine (tag, model_id, customer_id, made_year)
     select 'RR-' || lpad((row_number() over ())::text, 4, '0'), ?, c.id, 2020 from c, generate_series(1, 2)`,
    [models[K1]!],
  );
  await db.raw(
    `insert into plan (machine_id, item, last_done_on, due_on)
     select id, 'flat-belt', date '2024-01-01', ?::date + ((id * 37) % 90)::int - 45 from machine where tag like 'RR-%'`,
    [today],
  );
  await db.raw(
    `update machine set next_due_on = (select min(due_on) from plan where machine_id = machine.id) where tag like 'RR-%'`,
  );
  await db('machine').where({ tag: 'RR-0001' }).update({ scrapped_on: today, next_due_on: null });
  customers = await db('customer').where('name', 'like', 'C%').orderBy('id').select('id', 'version');
});

const all = async (ahead: number) => {
  const pages = [await rounds({ ahead })];
  for (let after = pages[0]!.after; after !== null;) {
    const [due, machine] = after.split('~');
    const next = await rounds({ ahead, after: { due: due!, machine: Number(machine) } });
    pages.push(next);
    after = next.after;
  }
  return pages;
};

test('every customer with something due comes once, earliest first, with all of their machines', async () => {
  const pages = await all(400);
  expect(pages.length).toBe(2);
  const groups = pages.flatMap((p) => p.groups);
  const ids = groups.map((g) => g.customer.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids.length).toBe(40);
  const firsts = groups.map((g) => g.lines[0]!.dueOn);
  expect(firsts).toEqual([...firsts].sort());
  expect(groups.flatMap((g) => g.lines.map((l) => l.tag)).filter((t) => t === 'RR-0001')).toEqual([]);
  expect(groups.reduce((sum, g) => sum + g.lines.length, 0)).toBe(79);
});

test('only what is due by then, of the kind that is asked', async () => {
  const { groups, until } = await rounds({ ahead: 0 });
  expect(until).toBe(today);
  for (const g of groups) for (const l of g.lines) expect(l.dueOn <= today).toBe(true);
  expect((await rounds({ ahead: 400, kind: 'robot' })).groups).toEqual([]);
  const { db } = shop;
  const [site] = await db('site').insert({ customer_id: customers[5]!.id, label: 'Mill Lane' }).returning('id');
  const [there] = await db('machine').where({ customer_id: customers[5]!.id }).orderBy('id').pluck('id');
  await db('machine').where({ id: there }).update({ site_id: site.id });
  const placed = (await rounds({ ahead: 400, site: site.id })).groups;
  expect(placed.flatMap((g) => g.lines.map((l) => [l.machine, l.site]))).toEqual([[there, 'Mill Lane']]);
  const [one] = (await rounds({ ahead: 400, customer: customers[3]!.id })).groups;
  expect(one!.customer.id).toBe(customers[3]!.id);
});

test('a page ends with the customer who fills it, whatever they have: none is left out, none comes twice', async () => {
  const { db } = shop;
  const owned = await db('machine').where({ customer_id: customers[9]!.id }).pluck('id');
  const many = Array.from({ length: 70 }, (_, n) => `made-up-${n}`);
  const rows = owned.flatMap((machine_id: number) =>
    many.map((item) => ({ machine_id, item, due_on: addDays(today, -900), due_by: 'days' })),
  );
  await db('plan').insert(rows);
  await db('machine')
    .whereIn('id', owned)
    .update({ next_due_on: addDays(today, -900) });
  const pages = await all(400);
  expect(pages[0]!.groups.map((g) => g.customer.id)).toEqual([customers[9]!.id]);
  const ids = pages.flatMap((p) => p.groups.map((g) => g.customer.id));
  expect([ids.length, new Set(ids).size]).toEqual([40, 40]);
  await db('plan').where('item', 'like', 'made-up-%').delete();
  await db('machine')
    .whereIn('id', owned)
    .update({ next_due_on: db.raw('(select min(due_on) from plan where machine_id = machine.id)') });
});

test('what has waited longest costs most to leave for another week', async () => {
  const { db } = shop;
  const [{ id: young }] = await db('machine').where({ tag: 'RR-0009' }).select('id');
  await db('plan')
    .where({ machine_id: young })
    .update({ last_done_on: addDays(today, -20) });
  const lines = (await all(400)).flatMap((p) => p.groups).flatMap((g) => g.lines);
  const cost = (tag: string) => lines.find((l) => l.tag === tag)!.weekMinor!;
  expect(cost('RR-0009')).toBeLessThan(cost('RR-0010'));
  expect(cost('RR-0010')).toBeGreaterThan(0);
  // Two items at one place keep the same faults away: together they cost no more than one.
  const [{ id, customer_id: owner }] = await db('machine').where({ tag: 'RR-0009' }).select('id', 'customer_id');
  const put = (item: string) =>
    db('plan').insert({ machine_id: id, item, last_done_on: addDays(today, -400), due_on: today });
  const week = async () => (await rounds({ ahead: 400, customer: owner })).groups[0]!.weekMinor;
  const alone = await week();
  await put('pre-filter-wash');
  const washed = await week();
  expect(washed).toBeGreaterThan(alone);
  await put('pre-filter-new');
  expect(await week()).toBe(washed);
  await db('plan').where({ machine_id: id }).whereNot({ item: 'flat-belt' }).delete();
});

describe('the calendar', () => {
  test('by its address, until that is renewed; read back by two parsers, whole days whatever the zone', async () => {
    const make = () => renewFeed(shop.person, { key: randomUUID(), scope: 'shop' });
    const token = async () => (await make()).path.replace(/^\/cal\/|\.ics$/g, '');
    const first = await token();
    const text = await calendarOf(first, '203.0.113.1');
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((v) => new ICAL.Event(v));
    expect(events).toHaveLength(79);
    for (const e of events) expect([e.startDate.isDate, e.duration.toSeconds()]).toEqual([true, 86_400]);
    const read = Object.values(nodeIcal.sync.parseICS(text)).filter((e) => e?.type === 'VEVENT') as nodeIcal.VEvent[];
    expect(read.map((e) => e.uid).sort()).toEqual(events.map((e) => e.uid).sort());
    expect(read.every((e) => e.datetype === 'date')).toBe(true);
    const second = await token();
    await expect(calendarOf(first, '203.0.113.1')).rejects.toMatchObject({ status: 404 });
    expect(await calendarOf(second, '203.0.113.1')).toContain('BEGIN:VCALENDAR');
  });

  test('of one customer only theirs; guessed it opens nothing', async () => {
    const { path } = await renewFeed(shop.person, { key: randomUUID(), scope: 'customer', customer: customers[5]!.id });
    const text = await calendarOf(path.replace(/^\/cal\/|\.ics$/g, ''), '203.0.113.2');
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(2);
    const fates = await Promise.all(
      Array.from({ length: 30 }, (_, n) =>
        calendarOf(`guess${n}`, '203.0.113.3').catch((e: { status: number }) => e.status),
      ),
    );
    expect(fates.filter((f) => f !== 404 && f !== 429)).toEqual([]);
    expect((await refusal(calendarOf('guess', '203.0.113.3'))).status).toBe(429);
    await expect(
      renewFeed(shop.person, { key: randomUUID(), scope: 'customer', customer: 999_999 }),
    ).rejects.toMatchObject({ status: 404 });
  });

  test('hostile words are words, long lines are folded', () => {
    const row = {
      tag: 'R1',
      maker: 'Hollin',
      model: 'x'.repeat(120),
      machine_id: 1,
      item: 'flat-belt',
      due_on: '2026-03-29',
      site: 'a;b,c\nEND:VCALENDAR',
      customer: '\\N',
    };
    const text = writeCalendar('Shop', [row], '2026-01-01');
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    const [event] = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
    expect(new ICAL.Event(event!).location).toBe('\\N, a;b,c\nEND:VCALENDAR');
  });
});

describe('a letter', () => {
  const write = (customer: { id: number; version: number }, version = customer.version) =>
    sendDue({ ...shop.person, role: 'counter' }, customer.id, {
      key: randomUUID(),
      version,
      subject: 'Your machines fall due',
      words: 'Call us.',
    });

  test('goes into the queue, never to who does not want it, nor without an address', async () => {
    const { db } = shop;
    expect((await refusal(write(customers[0]!))).fields[0]!.message).toMatch(/No mail server/);
    await db('shop').update({ mail: { host: '127.0.0.1', port: 1, from: 'a@shop.example' } });
    await write(customers[0]!);
    expect(await db('message').where({ address: 'c1@house.example' })).toHaveLength(1);
    await db('customer').where({ id: customers[1]!.id }).update({ no_letters: true });
    expect((await refusal(write(customers[1]!))).fields[0]!.message).toMatch(/does not want letters/);
    await db('customer').where({ id: customers[2]!.id }).update({ email: '' });
    expect((await refusal(write(customers[2]!))).fields[0]!.message).toMatch(/no address/);
    expect((await refusal(write(customers[3]!, 99))).status).toBe(409);
  });
});

describe('what costs most to leave', () => {
  test('comes first when it is asked for, page by page, and is worked out anew every day', async () => {
    const { db } = shop;
    await markStale(db, 'all');
    // The plans above were written by hand: what they are due by is not theirs to say.
    await db('plan').update({ last_done_on: db.raw(`last_done_on + (machine_id % 11)::int * 30`) });
    while ((await refreshStale()) > 0);
    const costs: number[] = [];
    const ids: number[] = [];
    let view = await rounds({ ahead: 400, order: 'cost' });
    for (;;) {
      const shown = await db('machine')
        .whereIn(
          'customer_id',
          view.groups.map((g) => g.customer.id),
        )
        .select('customer_id', 'week_minor');
      for (const g of view.groups) {
        ids.push(g.customer.id);
        costs.push(Math.max(...shown.filter((m) => m.customer_id === g.customer.id).map((m) => m.week_minor)));
      }
      if (view.after === null) break;
      const [due, machine] = view.after.split('~');
      view = await rounds({ ahead: 400, order: 'cost', after: { due: due!, machine: Number(machine) } });
    }
    expect(costs).toEqual([...costs].sort((a, b) => b - a));
    expect(costs[0]).toBeGreaterThan(0);
    expect(new Set(ids).size).toBe(ids.length);
    // A day that has begun is not begun again; the next one is, once.
    expect(await refreshStale()).toBe(0);
    await db('plan_day').delete();
    await Promise.all([refreshStale(), refreshStale()]);
    expect(await db('plan_day').count()).toEqual([{ count: 1 }]);
    while ((await refreshStale()) > 0);
  });
});

describe('an answer', () => {
  test('becomes a day in the rounds and in every calendar, and can be taken back', async () => {
    const { person, db } = shop;
    const [customer] = customers;
    const day = addDays(today, 9);
    const version = async () => (await db('customer').where({ id: customer!.id }).first('version')).version as number;
    const agree = async (on: string | null, words = 'Before ten, please; ask for the keys.') =>
      agreeVisit(person, customer!.id, { key: randomUUID(), version: await version(), day: on, words });
    expect((await refusal(agree(addDays(today, -1)))).fields).toEqual([{ field: 'day', message: 'A day to come.' }]);
    await agree(day);
    const group = async () => (await rounds({ ahead: 400, customer: customer!.id })).groups[0]!.customer;
    expect(await group()).toMatchObject({ visitOn: day, visitWords: 'Before ten, please; ask for the keys.' });
    const { path } = await renewFeed(person, { key: randomUUID(), scope: 'customer', customer: customer!.id });
    const read = async () => nodeIcal.sync.parseICS(await calendarOf(path.slice(5, -4), '127.0.0.1'));
    const visits = async () =>
      Object.values(await read()).filter((e) => e?.type === 'VEVENT' && String(e.summary).startsWith('Visit'));
    expect(await visits()).toHaveLength(1);
    await agree(null, '');
    expect([(await group()).visitOn, await visits()]).toEqual([null, []]);
  });
});

test('a calendar of one’s own jobs tells what one promised, and nobody else’s', async () => {
  const { person, models, db } = shop;
  const mine = await openJob(person, models[K1]!, ['squeal']);
  const other = await openJob(person, models[K1]!, ['squeal']);
  await moveJob(person, mine, { ...(await base(mine)), place: 'bench', benchNo: 1, personId: person.id });
  const { path } = await renewFeed(person, { key: randomUUID(), scope: 'person' });
  const text = await calendarOf(path.slice(5, -4), '127.0.0.1');
  const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
  expect(events.map((e) => e.getFirstPropertyValue('uid'))).toEqual([`job-${mine}@gritkeeper`]);
  expect(String(events[0]!.getFirstPropertyValue('summary'))).toContain(`promised, job ${mine}`);
  expect(text).not.toContain(`job ${other}`);
  // A shop’s own address stays as it is beside it.
  await renewFeed(person, { key: randomUUID(), scope: 'shop' });
  expect(await db('calendar_feed').where({ scope: 'person' }).count()).toEqual([{ count: 1 }]);
});

describe('letters', () => {
  test('in the shop’s own words, one page for everybody who wants one; hostile words are words', async () => {
    const owner = { ...shop.person, role: 'owner' as const };
    const { db } = shop;
    const put = async (words: string) =>
      amendLetters(owner, { key: randomUUID(), version: (await letters()).version, subject: 'Due: {date}', words });
    expect((await refusal(put('Dear {owner}, {price}'))).fields[0]!.field).toBe('words');
    await put('Dear {owner}, <b>{machines}</b> {shop}');
    await db('customer').where({ id: customers[3]!.id }).update({ name: '{machines} <script>Ω', no_letters: false });
    await db('customer').where({ id: customers[4]!.id }).update({ no_letters: true });
    const pdf = Buffer.from(await lettersPdf({ ahead: 400 })).toString('latin1');
    const due = [...(await all(400))].flatMap((p) => p.groups).filter((g) => !g.customer.noLetters);
    expect(Number(/\/Count (\d+)/.exec(pdf)![1])).toBe(due.length);
    const nobody = lettersPdf({ ahead: 0, kind: 'scrubber-ride-on' });
    expect((await refusal(nobody)).fields[0]!.field).toBe('ahead');
  });
});

test('parts to have ready: certain days count whole, and no more come than came lately', async () => {
  const wanted = await partsWanted(400);
  const belt = wanted.parts.find((p) => /belt/i.test(p.label))!;
  expect(belt.services).toBeGreaterThan(70);
  expect(belt.expected).toBeCloseTo(belt.services * wanted.doneShare, 6);
  expect(belt.low).toBeLessThanOrEqual(belt.expected);
  expect(belt.high).toBeGreaterThanOrEqual(belt.expected);
  expect(belt.high - belt.low).toBeLessThan(belt.services);
  const later = addDays(today, 200);
  await shop.db('plan').whereRaw('machine_id % 2 = 0').update({ due_on: later, due_early: later, due_late: later });
  const fewer = (await partsWanted(30)).parts.find((p) => p.code === belt.code)!.services;
  expect(fewer).toBeLessThan(belt.services);
  // One that may fall due on any day of its interval counts for the part of it that has come.
  await shop
    .db('plan')
    .whereRaw('machine_id % 2 = 0')
    .update({ due_early: today, due_late: addDays(today, 400) });
  const half = await partsWanted(100);
  const own = half.parts.find((p) => p.code === belt.code)!;
  expect(own.services).toBeGreaterThanOrEqual(belt.services);
  expect(own.expected).toBeLessThan(0.75 * own.services * half.doneShare);
});
