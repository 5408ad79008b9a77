/**
 * The service book: an item falls due by days, hours, count, wear, frost or an earlier finding, within an interval; a visit's
 * lines are done, found worn or left, with what was read; a model's plate, the shop's own intervals and lives.
 * Every plan is worked out anew by the rules that hold now.
 */
export const up = `
select set_config('gritkeeper.many', 'yes', true);
alter table plan alter column due_on drop not null;
alter table plan
  add column due_early date,
  add column due_late date,
  add column due_by text not null default 'days'
    check (due_by in ('days', 'plate', 'hours', 'times', 'wear', 'frost', 'finding')),
  add column times integer not null default 0 check (times >= 0),
  add column times_on date,
  add column look_again_on date,
  add column wear_on date,
  add column by_its_people boolean not null default false;
update plan set due_early = due_on, due_late = due_on;
update plan set wear_on = due_on, due_by = 'wear' where item = 'bristles';
update plan set item = 'deck-belts-hours' where item = 'deck-belts-look' and machine_id in (
  select m.id from machine m join model on model.id = m.model_id where model.kind = 'scrubber-ride-on');

alter table model add column plates jsonb not null default '{}';
alter table model add column sealed_battery boolean;
alter table shop add column frost_month smallint check (frost_month between 1 and 12);
alter table shop add column letters jsonb not null default '{}';

create table own_interval (
  kind text not null,
  item text not null,
  days integer check (days between 1 and 7300),
  hours integer check (hours between 1 and 50000),
  why text not null default '' check (length(why) <= 500),
  person_id bigint references person,
  at timestamptz not null default now(),
  primary key (kind, item),
  check (num_nonnulls(days, hours) > 0)
);
create table own_life (
  kind text not null,
  fault text not null,
  shape double precision not null check (shape > 0),
  scale_years double precision not null check (scale_years > 0),
  failures integer not null,
  still_whole integer not null,
  person_id bigint references person,
  at timestamptz not null default now(),
  primary key (kind, fault)
);

alter table service_done
  add column state text not null default 'done' check (state in ('done', 'worn', 'left')),
  add column words text not null default '' check (length(words) <= 500),
  add column look_again_on date,
  add column minutes smallint check (minutes between 0 and 1440);
create table service_reading (
  id bigint generated always as identity primary key,
  machine_id bigint not null references machine,
  job_id bigint not null references job on delete cascade,
  item text not null,
  reading text not null,
  place text not null default '',
  value double precision not null,
  at timestamptz not null default now(),
  person_id bigint references person,
  unique (job_id, item, reading, place)
);
create index service_reading_machine on service_reading (machine_id, at);
create table operator_care (
  job_id bigint not null references job on delete cascade,
  item text not null,
  done_days smallint not null check (done_days >= 0),
  of_days smallint not null check (of_days between 1 and 366),
  person_id bigint references person,
  at timestamptz not null default now(),
  primary key (job_id, item),
  check (done_days <= of_days)
);

alter table calendar_feed drop constraint calendar_feed_scope_check;
alter table calendar_feed add constraint calendar_feed_scope_check check (scope in ('shop', 'customer', 'person'));
drop index calendar_feed_one;
create unique index calendar_feed_one on calendar_feed
  (scope, coalesce(customer_id, 0), (case when scope = 'person' then person_id else 0 end));

-- Whose plans are to be worked out anew; no change of the machine itself.
create table plan_stale (machine_id bigint primary key references machine on delete cascade);
insert into plan_stale select distinct machine_id from plan;
-- Worked out anew every day: parts grow older.
create table plan_day (day date primary key);
-- What another week costs of all that is due on a machine, by the last working out; smallest units.
alter table machine add column week_minor integer not null default 0;
create index machine_week_minor on machine (week_minor desc, id desc)
  where merged_into is null and scrapped_on is null and week_minor > 0;
-- What a customer answered to what falls due: the day on which somebody comes.
create table visit_date (
  customer_id bigint primary key references customer on delete cascade,
  on_day date not null,
  words text not null default '' check (length(words) <= 500),
  person_id bigint references person,
  at timestamptz not null default now()
);
create index visit_date_day on visit_date (on_day);
select audit_these('visit_date');
select audit_these('own_interval', 'own_life', 'service_reading', 'operator_care');
`;
