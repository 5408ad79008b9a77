/** Signs of water are looked at one by one: what was answered "none" saw no mud, and so on. */
export const up = `
update finding set outcome = case outcome
  when 'none' then 'no-mud' when 'swollen-filter' then 'filter-swollen' else outcome end
where check_id = 'wet-signs' and outcome in ('none', 'swollen-filter');
`;
