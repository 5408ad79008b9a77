/** Practice jobs: what is hidden in the machine, and how often its instruments were read. */
export const up = `
create table practice (
  job_id integer primary key references job (id) on delete cascade,
  faults text[] not null,
  seed integer not null,
  readings integer not null default 0
);
`;
