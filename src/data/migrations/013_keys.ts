/**
 * Who may come in, and how: browsers that have signed in before, a second factor with its recovery codes, tokens with a scope
 * and an end, a session whose screen is locked, and a book of what happened at the door.
 */
export const up = `
alter table api_token
  add column scope text not null default 'write' check (scope in ('read', 'write')),
  add column expires_at timestamptz;

create table known_browser (
  token_hash bytea not null check (length(token_hash) = 32),
  person_id bigint not null references person on delete cascade,
  last_at timestamptz not null default now(),
  -- One browser at the counter, and everybody signs in at it.
  primary key (token_hash, person_id)
);
create index known_browser_person on known_browser (person_id);

alter table failed_sign_in add column browser bytea;
create index failed_sign_in_browser on failed_sign_in (browser, at) where browser is not null;

create table second_factor (
  person_id bigint primary key references person on delete cascade,
  -- Sealed with the shop's secret: who reads the table cannot make a code.
  sealed bytea not null,
  confirmed_at timestamptz,
  -- The last step whose code was used: no code is good twice.
  last_step bigint not null default 0
);
create table recovery_code (
  code_hash bytea primary key check (length(code_hash) = 32),
  person_id bigint not null references person on delete cascade,
  used_at timestamptz
);
create index recovery_code_person on recovery_code (person_id);

alter table session add column locked_at timestamptz;
alter table shop add column lock_minutes integer check (lock_minutes between 1 and 240);

create table door_event (
  id bigint generated always as identity primary key,
  at timestamptz not null default now(),
  what text not null check (length(what) between 1 and 40),
  person_id bigint references person on delete set null,
  sign_in text not null default '' check (length(sign_in) <= 60),
  address text not null default '' check (length(address) <= 80),
  detail text not null default '' check (length(detail) <= 200)
);
create index door_event_at on door_event (at);
create index door_event_person on door_event (person_id, id desc);
`;
