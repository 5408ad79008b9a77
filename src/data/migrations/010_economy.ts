/** What a comeback costs, and what an hour of the bench costs: a repair on suspicion and a second look are weighed by them. */
export const up = `
alter table shop
  add column comeback_minutes integer not null default 90 check (comeback_minutes between 10 and 600),
  add column labour_minor bigint check (labour_minor between 1 and 100000000);
`;
