/**
 * What a photograph shows (a step, an item of the service, a check, a fault) is kept with it, no longer guessed from its words; a
 * model has photographs of its own at its steps. An item may fall due by how often a machine is used.
 */
export const up = `
alter table photograph add column shows text not null default ''
  check (shows = '' or shows ~ '^(step|item|check|fault):[a-z][a-z0-9-]{0,59}$');
create table model_photograph (
  model_id bigint not null references model on delete cascade,
  step text not null check (step ~ '^[a-z][a-z0-9-]{0,59}$'),
  photograph_id bigint not null references photograph on delete cascade,
  person_id bigint references person,
  at timestamptz not null default now(),
  primary key (model_id, step, photograph_id)
);
create index model_photograph_of on model_photograph (photograph_id);
select audit_these('model_photograph');
alter table plan drop constraint plan_due_by_check;
alter table plan add constraint plan_due_by_check
  check (due_by in ('days', 'plate', 'hours', 'uses', 'times', 'wear', 'frost', 'finding'));
alter table own_interval add column uses integer check (uses between 1 and 50000);
alter table own_interval drop constraint own_interval_check;
alter table own_interval add constraint own_interval_check check (num_nonnulls(days, hours, uses) > 0);
`;
