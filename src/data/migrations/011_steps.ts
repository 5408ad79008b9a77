/**
 * Where the roll can be set on, its bristles are told with the step that is left: what was measured before is told so too. Short
 * was then taken for worn, and stays so.
 */
export const up = `
update finding f set
  outcome = case
    when coalesce(f.outcome, '') = 'bristles-proud' then 'stands-right'
    when f.outcome = 'bristles-short' then 'short-on-last'
    when f.value > 6 then 'too-proud'
    when f.value >= 1.2 then 'stands-right'
    else 'short-on-last' end,
  value = null, unit = null, condition = null
from job, machine, model
where f.job_id = job.id and job.machine_id = machine.id and machine.model_id = model.id
  and model.kind in ('upright-shaft-belt', 'upright-self-propelled')
  and f.check_id = 'bristle-height' and (f.value is not null or f.outcome in ('bristles-proud', 'bristles-short'));
`;
