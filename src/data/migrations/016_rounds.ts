/**
 * What falls due, customer by customer: found by an index whatever the number of machines. A calendar has a secret address that
 * can be renewed.
 */
export const up = `
create index machine_customer_due on machine (customer_id, next_due_on, id) where merged_into is null and scrapped_on is null;
create index machine_next_due on machine (next_due_on, id) where merged_into is null and scrapped_on is null;
alter table customer add column no_letters boolean not null default false;
create table calendar_feed (
  scope text not null check (scope in ('shop', 'customer')),
  customer_id bigint references customer on delete cascade,
  token_hash bytea not null unique,
  person_id bigint references person,
  at timestamptz not null default now(),
  check ((scope = 'customer') = (customer_id is not null))
);
create unique index calendar_feed_one on calendar_feed (scope, coalesce(customer_id, 0));
select audit_these('calendar_feed');
`;
