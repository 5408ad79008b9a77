import type { Db } from './database';

/** The shop in figures. Days are calendar days of the shop's zone. */
export interface Glance {
  /** Machines on the premises, those past their promised day, those whose wait runs. */
  open: number;
  late: number;
  waiting: number;
  /** Taken in and handed back within the last days, and within as many days before those. */
  takenIn: number;
  takenInBefore: number;
  handedBack: number;
  handedBackBefore: number;
  /** Of the machines handed back within the last 90 days, those that came again for it; and the median of their days here. */
  handedBack90: number;
  comebacks90: number;
  medianDays90: number | null;
  /** Machines whose next due day is past, and those due within the next two weeks. */
  overdue: number;
  dueSoon: number;
  partsOut: number;
}

/** @param today in the shop's zone @param days how far back a figure looks */
export async function glance(db: Db, today: string, days: number): Promise<Glance> {
  const { rows } = await db.raw(
    `with closed as (
       select id, taken_in_at, closed_at from job where closed_at > now() - interval '90 days'
     )
     select
       (select count(*)::integer from job where closed_at is null) as open,
       (select count(*)::integer from job where closed_at is null and promised_on < :today) as late,
       (select count(*)::integer from wait where ended_at is null) as waiting,
       (select count(*)::integer from job where taken_in_at > now() - :days * interval '1 day') as "takenIn",
       (select count(*)::integer from job where taken_in_at > now() - 2 * :days * interval '1 day'
          and taken_in_at <= now() - :days * interval '1 day') as "takenInBefore",
       (select count(*)::integer from job where closed_at > now() - :days * interval '1 day') as "handedBack",
       (select count(*)::integer from job where closed_at > now() - 2 * :days * interval '1 day'
          and closed_at <= now() - :days * interval '1 day') as "handedBackBefore",
       (select count(*)::integer from closed) as "handedBack90",
       (select count(*)::integer from closed where exists (select from job again where again.comeback_of = closed.id)) as "comebacks90",
       (select percentile_cont(0.5) within group (order by extract(epoch from closed_at - taken_in_at) / 86400) from closed)::float8
         as "medianDays90",
       (select count(*)::integer from machine where next_due_on < :today and merged_into is null) as overdue,
       (select count(*)::integer from machine where next_due_on between :today and :today::date + 14 and merged_into is null) as "dueSoon",
       (select count(*)::integer from part where stock <= 0) as "partsOut"`,
    { today, days },
  );
  return rows[0] as Glance;
}
