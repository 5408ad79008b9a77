/** What was stranded on cards that were merged goes to the cards that are kept. */
export const repair = `
-- Machines on a dead card with an open job, where the kept one has one too: they live again, or one job could not be worked.
update machine m set merged_into = null, version = version + 1
where m.merged_into is not null
  and exists (select from job where machine_id = m.id and closed_at is null)
  and exists (select from job where machine_id = kept_machine(m.id) and closed_at is null);
update job set machine_id = kept_machine(machine_id)
where machine_id in (select id from machine where merged_into is not null);
update timeline set machine_id = kept_machine(machine_id)
where machine_id in (select id from machine where merged_into is not null);
update fitted_part set machine_id = kept_machine(machine_id)
where machine_id in (select id from machine where merged_into is not null);
update machine set customer_id = kept_customer(customer_id)
where customer_id in (select id from customer where merged_into is not null);
update job set customer_id = kept_customer(customer_id)
where customer_id in (select id from customer where merged_into is not null);
update site set customer_id = kept_customer(customer_id)
where customer_id in (select id from customer where merged_into is not null);
update contact set customer_id = kept_customer(customer_id)
where customer_id in (select id from customer where merged_into is not null);
`;

/**
 * What a key was used for, so that it never answers another question. Nothing is written on a card that was merged into
 * another: the schema refuses it, and what was stranded there before goes to the card that is kept. Numbers of tags come from
 * the sequence alone.
 */
export const up = `
alter table done_deed add column mark bytea check (length(mark) = 16);

-- The card that is kept, at the end of the way of those that were merged.
create function kept_customer(start bigint) returns bigint language sql stable as $$
  with recursive way as (
    select id, merged_into, 1 as step from customer where id = start
    union all
    select c.id, c.merged_into, step + 1 from customer c join way on c.id = way.merged_into where step < 50
  ) select id from way order by step desc limit 1
$$;
create function kept_machine(start bigint) returns bigint language sql stable as $$
  with recursive way as (
    select id, merged_into, 1 as step from machine where id = start
    union all
    select m.id, m.merged_into, step + 1 from machine m join way on m.id = way.merged_into where step < 50
  ) select id from way order by step desc limit 1
$$;

${repair}

-- Held until the transaction ends, so that nobody merges the card meanwhile. GK001: look again, it was merged.
create function on_standing_customer() returns trigger language plpgsql as $$
declare
  gone bigint;
begin
  select merged_into into gone from customer where id = new.customer_id for share;
  if gone is not null then
    raise exception 'customer % was merged', new.customer_id using errcode = 'GK001';
  end if;
  return new;
end $$;
create function on_standing_machine() returns trigger language plpgsql as $$
declare
  gone bigint;
begin
  select merged_into into gone from machine where id = new.machine_id for share;
  if gone is not null then
    raise exception 'machine % was merged', new.machine_id using errcode = 'GK001';
  end if;
  return new;
end $$;
-- In the order of their names: the customer is held before the machine, always.
create trigger a_standing_customer before insert or update of customer_id on machine
  for each row execute function on_standing_customer();
create trigger a_standing_customer before insert or update of customer_id on job
  for each row execute function on_standing_customer();
create trigger b_standing_machine before insert or update of machine_id on job
  for each row execute function on_standing_machine();
create trigger a_standing_customer before insert or update of customer_id on site
  for each row execute function on_standing_customer();
create trigger a_standing_customer before insert or update of customer_id on contact
  for each row execute function on_standing_customer();

-- A number that a file or a hand used is passed over; none of them can push the sequence on.
create or replace function next_machine_tag() returns text language plpgsql as $$
declare
  number bigint;
  made text;
begin
  loop
    number := nextval('machine_tag');
    made := 'GK-' || lpad(number::text, greatest(4, length(number::text)), '0');
    exit when not exists (select from machine where tag = made);
  end loop;
  return made;
end $$;
`;
