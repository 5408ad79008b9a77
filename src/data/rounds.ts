import type { Db } from './database';
import type { DueByName } from './plans';

export interface DueItem {
  customer_id: number;
  machine_id: number;
  tag: string;
  maker: string;
  model: string;
  kind: string;
  item: string;
  due_on: string;
  due_early: string | null;
  due_late: string | null;
  due_by: DueByName;
  last_done_on: string | null;
  hours_per_week: number;
  made_year: number | null;
  site: string | null;
  open_job: number | null;
}

export interface DueCustomer {
  id: number;
  name: string;
  phone: string;
  email: string;
  address: string;
  kind: 'household' | 'business';
  no_letters: boolean;
  first_due: string;
  /** The machine that is due first: with its day it is where the next page begins. */
  first_machine: number;
  week_minor: number;
  /** How many items are due by then. */
  lines: number;
  visit_on: string | null;
  visit_words: string | null;
}

export interface DueAsked {
  /** ISO date: what is due up to then. */
  until: string;
  /** Of machines of this kind only. */
  kind?: string;
  customer?: number;
  /** Of machines that stand there only. */
  site?: number;
  /** By the day, or by what another week costs. */
  order?: 'day' | 'cost';
  after?: { due: string; machine: number };
}

const STANDS = (m: string) => `${m}.merged_into is null and ${m}.scrapped_on is null`;

/**
 * Customers with something due, earliest or dearest first. Each is found by the machine of theirs that is due first, so
 * that a page costs the same however many machines there are.
 */
export async function dueCustomers(db: Db, asked: DueAsked, limit: number): Promise<DueCustomer[]> {
  const asAsked = (m: string) =>
    [
      asked.kind === undefined ? '' : `and exists (select from model where id = ${m}.model_id and kind = :kind)`,
      asked.site === undefined ? '' : `and ${m}.site_id = :site`,
    ].join(' ');
  const byCost = asked.order === 'cost';
  // The machine that stands for its owner: due first, or dearest to leave.
  const key = (m: string) => (byCost ? `(-${m}.week_minor, -${m}.id)` : `(${m}.next_due_on, ${m}.id)`);
  const counts = (m: string) =>
    byCost ? `${m}.week_minor > 0 and ${m}.next_due_on <= :until` : `${m}.next_due_on <= :until`;
  const { rows } = await db.raw<{ rows: DueCustomer[] }>(
    `select c.id, c.name, c.phone, c.email, c.address, c.kind, c.no_letters, m.next_due_on as first_due, m.id as first_machine,
       m.week_minor, v.on_day as visit_on, v.words as visit_words,
       (select count(*)::int from machine x join plan p on p.machine_id = x.id
        where x.customer_id = c.id and ${STANDS('x')} ${asAsked('x')} and p.due_on <= :until and not p.by_its_people) as lines
     from machine m join customer c on c.id = m.customer_id left join visit_date v on v.customer_id = c.id
     where ${counts('m')} and ${STANDS('m')} ${asAsked('m')}
       ${asked.customer === undefined ? '' : 'and m.customer_id = :customer'}
       ${asked.after === undefined ? '' : `and ${key('m')} > (${byCost ? '-(:due)::int, -(:machine)::bigint' : ':due, :machine'})`}
       and not exists (
         select from machine e where e.customer_id = m.customer_id and ${counts('e')} and ${STANDS('e')} ${asAsked('e')}
           and ${key('e')} < ${key('m')})
     order by ${byCost ? 'm.week_minor desc, m.id desc' : 'm.next_due_on, m.id'} limit :limit`,
    {
      until: asked.until,
      limit,
      kind: asked.kind ?? null,
      site: asked.site ?? null,
      customer: asked.customer ?? null,
      due: asked.after?.due ?? null,
      machine: asked.after?.machine ?? null,
    },
  );
  return rows;
}

/** What is due on the machines of some customers, earliest first. */
export async function dueItems(
  db: Db,
  customers: readonly number[],
  { until, kind, site }: Pick<DueAsked, 'until' | 'kind' | 'site'>,
  limit: number,
): Promise<DueItem[]> {
  const query = db('machine as m')
    .join('plan as p', 'p.machine_id', 'm.id')
    .join('model', 'model.id', 'm.model_id')
    .leftJoin('site', 'site.id', 'm.site_id')
    .whereIn('m.customer_id', [...customers])
    .whereRaw(STANDS('m'))
    .where('p.due_on', '<=', until)
    .where('p.by_its_people', false)
    .orderBy(['p.due_on', 'm.id', 'p.item'])
    .limit(limit)
    .select('m.customer_id', { machine_id: 'm.id' }, 'm.tag', 'model.maker', { model: 'model.name' }, 'model.kind')
    .select(
      'p.item',
      'p.due_on',
      'p.due_early',
      'p.due_late',
      'p.due_by',
      'p.last_done_on',
      'm.hours_per_week',
      'm.made_year',
      { site: 'site.label' },
    )
    .select({
      open_job: db('job').whereRaw('job.machine_id = m.id').whereNull('closed_at').select('id').limit(1),
    });
  if (kind !== undefined) query.where('model.kind', kind);
  if (site !== undefined) query.where('m.site_id', site);
  return query;
}

