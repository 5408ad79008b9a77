/**
 * Counter, bench and book: sites and contacts, what was seen on arrival, photographs, meters, who does what,
 * the audit that every change writes by itself, and the news that other benches hear.
 */
export const up = `
create extension if not exists unaccent;

alter table shop
  add column benches integer not null default 2 check (benches between 1 and 9),
  add column version integer not null default 1;

alter table person add column version integer not null default 1;
alter table session add column id bigint generated always as identity unique;

alter table customer
  add column standing text not null default '' check (length(standing) <= 4000),
  add column version integer not null default 1,
  add column merged_into bigint references customer,
  add column search text not null default '',
  add column search_vector tsvector not null default '';
drop index customer_name_trgm;
create index customer_search on customer using gin (search gin_trgm_ops);
create index customer_search_vector on customer using gin (search_vector);

create table site (
  id bigint generated always as identity primary key,
  customer_id bigint not null references customer,
  label text not null check (length(trim(label)) between 1 and 120),
  address text not null default '',
  note text not null default '',
  version integer not null default 1
);
create index site_customer on site (customer_id);

create table contact (
  id bigint generated always as identity primary key,
  customer_id bigint not null references customer,
  name text not null check (length(trim(name)) between 1 and 200),
  phone text not null default '',
  email text not null default '',
  task text not null default '',
  version integer not null default 1
);
create index contact_customer on contact (customer_id);

alter table model
  add column belts text[] not null default '{}',
  add column bearings text[] not null default '{}',
  add column filters text[] not null default '{}',
  add column added_stations jsonb not null default '[]',
  add column note text not null default '',
  add column version integer not null default 1;

alter table machine
  add column site_id bigint references site,
  add column purchased_on date,
  add column warranty_until date,
  add column merged_into bigint references machine,
  add column search_vector tsvector not null default '';
create index machine_search_vector on machine using gin (search_vector);
create index machine_serial on machine (lower(serial)) where serial <> '';
create index machine_site on machine (site_id) where site_id is not null;

alter table job
  add column person_id bigint references person,
  add column bench_no integer not null default 1 check (bench_no between 1 and 9),
  add column picked_up text not null default '' check (length(picked_up) <= 1000),
  add column ever_wet text not null default 'not-asked' check (ever_wet in ('not-asked', 'no', 'yes', 'unknown')),
  add column opened_by text not null default '' check (length(opened_by) <= 200),
  add column accessories text[] not null default '{}',
  add column warranty_choice text not null default 'none' check (warranty_choice in ('none', 'repair-here', 'authorised')),
  add column comeback_of bigint references job;
create index job_person on job (person_id) where closed_at is null;
create index job_customer on job (customer_id);

alter table arrival_sign add column note text not null default '';

create table condition_mark (
  id bigint generated always as identity primary key,
  job_id bigint not null references job on delete cascade,
  station text not null,
  text text not null check (length(trim(text)) between 1 and 200)
);
create index condition_mark_job on condition_mark (job_id);

create table photograph (
  id bigint generated always as identity primary key,
  machine_id bigint references machine,
  job_id bigint references job,
  person_id bigint references person,
  at timestamptz not null default now(),
  caption text not null default '' check (length(caption) <= 300),
  mime text not null check (mime in ('image/jpeg')),
  width integer not null check (width > 0),
  height integer not null check (height > 0),
  sha256 bytea not null check (length(sha256) = 32),
  bytes bytea not null,
  small bytea not null,
  removed_at timestamptz,
  check (job_id is null or machine_id is not null)
);
create index photograph_machine on photograph (machine_id, at desc);
create index photograph_job on photograph (job_id);
create index photograph_loose on photograph (at) where machine_id is null;

create table meter_reading (
  id bigint generated always as identity primary key,
  machine_id bigint not null references machine,
  job_id bigint references job,
  hours numeric(9,1) not null check (hours >= 0),
  at timestamptz not null default now(),
  person_id bigint references person
);
create index meter_reading_machine on meter_reading (machine_id, at);

alter table wait add column rang_at timestamptz;
create index wait_to_ring on wait (ends_at) where ended_at is null and rang_at is null;

create index timeline_machine_what on timeline (machine_id, what, at desc, id desc);

create table audit (
  id bigint generated always as identity primary key,
  at timestamptz not null default now(),
  person_id bigint,
  deed text not null default '',
  row_of text not null,
  row_id text not null,
  machine_id bigint,
  job_id bigint,
  customer_id bigint,
  before jsonb,
  after jsonb
);
create index audit_machine on audit (machine_id, id desc) where machine_id is not null;
create index audit_job on audit (job_id, id desc) where job_id is not null;
create index audit_customer on audit (customer_id, id desc) where customer_id is not null;
create index audit_person on audit (person_id, id desc);

create function audit_is_kept() returns trigger language plpgsql as $$
begin
  raise exception 'The audit is append-only.' using errcode = 'insufficient_privilege';
end $$;
create trigger audit_is_kept before update or delete on audit for each row execute function audit_is_kept();
create trigger audit_is_kept_whole before truncate on audit for each statement execute function audit_is_kept();

-- Writes before and after of what changed, under the person and the deed of the transaction, and tells the benches.
create function audit_row() returns trigger language plpgsql as $$
declare
  hidden constant text[] := array['bytes', 'small', 'search', 'search_vector', 'passphrase_hash', 'next_action', 'version'];
  was jsonb;
  became jsonb;
  whole jsonb;
  job bigint;
  machine bigint;
  customer bigint;
begin
  if tg_op <> 'INSERT' then was := to_jsonb(old) - hidden; end if;
  if tg_op <> 'DELETE' then became := to_jsonb(new) - hidden; end if;
  whole := coalesce(became, was);
  if tg_op = 'UPDATE' then
    select coalesce(jsonb_object_agg(w.key, w.value), '{}'), coalesce(jsonb_object_agg(w.key, became -> w.key), '{}')
      into was, became
      from jsonb_each(was) w
      where w.value is distinct from became -> w.key;
    if tg_table_name = 'person' and to_jsonb(old) ->> 'passphrase_hash' is distinct from to_jsonb(new) ->> 'passphrase_hash' then
      became := became || '{"passphrase": "changed"}';
    end if;
  end if;
  job := case when tg_table_name = 'job' then (whole ->> 'id')::bigint else (whole ->> 'job_id')::bigint end;
  machine := case when tg_table_name = 'machine' then (whole ->> 'id')::bigint else (whole ->> 'machine_id')::bigint end;
  if machine is null and job is not null then select machine_id into machine from job j where j.id = job; end if;
  customer := case when tg_table_name = 'customer' then (whole ->> 'id')::bigint else (whole ->> 'customer_id')::bigint end;
  if tg_op <> 'UPDATE' or was <> '{}' or became <> '{}' then
    insert into audit (person_id, deed, row_of, row_id, machine_id, job_id, customer_id, before, after)
    values (
      nullif(current_setting('gritkeeper.person', true), '')::bigint,
      coalesce(current_setting('gritkeeper.deed', true), ''),
      tg_table_name,
      coalesce(whole ->> 'id', whole ->> 'step', whole ->> 'complaint', whole ->> 'sign', whole ->> 'caution', whole ->> 'fault', whole ->> 'item', ''),
      machine, job, customer, was, became
    );
  end if;
  if machine is not null or job is not null then
    -- Thousands of rows at once are one piece of news: anything may have changed.
    if current_setting('gritkeeper.many', true) = 'yes' then
      perform pg_notify('shop', '{"machine":null,"job":null}');
    else
      perform pg_notify('shop', json_build_object('machine', machine, 'job', job)::text);
    end if;
  end if;
  return null;
end $$;

create function audit_these(variadic tables text[]) returns void language plpgsql as $$
declare
  name text;
begin
  foreach name in array tables loop
    execute format('create trigger audit_row after insert or update or delete on %I for each row execute function audit_row()', name);
  end loop;
end $$;
select audit_these('shop', 'person', 'customer', 'site', 'contact', 'model', 'machine', 'job', 'job_complaint',
  'arrival_sign', 'cleared_caution', 'finding', 'fitted_part', 'rebuild_tick', 'wait', 'proof', 'plan',
  'confirmed_fault', 'condition_mark', 'photograph', 'meter_reading');

-- What the search boxes look through: one rule for machines and customers, so that every caller keeps the same words.
create function search_words(text) returns text language sql stable as $$
  select trim(regexp_replace(lower(unaccent(coalesce($1, ''))), '[^[:alnum:]]+', ' ', 'g'))
$$;
create function digits_of(text) returns text language sql immutable as $$ select regexp_replace($1, '[^0-9]', '', 'g') $$;
-- Every word of what is typed, each as the beginning of a word; null when there is none.
create function search_query(text) returns tsquery language sql stable as $$
  select to_tsquery('simple', nullif(array_to_string(
    array(select word || ':*' from regexp_split_to_table(search_words($1), ' ') word where word <> ''), ' & '), ''))
$$;
create function search_vector_of(words text, weight "char") returns tsvector language sql stable as $$
  select setweight(to_tsvector('simple', search_words(words)), weight)
$$;

create function refresh_customer_search(variadic which bigint[]) returns void language sql as $$
  update customer c set
    search = search_words(concat_ws(' ', c.name, c.phone, digits_of(c.phone), c.email, c.address,
      (select string_agg(concat_ws(' ', name, phone, email), ' ') from contact where customer_id = c.id),
      (select string_agg(concat_ws(' ', label, address), ' ') from site where customer_id = c.id))),
    search_vector =
      search_vector_of(concat_ws(' ', c.name, c.phone, digits_of(c.phone)), 'A') ||
      search_vector_of((select string_agg(concat_ws(' ', name, phone, digits_of(phone)), ' ') from contact where customer_id = c.id), 'B') ||
      search_vector_of(concat_ws(' ', c.email, c.address,
        (select string_agg(concat_ws(' ', label, address), ' ') from site where customer_id = c.id)), 'C')
  where c.id = any (which)
$$;

create function refresh_machine_search(variadic which bigint[]) returns void language sql as $$
  update machine m set
    search = search_words(concat_ws(' ', m.tag, m.serial, model.maker, model.name, c.name, c.phone, digits_of(c.phone),
      (select label from site where site.id = m.site_id))),
    search_vector =
      search_vector_of(concat_ws(' ', m.tag, ltrim(substring(m.tag from '[0-9]+$'), '0'), m.serial), 'A') ||
      search_vector_of(concat_ws(' ', c.name, c.phone, digits_of(c.phone)), 'B') ||
      search_vector_of(concat_ws(' ', model.maker, model.name, (select label from site where site.id = m.site_id)), 'C') ||
      search_vector_of((select words from job where job.machine_id = m.id order by taken_in_at desc limit 1), 'D')
  from model, customer c
  where model.id = m.model_id and c.id = m.customer_id and m.id = any (which)
$$;

select refresh_customer_search(variadic array(select id from customer));
select refresh_machine_search(variadic array(select id from machine));
`;
