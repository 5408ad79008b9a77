import type { Knex } from 'knex';
import { addDays } from '@/core/service/days';
import { intervalDays } from '@/core/service/planDue';
import { kindById } from '@/knowledge';
import { operatorItemsOn } from '@/knowledge/operatorCare';
import { ordinaryUseOf } from '@/knowledge/ordinaryUse';
import { placesOf, planItemsOn, type PlanItem } from '@/knowledge/plans';
import { markStale, putPlansDone } from '@/data/plans';
import { refreshPlans } from '@/shop/plans/refreshPlans';

export interface PastVisit {
  on: string;
  /** Where a part was fitted. */
  stations: Set<string>;
  faults: Set<string>;
}

interface ServedMachine {
  id: number;
  customer_id: number;
  kind: string;
  dropped_stations: string[];
  pets: boolean;
  hours_per_week: number;
  trade: boolean;
  seen: readonly PastVisit[];
}

interface Shop {
  machines: readonly ServedMachine[];
  today: string;
  person: number;
  random: () => number;
}

const LEFT = [
  'Part ordered, comes next week',
  'The hall was needed back at eight',
  'The owner wants to wait',
  'No water at the site that day',
];

/** The demonstration keeps its services: visits of the past with what was done, read and left, and plans that come of them. */
export async function writeServices(db: Knex, shop: Shop): Promise<void> {
  const { machines, random } = shop;
  for (const [i, m] of machines.entries()) {
    const last = new Map<string, string>();
    const note = (item: string, on: string) => {
      if (on <= shop.today && on > (last.get(item) ?? '')) last.set(item, on);
    };
    const items = planItemsOn(m.kind, m.dropped_stations);
    const isMains = kindById(m.kind).supply === 'mains';
    for (const v of m.seen)
      for (const item of items)
        if (
          (item.parts.length > 0 && v.stations.has(item.stations[m.kind]!)) ||
          item.repairs.some((f) => v.faults.has(f)) ||
          (isMains && item.proofs?.includes('electrical-check'))
        )
          note(item.id, v.on);
    // Every seventh machine nobody ever brought for its service; every ninth comes late.
    if (i % 7 !== 5) {
      const every = everyDays(m, items);
      const newest = i % 9 === 4 ? every + 5 + Math.floor(random() * 40) : 16 + Math.floor(random() * (every - 20));
      for (let k = Math.min(7, Math.floor(700 / every)) - 1; k >= 0; k--) {
        const on = addDays(shop.today, -(newest + k * every));
        // What falls due before the next visit is done at this one.
        const now = items.filter((i) => isWanted(i, m, last.get(i.id), addDays(on, every + 25)));
        for (const item of await visit(db, m, now, on, k, shop)) note(item, on);
      }
    }
    for (const [item, on] of last) await putPlansDone(db, m.id, [item], on);
  }
  await refreshPlans(
    db,
    machines.map((m) => m.id),
  );
  await markStale(db, 'all');
}

/** So many days after a visit the next is made: before anything of the shop’s falls due. */
function everyDays(m: ServedMachine, items: readonly PlanItem[]): number {
  const days = items.flatMap((i) => (i.byItsPeople ? [] : [intervalDays(i, machineUse(m)) ?? Infinity]));
  return Math.max(25, Math.min(350, Math.min(...days) - 3));
}

const machineUse = (m: ServedMachine) => ({
  pets: m.pets,
  hoursPerWeek: m.hours_per_week,
  ...ordinaryUseOf(m.kind),
  trade: m.trade,
  sealedBattery: m.kind === 'scrubber-ride-on',
});

function isWanted(item: PlanItem, m: ServedMachine, last: string | undefined, next: string): boolean {
  if (item.reading) return true;
  const hours = item.bench?.hours;
  const byHours = hours === undefined ? Infinity : Math.floor((hours / m.hours_per_week) * 7);
  const days = Math.min(intervalDays(item, machineUse(m)) ?? Infinity, byHours);
  return Number.isFinite(days) && (last === undefined || addDays(last, days) < next);
}