export interface FeedRow {
  scope: 'shop' | 'customer' | 'person';
  customer_id: number | null;
  /** Who made it; of the scope of a person, whose it is. */
  person_id: number;
}

/** A new secret address in place of the last. */
export async function putFeed(db: Db, row: FeedRow & { token_hash: Buffer }): Promise<void> {
  const same = { scope: row.scope, customer_id: row.customer_id };
  await db('calendar_feed')
    .where(row.scope === 'person' ? { ...same, person_id: row.person_id } : same)
    .delete();
  await db('calendar_feed').insert(row);
}

export async function feedByToken(db: Db, tokenHash: Buffer): Promise<FeedRow | undefined> {
  return db('calendar_feed').where({ token_hash: tokenHash }).first('scope', 'customer_id', 'person_id');
}

/** Everything that is due up to a day, for a calendar; of one customer, or of all. */
export async function dueForCalendar(
  db: Db,
  until: string,
  customer: number | null,
  limit: number,
): Promise<(DueItem & { customer: string })[]> {
  const query = db('plan as p')
    .join('machine as m', 'm.id', 'p.machine_id')
    .join('model', 'model.id', 'm.model_id')
    .join('customer as c', 'c.id', 'm.customer_id')
    .leftJoin('site', 'site.id', 'm.site_id')
    .whereRaw(STANDS('m'))
    .where('p.due_on', '<=', until)
    .where('p.by_its_people', false)
    .orderBy(['p.due_on', 'm.id', 'p.item'])
    .limit(limit)
    .select('m.customer_id', { machine_id: 'm.id' }, 'm.tag', 'model.maker', { model: 'model.name' }, 'model.kind')
    .select(
      'p.item',
      'p.due_on',
      'p.due_early',
      'p.due_late',
      'p.due_by',
      { customer: 'c.name' },
      { site: 'site.label' },
    );
  if (customer !== null) query.where('m.customer_id', customer);
  return query;
}

/** What falls due up to a day and takes a part: how often, by item, model and interval. */
export async function dueByModel(
  db: Db,
  until: string,
  items: readonly string[],
): Promise<
  { item: string; model_id: number; kind: string; due_on: string; early: string; late: string | null; count: number }[]
> {
  const { rows } = await db.raw(
    `select p.item, m.model_id, model.kind, p.due_on, coalesce(p.due_early, p.due_on) as early, p.due_late as late, count(*)::int as count
     from plan p join machine m on m.id = p.machine_id join model on model.id = m.model_id
     where p.due_on is not null and coalesce(p.due_early, p.due_on) <= :until and p.item = any (:items) and ${STANDS('m')}
     group by 1, 2, 3, 4, 5, 6`,
    { until, items: [...items] },
  );
  return rows;
}

/** How many services were done in the last quarter, and how many fell due in it and wait still. */
export async function doneAndWaiting(db: Db, today: string): Promise<{ done: number; waiting: number }> {
  const { rows } = await db.raw(
    `select
       (select count(*)::int from service_done where state = 'done' and at > :today::date - interval '90 days') as done,
       (select count(*)::int from plan p join machine m on m.id = p.machine_id
        where p.due_on between :today::date - 90 and :today::date - 14 and not p.by_its_people and ${STANDS('m')}) as waiting`,
    { today },
  );
  return rows[0];
}

/** The open jobs of one person, with the day each was promised. */
export async function promisedTo(
  db: Db,
  person: number,
): Promise<
  {
    id: number;
    tag: string;
    maker: string;
    model: string;
    promised_on: string;
    visit: string;
    customer: string;
    site: string | null;
  }[]
> {
  return db('job as j')
    .join('machine as m', 'm.id', 'j.machine_id')
    .join('model', 'model.id', 'm.model_id')
    .join('customer as c', 'c.id', 'j.customer_id')
    .leftJoin('site', 'site.id', 'm.site_id')
    .whereNull('j.closed_at')
    .where('j.person_id', person)
    .orderBy(['j.promised_on', 'j.id'])
    .limit(500)
    .select(
      'j.id',
      'm.tag',
      'model.maker',
      { model: 'model.name' },
      'j.promised_on',
      'j.visit',
      { customer: 'c.name' },
      { site: 'site.label' },
    );
}

export async function putVisitDate(
  db: Db,
  customer: number,
  row: { on_day: string; words: string; person_id: number } | null,
): Promise<void> {
  if (row === null) await db('visit_date').where({ customer_id: customer }).delete();
  else
    await db('visit_date')
      .insert({ customer_id: customer, ...row })
      .onConflict('customer_id')
      .merge({ ...row, at: db.fn.now() });
}

/** The days on which somebody comes to customers; of one customer, or of all. */
export async function visitDates(
  db: Db,
  from: string,
  customer: number | null,
): Promise<{ customer_id: number; name: string; address: string; on_day: string; words: string }[]> {
  const query = db('visit_date as v')
    .join('customer as c', 'c.id', 'v.customer_id')
    .where('v.on_day', '>=', from)
    .orderBy(['v.on_day', 'c.id'])
    .limit(1000)
    .select('v.customer_id', 'c.name', 'c.address', 'v.on_day', 'v.words');
  if (customer !== null) query.where('v.customer_id', customer);
  return query;
}
