/** The house: shop, people, customers, machines, jobs and all that happens to them. Rules stand in the schema. */
export const up = `
create extension if not exists pg_trgm;

create table shop (
  only_one boolean primary key default true check (only_one),
  name text not null check (length(name) between 1 and 200),
  zone text not null,
  mains_v integer not null check (mains_v in (100, 110, 120, 127, 220, 230, 240)),
  currency char(3) not null,
  paper text not null check (paper in ('A4', 'Letter'))
);

create table person (
  id bigint generated always as identity primary key,
  sign_in text not null check (length(sign_in) between 2 and 60),
  name text not null check (length(name) between 1 and 120),
  passphrase_hash text not null,
  role text not null check (role in ('owner', 'technician', 'counter')),
  locked_at timestamptz,
  created_at timestamptz not null default now()
);
create unique index person_sign_in on person (lower(sign_in));

create table session (
  token_hash bytea primary key check (length(token_hash) = 32),
  person_id bigint not null references person on delete cascade,
  agent text not null default '',
  created_at timestamptz not null default now(),
  last_seen_at timestamptz not null default now(),
  expires_at timestamptz not null
);
create index session_person on session (person_id);
create index session_expires on session (expires_at);

create table api_token (
  id bigint generated always as identity primary key,
  person_id bigint not null references person on delete cascade,
  label text not null,
  token_hash bytea not null unique check (length(token_hash) = 32),
  created_at timestamptz not null default now(),
  last_used_at timestamptz,
  revoked_at timestamptz
);
create index api_token_person on api_token (person_id);

create table failed_sign_in (
  id bigint generated always as identity primary key,
  sign_in text not null,
  address text not null,
  at timestamptz not null default now()
);
create index failed_sign_in_name on failed_sign_in (sign_in, at);
create index failed_sign_in_address on failed_sign_in (address, at);

create table customer (
  id bigint generated always as identity primary key,
  kind text not null default 'household' check (kind in ('household', 'business')),
  name text not null check (length(trim(name)) between 1 and 200),
  phone text not null default '',
  email text not null default '',
  address text not null default '',
  created_at timestamptz not null default now()
);
create index customer_name_trgm on customer using gin (lower(name || ' ' || phone) gin_trgm_ops);

create table model (
  id bigint generated always as identity primary key,
  maker text not null,
  name text not null,
  kind text not null,
  mains_v integer not null,
  dropped_stations text[] not null default '{}',
  warranty_months integer not null default 24 check (warranty_months >= 0),
  unique (maker, name)
);

create table machine (
  id bigint generated always as identity primary key,
  tag text not null unique check (tag ~ '^[A-Z0-9-]{3,20}$'),
  model_id bigint not null references model,
  customer_id bigint not null references customer,
  serial text not null default '',
  made_year integer check (made_year between 1950 and 2200),
  pets boolean not null default false,
  hours_per_week numeric(5,2) not null default 1.5 check (hours_per_week >= 0),
  note text not null default '',
  search text not null default '',
  next_due_on date,
  version integer not null default 1,
  created_at timestamptz not null default now()
);
create index machine_customer on machine (customer_id);
create index machine_model on machine (model_id);
create index machine_search on machine using gin (search gin_trgm_ops);
create index machine_due on machine (next_due_on);
create index machine_newest on machine (id desc);

create table job (
  id bigint generated always as identity primary key,
  machine_id bigint not null references machine,
  customer_id bigint not null references customer,
  stage text not null default 'find'
    check (stage in ('take-in', 'find', 'agree', 'strip', 'fit', 'prove', 'hand-back', 'closed')),
  place text not null default 'bench' check (place in ('bench', 'rack', 'parts-shelf', 'door-shelf')),
  words text not null default '' check (length(words) <= 20000),
  customer_diagnosis text,
  opened_before boolean not null default false,
  promised_on date not null,
  taken_in_at timestamptz not null default now(),
  taken_in_by bigint references person,
  closed_at timestamptz,
  advice text not null default '',
  next_action jsonb,
  version integer not null default 1,
  check ((stage = 'closed') = (closed_at is not null))
);
create unique index job_one_open_per_machine on job (machine_id) where closed_at is null;
create index job_machine on job (machine_id, taken_in_at desc);
create index job_open on job (promised_on, id) where closed_at is null;

create table job_complaint (
  job_id bigint not null references job on delete cascade,
  complaint text not null,
  primary key (job_id, complaint)
);

create table arrival_sign (
  job_id bigint not null references job on delete cascade,
  sign text not null,
  primary key (job_id, sign)
);

create table cleared_caution (
  job_id bigint not null references job on delete cascade,
  caution text not null,
  cleared_by bigint not null references person,
  how text not null check (length(trim(how)) > 0),
  at timestamptz not null default now(),
  primary key (job_id, caution)
);

create table finding (
  id bigint generated always as identity primary key,
  job_id bigint not null references job on delete cascade,
  check_id text not null,
  outcome text,
  value double precision,
  unit text,
  condition text,
  person_id bigint references person,
  at timestamptz not null default now(),
  revoked_at timestamptz,
  revoked_by bigint references person,
  check ((outcome is null) <> (value is null)),
  check ((value is null) = (unit is null))
);
create index finding_job on finding (job_id, id);

create table part (
  code text primary key,
  label text not null,
  part_group text not null,
  price_minor bigint not null check (price_minor >= 0),
  stock integer not null default 0
);

create table part_station (
  code text not null references part on delete cascade,
  kind text not null,
  station text not null,
  primary key (code, kind, station)
);
create index part_station_kind on part_station (kind, station);

create table fitted_part (
  id bigint generated always as identity primary key,
  job_id bigint not null references job on delete cascade,
  machine_id bigint not null references machine,
  code text not null references part,
  station text not null,
  quantity integer not null default 1 check (quantity between 1 and 99),
  person_id bigint references person,
  at timestamptz not null default now(),
  taken_back_at timestamptz
);
create index fitted_part_job on fitted_part (job_id);
create index fitted_part_machine on fitted_part (machine_id, station, at desc);

create table rebuild_tick (
  job_id bigint not null references job on delete cascade,
  step text not null,
  person_id bigint references person,
  at timestamptz not null default now(),
  primary key (job_id, step)
);

create table wait (
  id bigint generated always as identity primary key,
  job_id bigint not null references job on delete cascade,
  kind text not null check (kind in ('drying', 'soaking', 'glue', 'part', 'answer')),
  what text not null default '',
  started_at timestamptz not null default now(),
  ends_at timestamptz not null,
  ended_at timestamptz,
  check (ends_at > started_at)
);
create index wait_job on wait (job_id);
create unique index wait_one_running_per_job on wait (job_id) where ended_at is null;

create table proof (
  id bigint generated always as identity primary key,
  job_id bigint not null references job on delete cascade,
  item text not null,
  result text not null check (result in ('pass', 'fail')),
  before_value double precision,
  after_value double precision,
  unit text,
  note text not null default '',
  person_id bigint references person,
  at timestamptz not null default now(),
  unique (job_id, item)
);

create table timeline (
  id bigint generated always as identity primary key,
  machine_id bigint not null references machine,
  job_id bigint references job,
  at timestamptz not null default now(),
  what text not null,
  text text not null,
  person_id bigint references person
);
create index timeline_machine on timeline (machine_id, at desc, id desc);
create index timeline_job on timeline (job_id);

create table plan (
  machine_id bigint not null references machine on delete cascade,
  item text not null,
  last_done_on date not null,
  due_on date not null,
  primary key (machine_id, item)
);
create index plan_due on plan (due_on);

create table confirmed_fault (
  job_id bigint not null references job on delete cascade,
  fault text not null,
  primary key (job_id, fault)
);
create index confirmed_fault_fault on confirmed_fault (fault);

create table job_tally (
  kind text not null,
  model_id bigint not null references model,
  jobs integer not null default 0,
  primary key (kind, model_id)
);

create table fault_tally (
  kind text not null,
  model_id bigint not null references model,
  fault text not null,
  confirmed integer not null default 0,
  primary key (kind, model_id, fault)
);

create table done_deed (
  key uuid primary key,
  person_id bigint not null references person on delete cascade,
  deed text not null,
  answer jsonb,
  at timestamptz not null default now()
);
create index done_deed_at on done_deed (at);

create table draft (
  person_id bigint not null references person on delete cascade,
  form text not null check (length(form) <= 80),
  content jsonb not null,
  at timestamptz not null default now(),
  primary key (person_id, form)
);
`;
