/** What the finder said before it was known, and what other shops found. */
export const up = `
create table forecast (
  job_id integer not null references job (id) on delete cascade,
  fault text not null,
  said double precision not null check (said between 0 and 1),
  was boolean not null,
  at timestamptz not null default now(),
  primary key (job_id, fault)
);
create index forecast_at on forecast (at);

create table lent_tally (
  id integer generated always as identity primary key,
  shop_name text not null check (length(shop_name) between 1 and 200),
  -- What one job of theirs counts against one of ours.
  weight double precision not null check (weight between 0 and 1),
  book jsonb not null,
  at timestamptz not null default now(),
  person_id integer references person (id),
  version integer not null default 1
);
select audit_these('lent_tally');
`;