/** One visit as it was written down. @returns what was done at it */
async function visit(
  db: Knex,
  m: ServedMachine,
  at: readonly PlanItem[],
  on: string,
  visitsAgo: number,
  { person, random }: Shop,
): Promise<string[]> {
  const start = new Date(`${on}T07:40:00Z`);
  const minutesOn = (minutes: number) => new Date(start.getTime() + minutes * 60_000);
  const [job] = await db('job')
    .insert({
      machine_id: m.id,
      customer_id: m.customer_id,
      stage: 'closed',
      place: 'door-shelf',
      words: '',
      visit: 'service',
      ending: 'repaired',
      promised_on: on,
      taken_in_at: start,
      taken_in_by: person,
      closed_at: minutesOn(95),
    })
    .returning<{ id: number }[]>('id');
  let clock = 6;
  const lines = at.map((item) => {
    const state = random() < 0.06 ? 'left' : item.reading === undefined && random() < 0.04 ? 'worn' : 'done';
    const minutes = Math.max(1, Math.round(item.minutes * (0.7 + random() * 0.7)));
    clock += minutes;
    return {
      job_id: job!.id,
      item: item.id,
      state,
      words:
        state === 'left' ? LEFT[Math.floor(random() * LEFT.length)]! : state === 'worn' ? 'Worn, good for a while' : '',
      look_again_on: state === 'done' ? null : addDays(on, 60),
      minutes,
      person_id: person,
      at: minutesOn(clock),
    };
  });
  if (lines.length > 0) await db('service_done').insert(lines);
  const readings = at.flatMap(({ id, reading }) =>
    reading
      ? placesOf(reading, m.kind).map((place, p) => ({
          machine_id: m.id,
          job_id: job!.id,
          item: id,
          reading: reading.id,
          place,
          value: invented(reading.id, visitsAgo, p, random),
          at: minutesOn(clock),
          person_id: person,
        }))
      : [],
  );
  if (readings.length > 0) await db('service_reading').insert(readings);
  if (m.hours_per_week >= 6)
    await db.raw(
      `insert into meter_reading (machine_id, job_id, hours, at, person_id)
       select id, :job, round((extract(epoch from :at::timestamptz - make_date(made_year, 7, 1)) / 604800 * hours_per_week)::numeric, 1), :at, :person
       from machine where id = :machine and :at::timestamptz > make_date(made_year, 7, 1)`,
      { job: job!.id, at: start, person, machine: m.id },
    );
  if (m.kind.startsWith('scrubber')) {
    const care = operatorItemsOn(m.kind, null).filter((o) => o.every === 'day');
    await db('operator_care').insert(
      care.map((o, n) => ({
        job_id: job!.id,
        item: o.id,
        done_days: n === 3 ? 3 : 12 + Math.floor(random() * 9),
        of_days: 20,
        person_id: person,
      })),
    );
  }
  const done = lines.filter((l) => l.state === 'done').map((l) => planLabel(at, l.item));
  const told = (what: string, text: string, minute: number) => ({
    machine_id: m.id,
    job_id: job!.id,
    what,
    text,
    person_id: person,
    at: minutesOn(minute),
  });
  await db('timeline').insert([
    told('taken-in', 'Here for its service', 0),
    told('serviced', `Service at the site: ${done.join(', ').toLowerCase() || 'nothing done'}.`, 94),
    told('handed-back', 'Handed back. Nothing was complained of.', 95),
  ]);
  // What was only measured is no newer than it was.
  return lines.filter((l) => l.state === 'done' && !at.find((i) => i.id === l.item)!.reading?.wear).map((l) => l.item);
}

const planLabel = (items: readonly PlanItem[], id: string) => items.find((i) => i.id === id)!.label;

/** What could have been read so many visits ago: it wears, and nobody reads it twice the same. */
function invented(reading: string, visitsAgo: number, place: number, random: () => number): number {
  const tenth = (x: number) => Math.round(x * 10) / 10;
  const jitter = random() - 0.5;
  if (reading === 'bristle-length') return tenth(17 + 2.6 * visitsAgo - 1.5 * place + 0.6 * jitter);
  if (reading === 'block-volts') return tenth(12.5 + 0.05 * visitsAgo - (place === 2 ? 0.3 : 0) + 0.1 * jitter);
  if (reading === 'belt-give') return tenth(14 - 0.8 * visitsAgo + jitter);
  if (reading === 'blade-edge') return 1 + ((6 - visitsAgo) % 4);
  return 2;
}
