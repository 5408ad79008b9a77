type Card = 'customer' | 'machine';

const broughtHome = (table: string, card: Card) => `
update ${table} set ${card}_id = kept_${card}(${card}_id)
where ${card}_id in (select id from ${card} where merged_into is not null);`;

/** What was stranded on cards that were merged goes to the cards that are kept. */
export const repair = `
-- Machines on a dead card with an open job, where the kept one has one too: they live again, or one job could not be worked.
update machine m set merged_into = null, version = version + 1
where m.merged_into is not null
  and exists (select from job where machine_id = m.id and closed_at is null)
  and exists (select from job where machine_id = kept_machine(m.id) and closed_at is null);
${(['job', 'timeline', 'fitted_part'] as const).map((table) => broughtHome(table, 'machine')).join('')}
${(['machine', 'job', 'site', 'contact'] as const).map((table) => broughtHome(table, 'customer')).join('')}
`;

/** The card that is kept, at the end of the way of those that were merged. */
const keptOf = (card: Card) => `
create function kept_${card}(start bigint) returns bigint language sql stable as $$
  with recursive way as (
    select id, merged_into, 1 as step from ${card} where id = start
    union all
    select c.id, c.merged_into, step + 1 from ${card} c join way on c.id = way.merged_into where step < 50
  ) select id from way order by step desc limit 1
$$;`;

/** A row may be written on a card that stands, which is held then until the transaction ends. GK001: look again, it was merged. */
const standing = (card: Card) => `
create function on_standing_${card}() returns trigger language plpgsql as $$
declare
  gone bigint;
begin
  select merged_into into gone from ${card} where id = new.${card}_id for share;
  if gone is not null then
    raise exception '${card} % was merged', new.${card}_id using errcode = 'GK001';
  end if;
  return new;
end $$;`;

/**
 * What a key was used for, so that it never answers another question. Nothing is written on a card that was merged into
 * another: the schema refuses it, and what was stranded there before goes to the card that is kept. Numbers of tags come from
 * the sequence alone.
 */
export const up = `
alter table done_deed add column mark bytea check (length(mark) = 16);

${keptOf('customer')}
${keptOf('machine')}

${repair}

${standing('customer')}
${standing('machine')}
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
