/**
 * Gauges: what was measured and reckoned in a job, the sizes by which parts are found, what the shop usually types, and in
 * which units it reads.
 */
export const up = `
alter table shop add column units text not null default 'metric' check (units in ('metric', 'inch'));

create table gauge_result (
  id bigint generated always as identity primary key,
  job_id bigint not null references job on delete cascade,
  gauge text not null,
  method_version integer not null check (method_version > 0),
  inputs jsonb not null,
  answer jsonb not null,
  person_id bigint references person,
  at timestamptz not null default now(),
  taken_back_at timestamptz
);
create index gauge_result_job on gauge_result (job_id, id);
select audit_these('gauge_result');

-- A file that was reckoned from, such as a discharge log: it is long, and the audit keeps the answer, not this.
create table gauge_file (
  result_id bigint not null references gauge_result on delete cascade,
  field text not null,
  content text not null,
  primary key (result_id, field)
);

create table part_size (
  code text not null references part on delete cascade,
  name text not null,
  mm double precision not null check (mm > 0),
  primary key (code, name)
);
create index part_size_near on part_size (name, mm);

create table gauge_usual (
  gauge text primary key,
  inputs jsonb not null
);
`;
