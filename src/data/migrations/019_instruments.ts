/** The instruments of the shop: what they are good to, and until when they are calibrated. */
export const up = `
create table instrument (
  id bigint generated always as identity primary key,
  version integer not null default 1,
  name text not null check (length(name) between 1 and 60),
  measures text not null default '' check (length(measures) <= 120),
  good_to_percent numeric(6,3) check (good_to_percent > 0 and good_to_percent <= 100),
  calibrated_on date,
  every_months smallint not null default 12 check (every_months between 1 and 120),
  certificate text not null default '' check (length(certificate) <= 120),
  note text not null default '' check (length(note) <= 500),
  out_of_use boolean not null default false
);
create unique index instrument_name on instrument (lower(name));
select audit_these('instrument');
`;
