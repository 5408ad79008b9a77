/**
 * The book says only what happened: how a visit ended and why it was made, repairs that were done, faults that stay open on a
 * machine, services that were done, complaints struck at the bench, parts that are on no list; and plans that were said
 * done by nobody are taken out, each with a line that says so.
 */
export const up = `
alter table job add column visit text not null default '' check (visit in ('', 'service', 'height', 'new-part', 'before-sale'));
alter table job add column ending text
  check (ending in ('repaired', 'unrepaired', 'unrepairable', 'scrapped', 'authorised', 'cancelled', 'not-seen'));
alter table job add column found_words text not null default '' check (length(found_words) <= 2000);
alter table job add column owners_word text not null default '' check (length(owners_word) <= 2000);

alter table job_complaint add column struck_at timestamptz;
alter table job_complaint add column struck_why text not null default '' check (length(struck_why) <= 500);
alter table job_complaint add column struck_by bigint references person;

create table repair_done (
  job_id bigint not null references job on delete cascade,
  fault text not null,
  person_id bigint references person,
  at timestamptz not null default now(),
  primary key (job_id, fault)
);

create table open_fault (
  id bigint generated always as identity primary key,
  machine_id bigint not null references machine,
  fault text not null,
  job_id bigint not null references job on delete cascade,
  at timestamptz not null default now(),
  mended_in bigint references job
);
create unique index open_fault_once on open_fault (machine_id, fault) where mended_in is null;
create index open_fault_job on open_fault (job_id);

create table service_done (
  job_id bigint not null references job on delete cascade,
  item text not null,
  person_id bigint references person,
  at timestamptz not null default now(),
  primary key (job_id, item)
);

alter table fitted_part alter column code drop not null;
alter table fitted_part add column label text check (length(label) between 1 and 200);
alter table fitted_part add column why text not null default '' check (length(why) <= 500);
alter table fitted_part add constraint fitted_part_named check (num_nonnulls(code, label) = 1);

alter table plan alter column last_done_on drop not null;
alter table machine add column scrapped_on date;

select audit_these('repair_done', 'open_fault', 'service_done');

create or replace function refresh_machine_search(variadic which bigint[]) returns void language sql as $$
  update machine m set
    search = search_words(concat_ws(' ', m.tag, m.serial, model.maker, model.name, c.name, c.phone, digits_of(c.phone),
      (select label from site where site.id = m.site_id))),
    search_vector =
      search_vector_of(concat_ws(' ', m.tag, ltrim(substring(m.tag from '[0-9]+$'), '0'), m.serial), 'A') ||
      search_vector_of(concat_ws(' ', c.name, c.phone, digits_of(c.phone)), 'B') ||
      search_vector_of(concat_ws(' ', model.maker, model.name, (select label from site where site.id = m.site_id)), 'C') ||
      search_vector_of((select concat_ws(' ', words, found_words, nullif(ending, 'repaired'))
        from job where job.machine_id = m.id order by taken_in_at desc limit 1), 'D')
  from model, customer c
  where model.id = m.model_id and c.id = m.customer_id and m.id = any (which)
$$;

-- What counts as done of each item of the service: parts of a group at a station of the machine that belong to it, a fault
-- whose repair does it, a proof.
create temporary table item_done (item text, part_group text, fault text, proof text) on commit drop;
insert into item_done values
  ('pre-filter-wash', 'filter', 'filter-clogged', null),
  ('pre-filter-new', 'filter', null, null),
  ('exhaust-filter', 'filter', 'exhaust-filter-clogged', null),
  ('roll-hair', 'roll', 'roll-bound-by-hair', null),
  ('flat-belt', 'belt', 'belt-broken', null),
  ('flat-belt', null, 'belt-slipping', null),
  ('toothed-belt-look', 'belt', 'belt-teeth-worn', null),
  ('neck-hose-look', 'hose', 'neck-hose-split', null),
  ('safety-test', null, null, 'electrical-check'),
  ('deck-belts-look', 'belt', 'deck-belt-slipping', null),
  ('squeegee-turn', 'squeegee', 'squeegee-worn', null),
  ('battery-look', 'battery', null, null),
  ('felt-gasket', 'seal', 'felt-gasket-worn', null);
create temporary table undone on commit drop as
  select plan.machine_id, plan.item, plan.last_done_on from plan
  where plan.item <> 'bristles'
    and not exists (
      select from item_done d join job on job.machine_id = plan.machine_id
      where d.item = plan.item and job.closed_at is not null
        and plan.last_done_on between job.taken_in_at::date - 1 and job.closed_at::date + 1
        and (
          exists (select from fitted_part f join part on part.code = f.code
            where f.job_id = job.id and f.taken_back_at is null and part.part_group = d.part_group)
          or exists (select from confirmed_fault c where c.job_id = job.id and c.fault = d.fault)
          or exists (select from proof where proof.job_id = job.id and proof.item = d.proof and proof.result = 'pass')
        )
    );
select set_config('gritkeeper.many', 'yes', true);
delete from plan using undone u where plan.machine_id = u.machine_id and plan.item = u.item;
insert into timeline (machine_id, what, text)
  select machine_id, 'corrected', 'Corrected: these were entered as done and nobody did them, so they are not known now: '
    || string_agg(replace(item, '-', ' ') || ' (' || last_done_on || ')', ', ' order by item) || '.'
  from undone group by machine_id;
update machine set next_due_on = (select min(due_on) from plan where plan.machine_id = machine.id)
  where id in (select machine_id from undone);
update job set ending = 'repaired' where closed_at is not null;
select refresh_machine_search(variadic array(select id from machine));
`;
