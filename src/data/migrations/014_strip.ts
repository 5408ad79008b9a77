/**
 * The way into a machine, step by step as it was done, and what was not as it should be with its screws. A step that this
 * machine does not have is kept too: nobody is asked for it twice.
 */
export const up = `
create table strip_step (
  job_id bigint not null references job on delete cascade,
  step text not null check (length(step) between 1 and 60),
  state text not null check (state in ('done', 'not-here')),
  person_id bigint references person,
  at timestamptz not null default now(),
  primary key (job_id, step)
);
create table fastener_loss (
  id bigint generated always as identity primary key,
  job_id bigint not null references job on delete cascade,
  step text not null check (length(step) between 1 and 60),
  what text not null check (what in ('missing', 'broken', 'lost', 'rusted', 'over')),
  count integer not null check (count between 1 and 99),
  settled text not null default '' check (settled in ('', 'replaced', 'told', 'freed', 'placed')),
  person_id bigint references person,
  at timestamptz not null default now()
);
create index fastener_loss_job on fastener_loss (job_id);
create table model_procedure (
  model_id bigint not null references model on delete cascade,
  version integer not null check (version >= 1),
  changes jsonb not null check (jsonb_typeof(changes) = 'array'),
  why text not null default '' check (length(why) <= 300),
  person_id bigint references person on delete set null,
  at timestamptz not null default now(),
  primary key (model_id, version)
);
select audit_these('strip_step', 'fastener_loss', 'model_procedure');
`;
