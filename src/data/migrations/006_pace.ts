/** What must not grow slow with the years: tags from a sequence, the audit of a merged machine, kept next actions. */
export const up = `
create sequence machine_tag;
select setval('machine_tag', greatest(1, (
  select coalesce(max(substring(tag from '^GK-([0-9]+)$')::bigint), 0) + 1 from machine where tag ~ '^GK-[0-9]{1,8}$'
)), false);

-- The next free tag. Numbers that a file or a hand has used already are gone past in one leap.
create function next_machine_tag() returns text language plpgsql as $$
declare
  number bigint;
  made text;
begin
  loop
    number := nextval('machine_tag');
    made := 'GK-' || lpad(number::text, greatest(4, length(number::text)), '0');
    exit when not exists (select from machine where tag = made);
    perform setval('machine_tag', greatest(number, (
      select max(substring(tag from '^GK-([0-9]+)$')::bigint) from machine where tag ~ '^GK-[0-9]{1,8}$'
    )));
  end loop;
  return made;
end $$;

create index machine_merged_into on machine (merged_into) where merged_into is not null;

-- The shop's figures look at the last days, of all jobs together.
create index job_taken_in on job (taken_in_at);
create index job_closed on job (closed_at) where closed_at is not null;
create index job_comeback on job (comeback_of) where comeback_of is not null;

-- What was kept by an older version does not say for which state of the job it was.
update job set next_action = null where closed_at is null;
`;
