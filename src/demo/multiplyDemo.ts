import type { Client } from 'pg';

/** Entries of the book per job that make the timeline as long as a busy shop's: 500,000 for 30,000 jobs and more. */
const MORE_ENTRIES_PER_JOB = 13;

/**
 * Copies the demonstration's customers, machines and closed jobs until there are `scale` times as many, for measuring how
 * the shop answers when it is large. The open jobs stay as they are: the premises do not grow. Triggers rest meanwhile, so
 * this needs a superuser and a database that is thrown away.
 */
export async function multiplyDemo(client: Client, scale: number): Promise<void> {
  await client.query('begin');
  await client.query(`set local session_replication_role = replica`);
  const run = (sql: string) => client.query(sql.replaceAll('$n', String(scale - 1)));
  await run(
    `create temporary table top as select (select max(id) from customer) c, (select max(id) from machine) m, (select max(id) from job) j`,
  );
  // Names of their own, so that a search is as sharp as it was: syllables told by the copy's number.
  await run(`create temporary table copies as select k, initcap(
      (array['bra','tel','mor','quin','sel','dor','fen','gar','hol','wix'])[1 + k % 10] || (array['na','ric','wen','dle','tt','sk','mond','ber','low','ford'])[1 + (k / 10) % 10]) as name
    from generate_series(1, $n) k`);
  await run(`insert into customer (id, kind, name, phone, email, address, standing, created_at) overriding system value
    select c.id + k * top.c, c.kind, copies.name || ' ' || c.name, '55' || k || ' ' || right(c.phone, 4), c.email, c.address, c.standing, c.created_at
    from customer c, copies, top where c.id <= top.c`);
  await run(`insert into machine (id, tag, model_id, customer_id, serial, made_year, pets, hours_per_week, note, next_due_on, week_minor, purchased_on, warranty_until, created_at) overriding system value
    select m.id + k * top.m, 'GK-' || lpad((m.id + k * top.m)::text, greatest(4, length((m.id + k * top.m)::text)), '0'), m.model_id, m.customer_id + k * top.c, left(m.serial, 1) || (100000 + k * 977 + m.id), m.made_year,
      m.pets, m.hours_per_week, m.note, m.next_due_on, m.week_minor, m.purchased_on, m.warranty_until, m.created_at
    from machine m, copies, top where m.id <= top.m`);
  await run(`insert into job (id, machine_id, customer_id, stage, place, words, customer_diagnosis, opened_before, promised_on, taken_in_at, taken_in_by, closed_at, advice, visit, ending) overriding system value
    select j.id + k * top.j, j.machine_id + k * top.m, j.customer_id + k * top.c, j.stage, j.place, j.words, j.customer_diagnosis, j.opened_before, j.promised_on, j.taken_in_at, j.taken_in_by, j.closed_at, j.advice, j.visit, j.ending
    from job j, copies, top where j.id <= top.j and j.closed_at is not null`);
  const ofJob = (table: string, columns: string, values = columns) =>
    run(`insert into ${table} (job_id, ${columns}) select t.job_id + k * top.j, ${values} from ${table} t, copies, top, job j
      where t.job_id <= top.j and j.id = t.job_id and j.closed_at is not null`);
  await ofJob('job_complaint', 'complaint');
  await ofJob(
    'finding',
    'check_id, outcome, value, unit, condition, person_id, at',
    't.check_id, t.outcome, t.value, t.unit, t.condition, t.person_id, t.at',
  );
  await ofJob('confirmed_fault', 'fault');
  await ofJob(
    'proof',
    'item, result, before_value, after_value, unit, note, person_id, at',
    't.item, t.result, t.before_value, t.after_value, t.unit, t.note, t.person_id, t.at',
  );
  await run(`insert into fitted_part (job_id, machine_id, code, station, quantity, person_id, at)
    select t.job_id + k * top.j, t.machine_id + k * top.m, t.code, t.station, t.quantity, t.person_id, t.at
    from fitted_part t, copies, top, job j where t.job_id <= top.j and j.id = t.job_id and j.closed_at is not null`);
  await run(`insert into timeline (machine_id, job_id, at, what, text, person_id)
    select t.machine_id + k * top.m, t.job_id + k * top.j, t.at, t.what, t.text, t.person_id
    from timeline t, copies, top, job j where t.job_id <= top.j and j.id = t.job_id and j.closed_at is not null`);
  await run(`insert into timeline (machine_id, job_id, at, what, text, person_id)
    select j.machine_id, j.id, j.taken_in_at + e * interval '7 minutes', 'note', 'Looked again, nothing new: ' || e, j.taken_in_by
    from job j, top, generate_series(1, ${MORE_ENTRIES_PER_JOB}) e where j.id > top.j`);
  await run(`insert into plan (machine_id, item, last_done_on, due_on, due_early, due_late, due_by, by_its_people)
    select p.machine_id + k * top.m, p.item, p.last_done_on, p.due_on, p.due_early, p.due_late, p.due_by, p.by_its_people
    from plan p, copies, top where p.machine_id <= top.m`);
  await run(`update job_tally set jobs = jobs * ${scale}`);
  await run(`update fault_tally set confirmed = confirmed * ${scale}`);
  for (const table of ['customer', 'machine', 'job'])
    await run(`select setval(pg_get_serial_sequence('${table}', 'id'), (select max(id) from ${table}))`);
  await run(`select refresh_customer_search(variadic array(select id from customer where id > (select c from top)))`);
  await run(`select refresh_machine_search(variadic array(select id from machine where id > (select m from top)))`);
  await client.query('commit');
}
