/** What an electrical check was made by: rules, readings, who made it. */
export const up = `
alter table proof add column details jsonb not null default '{}';
`;
