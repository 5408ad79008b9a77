/**
 * What is offered, answered, put on paper and paid. An estimate and a document stand as they were given: what is changed is a
 * new one. Numbers of documents have no gaps: the next is taken under a lock, in the transaction that writes the document.
 */
export const up = `
alter table shop
  add column locale text not null default 'en' check (length(locale) between 2 and 35),
  add column charges jsonb not null default '{}',
  add column taxes jsonb not null default '{}',
  add column schools jsonb not null default '{}',
  add column letterhead jsonb not null default '{}',
  add column phrases jsonb not null default '{}',
  add column agree_first boolean not null default true,
  add column mail jsonb not null default '{}';
create table mail_secret (
  only_one boolean primary key default true check (only_one),
  sealed bytea not null
);
alter table customer
  add column tax_exempt boolean not null default false,
  add column language text not null default '' check (length(language) <= 35);
alter table job add column schools jsonb not null default '{}';
create table estimate (
  id bigint generated always as identity primary key,
  job_id bigint not null references job,
  number integer not null check (number >= 1),
  lines jsonb not null check (jsonb_typeof(lines) = 'array'),
  offers jsonb not null check (jsonb_typeof(offers) = 'array'),
  terms jsonb not null,
  person_id bigint references person,
  at timestamptz not null default now(),
  unique (job_id, number)
);
create table customer_link (
  id bigint generated always as identity primary key,
  job_id bigint not null references job,
  token_hash bytea not null unique,
  expires_at timestamptz not null,
  revoked_at timestamptz,
  seen_at timestamptz,
  person_id bigint references person,
  at timestamptz not null default now()
);
create index customer_link_job on customer_link (job_id);
create table link_try (
  address text not null,
  at timestamptz not null default now()
);
create index link_try_recent on link_try (address, at);
create table answer (
  id bigint generated always as identity primary key,
  job_id bigint not null references job,
  estimate_id bigint references estimate,
  says text not null check (says in ('yes', 'as-is', 'scrap', 'ask-again', 'limit')),
  offer text check (offer in ('minimum', 'recommended', 'all')),
  way text not null check (way in ('counter', 'phone', 'message', 'paper', 'link')),
  who text not null check (length(who) between 1 and 120),
  words text not null default '' check (length(words) <= 2000),
  declined jsonb not null default '[]',
  known jsonb not null default '[]',
  signed text not null default '' check (length(signed) <= 120),
  limit_minor bigint check (limit_minor > 0),
  ask_on date,
  person_id bigint references person,
  link_id bigint references customer_link,
  at timestamptz not null default now()
);
create index answer_job on answer (job_id);
create table document_number (
  kind text not null,
  year integer not null check (year between 2000 and 9999),
  last integer not null check (last >= 1),
  primary key (kind, year)
);
create table document (
  id bigint generated always as identity primary key,
  kind text not null check (kind in ('estimate', 'order', 'invoice', 'credit', 'receipt', 'unrepaired', 'consent', 'label')),
  year integer not null,
  number integer not null check (number >= 1),
  job_id bigint not null references job,
  content jsonb not null,
  total_minor bigint not null,
  currency text not null,
  corrects bigint unique references document,
  person_id bigint references person,
  at timestamptz not null default now(),
  unique (kind, year, number)
);
create index document_job on document (job_id);
create index document_at on document (at desc, id desc);
create function document_stays() returns trigger language plpgsql as $$
begin
  raise exception 'A document that was given stays as it is: a correction is a new one.' using errcode = 'GK002';
end $$;
create trigger document_stays before update or delete on document for each row execute function document_stays();
create table day_close (
  id bigint generated always as identity primary key,
  day date not null unique,
  expected_minor bigint not null,
  counted_minor bigint not null,
  note text not null default '' check (length(note) <= 500),
  person_id bigint references person,
  at timestamptz not null default now()
);
create table payment (
  id bigint generated always as identity primary key,
  job_id bigint not null references job,
  document_id bigint references document,
  how text not null check (how in ('cash', 'card', 'transfer')),
  amount_minor bigint not null check (amount_minor <> 0),
  given_minor bigint,
  note text not null default '' check (length(note) <= 200),
  day date not null,
  person_id bigint references person,
  at timestamptz not null default now()
);
create index payment_job on payment (job_id);
create index payment_day on payment (day);
create table message (
  id bigint generated always as identity primary key,
  job_id bigint references job,
  address text not null check (length(address) between 3 and 254),
  subject text not null check (length(subject) between 1 and 200),
  body text not null check (length(body) <= 20000),
  state text not null default 'waiting' check (state in ('waiting', 'sent', 'failed')),
  tries integer not null default 0,
  next_try_at timestamptz not null default now(),
  last_error text not null default '' check (length(last_error) <= 500),
  sent_at timestamptz,
  person_id bigint references person,
  at timestamptz not null default now()
);
create index message_waiting on message (next_try_at) where state = 'waiting';
create index message_job on message (job_id);
-- What the simulated mail server took: for the demonstration and the tests.
create table stand_in_mail (
  id bigint generated always as identity primary key,
  recipients text[] not null,
  raw text not null,
  at timestamptz not null default now()
);
create table bridge (
  id bigint generated always as identity primary key,
  machine_id bigint not null references machine,
  job_id bigint not null references job,
  fault text not null,
  who text not null check (length(who) between 1 and 120),
  words text not null check (length(words) between 1 and 2000),
  rule text not null check (length(rule) between 1 and 500),
  person_id bigint references person,
  at timestamptz not null default now()
);
create index bridge_machine on bridge (machine_id);
select audit_these('estimate', 'answer', 'payment', 'day_close', 'customer_link', 'bridge');
`;
