import type { AnswerWay, EstimateRow, Says } from './agree';
import { prepared, preparedShapes, type Db } from './database';
import type { DocumentKind } from './documents';
import type { AddedStation, MachineRow, ModelRow } from './machines';
import type { JobRow, ProofRow, ServiceState, WaitRow } from './jobs';
import type { OwnLife } from './lives';
import type { PlanRow } from './plans';

/** An instant as PostgreSQL writes it into JSON: ISO 8601 with its offset. */
type Instant = string;

/** Everything that was written to one job, and whose machine it is, as it stood at one moment. */
export interface JobState {
  job: Omit<JobRow, 'taken_in_at' | 'closed_at' | 'next_action'> & { taken_in_at: Instant; closed_at: Instant | null };
  machine: Omit<MachineRow, 'search' | 'search_vector'>;
  model: ModelRow & { added_stations: AddedStation[] };
  customer: {
    id: number;
    name: string;
    kind: string;
    phone: string;
    email: string;
    address: string;
    standing: string;
    taxExempt: boolean;
    language: string;
  };
  shop: {
    zone: string;
    currency: string;
    comebackMinutes: number;
    /** What an hour of the bench costs, in minor units; null when it was not said. */
    labourMinor: number | null;
    /** Group → the middle price of the parts for this kind, in minor units. */
    partPrices: Record<string, number>;
    locale: string;
    /** In which month the first frost is looked for; null where there is none. */
    frostMonth: number | null;
    /** What is charged, taxes, schools: as the shop set them. */
    charges: object;
    taxes: object;
    schools: object;
    /** Nothing is opened further before the owner answered. */
    agreeFirst: boolean;
  };
  /** The newest estimate; null when there is none. */
  estimate: EstimateRow | null;
  /** In the order in which they came. */
  answers: {
    id: number;
    estimate_id: number | null;
    says: Says;
    offer: string | null;
    way: AnswerWay;
    who: string;
    words: string;
    declined: object[];
    known: string[];
    signed: string;
    limit_minor: number | null;
    ask_on: string | null;
    at: Instant;
    person: string | null;
  }[];
  /** What the owner did not want at earlier visits, newest first. */
  declinedBefore: { job: number; at: Instant; line: object }[];
  documents: {
    id: number;
    kind: DocumentKind;
    year: number;
    number: number;
    total_minor: number;
    corrects: number | null;
    at: Instant;
  }[];
  payments: {
    id: number;
    how: 'cash' | 'card' | 'transfer';
    amount_minor: number;
    document_id: number | null;
    at: Instant;
  }[];
  links: { id: number; expires_at: Instant; seen_at: Instant | null; at: Instant }[];
  messages: { id: number; subject: string; state: 'waiting' | 'sent' | 'failed'; last_error: string; at: Instant }[];
  /** Protections of this machine that were bridged. */
  bridges: { fault: string; who: string; words: string; rule: string; at: Instant; job: number }[];
  complaints: string[];
  signs: string[];
  marks: { station: string; text: string }[];
  cleared: { caution: string; how: string; at: Instant; by: string }[];
  findings: {
    id: number;
    check_id: string;
    outcome: string | null;
    value: number | null;
    unit: string | null;
    condition: string | null;
    at: Instant;
    revoked_at: Instant | null;
    person: string | null;
  }[];
  ticks: string[];
  /** Steps of the way in, in the order in which they were pressed. */
  stripped: { step: string; state: 'done' | 'not-here'; at: Instant }[];
  /** How this model’s procedure differs from its kind’s, as it stands now. */
  procedure: object[];
  /** Photographs that the model has at its steps. */
  modelPhotographs: { step: string; id: number }[];
  /** What was not as it should be with loose pieces. */
  losses: {
    id: number;
    step: string;
    what: 'missing' | 'broken' | 'lost' | 'rusted' | 'over';
    count: number;
    settled: '' | 'replaced' | 'told' | 'freed' | 'placed';
  }[];
  fitted: {
    id: number;
    /** Null for a part that is on no list. */
    code: string | null;
    label: string;
    group: string | null;
    station: string;
    quantity: number;
    why: string;
    at: Instant;
  }[];
  /** Faults whose repair was ticked as done. */
  repairs: string[];
  /** The same, with when it was ticked. */
  repairedAt: { fault: string; at: Instant }[];
  /** What became of each item of the service at this visit, in the order in which it was said. */
  service: {
    item: string;
    state: ServiceState;
    words: string;
    look_again_on: string | null;
    minutes: number | null;
    at: Instant;
  }[];
  serviceReadings: { item: string; reading: string; place: string; value: number }[];
  /** What was read last at each place before this visit. */
  readBefore: { item: string; place: string; value: number; at: Instant }[];
  /** On how many days of how many the operator did what is theirs, as they say. */
  care: { item: string; done_days: number; of_days: number }[];
  /** Complaints that the bench did not find. */
  struck: { complaint: string; why: string; by: string | null }[];
  /** What other jobs left open on this machine. */
  openFaults: { fault: string; job: number; at: Instant }[];
  plans: PlanRow[];
  /** Lives that the shop took over from its own history for this kind. */
  ownLives: Pick<OwnLife, 'fault' | 'shape' | 'scale_years'>[];
  waits: (Pick<WaitRow, 'id' | 'kind' | 'what'> & {
    started_at: Instant;
    ends_at: Instant;
    ended_at: Instant | null;
  })[];
  proofs: Pick<ProofRow, 'item' | 'result' | 'before_value' | 'after_value' | 'note' | 'details'>[];
  photographs: {
    id: number;
    at: Instant;
    caption: string;
    shows: string;
    width: number;
    height: number;
    person: string | null;
  }[];
  gauges: { id: number; gauge: string; method_version: number; says: string; at: Instant; person: string | null }[];
  /** What was fitted on this machine, newest of each group in its place; `before` this job: the newest from an earlier time. */
  partAges: { station: string; group: string | null; at: Instant; before: Instant | null }[];
  practice: boolean;
}

/** A list of one table as JSON, in order; an empty one when there is nothing. */
const list = (columns: string, from: string, order: string) =>
  `(select coalesce(json_agg(x order by x.${order}), '[]') from (select ${columns} from ${from}) x)`;
const names = (column: string, table: string) =>
  `(select coalesce(json_agg(${column} order by ${column}), '[]') from ${table} where job_id = job.id)`;

/** Each member of the state, as it is read of a job. */
const SECTIONS: Record<keyof JobState, string> = {
  job: `to_jsonb(job) - 'next_action'`,
  machine: `to_jsonb(machine) - '{search,search_vector}'::text[]`,
  model: `to_jsonb(model)`,
  customer: `json_build_object('id', customer.id, 'name', customer.name, 'kind', customer.kind, 'phone', customer.phone,
    'email', customer.email, 'address', customer.address, 'taxExempt', customer.tax_exempt, 'language', customer.language,
    'standing', customer.standing)`,
  shop: `json_build_object('zone', coalesce(shop.zone, 'UTC'), 'currency', coalesce(shop.currency, 'USD'),
    'comebackMinutes', coalesce(shop.comeback_minutes, 90), 'labourMinor', shop.labour_minor,
    'locale', coalesce(shop.locale, 'en'), 'frostMonth', shop.frost_month, 'charges', coalesce(shop.charges, '{}'), 'taxes', coalesce(shop.taxes, '{}'),
    'schools', coalesce(shop.schools, '{}'), 'agreeFirst', coalesce(shop.agree_first, true),
    'partPrices', (select coalesce(json_object_agg(part_group, middle), '{}') from (
      select part_group, percentile_disc(0.5) within group (order by price_minor) as middle
      from part where shop.labour_minor is not null
        and exists (select from part_station s where s.code = part.code and s.kind = model.kind)
      group by part_group) g))`,
  complaints: `(select coalesce(json_agg(complaint order by complaint), '[]') from job_complaint
    where job_id = job.id and struck_at is null)`,
  struck: list(
    'c.complaint, c.struck_why as why, p.name as by',
    'job_complaint c left join person p on p.id = c.struck_by where c.job_id = job.id and c.struck_at is not null',
    'complaint',
  ),
  repairs: names('fault', 'repair_done'),
  repairedAt: list('fault, at', 'repair_done where job_id = job.id', 'at'),
  service: list('item, state, words, look_again_on, minutes, at', 'service_done where job_id = job.id', 'at'),
  serviceReadings: list('id, item, reading, place, value', 'service_reading where job_id = job.id', 'id'),
  readBefore: list(
    'distinct on (item, place) item, place, value, at',
    'service_reading where machine_id = job.machine_id and job_id <> job.id order by item, place, at desc',
    'item',
  ),
  care: list('item, done_days, of_days', 'operator_care where job_id = job.id', 'item'),
  openFaults: list(
    'fault, job_id as job, at',
    'open_fault where machine_id = job.machine_id and mended_in is null and job_id <> job.id',
    'at',
  ),
  plans: list(
    'item, last_done_on, due_on, due_early, due_late, due_by, times, times_on, look_again_on, wear_on, by_its_people',
    'plan where machine_id = job.machine_id',
    'due_on',
  ),
  ownLives: list('fault, shape, scale_years', 'own_life where kind = model.kind', 'fault'),
  signs: names('sign', 'arrival_sign'),
  ticks: names('step', 'rebuild_tick'),
  stripped: list('step, state, at', 'strip_step where job_id = job.id', 'at'),
  procedure: `coalesce((select changes from model_procedure where model_id = machine.model_id order by version desc limit 1), '[]')`,
  modelPhotographs: list(
    'mp.step, mp.photograph_id as id',
    'model_photograph mp join photograph g on g.id = mp.photograph_id where mp.model_id = machine.model_id and g.removed_at is null',
    'id',
  ),
  losses: list('id, step, what, count, settled', 'fastener_loss where job_id = job.id', 'id'),
  marks: list('id, station, text', 'condition_mark where job_id = job.id', 'id'),
  cleared: list(
    'c.caution, c.how, c.at, p.name as by',
    'cleared_caution c join person p on p.id = c.cleared_by where c.job_id = job.id',
    'at',
  ),
  findings: list(
    'f.id, f.check_id, f.outcome, f.value, f.unit, f.condition, f.at, f.revoked_at, p.name as person',
    'finding f left join person p on p.id = f.person_id where f.job_id = job.id',
    'id',
  ),
  fitted: list(
    'f.id, f.code, coalesce(part.label, f.label) as label, part.part_group as "group", f.station, f.quantity, f.why, f.at',
    'fitted_part f left join part on part.code = f.code where f.job_id = job.id and f.taken_back_at is null',
    'id',
  ),
  waits: list('id, kind, what, started_at, ends_at, ended_at', 'wait where job_id = job.id', 'id'),
  proofs: list('id, item, result, before_value, after_value, note, details', 'proof where job_id = job.id', 'id'),
  photographs: list(
    'g.id, g.at, g.caption, g.shows, g.width, g.height, p.name as person',
    'photograph g left join person p on p.id = g.person_id where g.job_id = job.id and g.removed_at is null',
    'id',
  ),
  gauges: list(
    `g.id, g.gauge, g.method_version, g.answer ->> 'says' as says, g.at, p.name as person`,
    'gauge_result g left join person p on p.id = g.person_id where g.job_id = job.id and g.taken_back_at is null',
    'id',
  ),
  partAges: list(
    'f.station, part.part_group as "group", max(f.at) as at, max(f.at) filter (where f.at < job.taken_in_at) as before',
    `fitted_part f left join part on part.code = f.code
     where f.machine_id = job.machine_id and f.taken_back_at is null group by f.station, part.part_group`,
    'station, "group"',
  ),
  estimate: `(select to_json(e) from (select x.id, x.number, x.lines, x.offers, x.terms, x.at, p.name as person
    from estimate x left join person p on p.id = x.person_id where x.job_id = job.id order by number desc limit 1) e)`,
  answers: list(
    `a.id, a.estimate_id, a.says, a.offer, a.way, a.who, a.words, a.declined, a.known, a.signed, a.limit_minor, a.ask_on,
     a.at, p.name as person`,
    'answer a left join person p on p.id = a.person_id where a.job_id = job.id',
    'id',
  ),
  declinedBefore: list(
    `j.id as job, a.at, d as line`,
    `answer a join job j on j.id = a.job_id cross join jsonb_array_elements(a.declined) d
     where j.machine_id = job.machine_id and j.id <> job.id
       and not exists (select from repair_done r join job x on x.id = r.job_id
         where x.machine_id = job.machine_id and r.fault = d ->> 'fault' and r.at > a.at)
       and a.id = (select max(id) from answer l where l.job_id = j.id and l.says <> 'limit')`,
    'at desc',
  ),
  documents: list('id, kind, year, number, total_minor, corrects, at', 'document where job_id = job.id', 'id'),
  payments: list('id, how, amount_minor, document_id, at', 'payment where job_id = job.id', 'id'),
  links: list(
    'id, expires_at, seen_at, at',
    'customer_link where job_id = job.id and revoked_at is null and expires_at > now()',
    'id',
  ),
  messages: list('id, subject, state, last_error, at', 'message where job_id = job.id', 'id'),
  bridges: list('fault, who, words, rule, at, job_id as job', 'bridge where machine_id = job.machine_id', 'at'),
  practice: `exists (select from practice where job_id = job.id)`,
};

const TABLES = `job
join machine on machine.id = job.machine_id
join model on model.id = machine.model_id
join customer on customer.id = job.customer_id
left join shop on true`;

const columns = (names: readonly (keyof JobState)[]) => names.map((name) => `${SECTIONS[name]} as "${name}"`);
const reading = (names: readonly (keyof JobState)[], id = '?') =>
  `select ${columns(names).join(',\n')} from ${TABLES} where job.id = ${id}`;

const ALL = Object.keys(SECTIONS) as (keyof JobState)[];
const STATE = reading(ALL);
const STATE_OF_DEED = reading(ALL, ':jobId');

/** One job with all that was written to it, in one statement and so of one moment; undefined when it is not there. */
export async function jobState(db: Db, id: number): Promise<JobState | undefined> {
  const { rows } = await db.raw(STATE, [id]).options(prepared('job-state'));
  return rows[0] as JobState | undefined;
}

/**
 * Begins a deed on a job: names who acts, claims the key, and holds the job until the transaction ends. Two writers wait
 * for each other here.
 * @returns whether the key is new here; the job's version and whether it is closed, undefined when there is no such job; and its
 * state, of the moment when this was asked: undefined when somebody wrote to the job between that and the hold
 */
export async function beginJobDeed(
  db: Db,
  { key, personId, deed, jobId, mark }: { key: string; personId: number; deed: string; jobId: number; mark: Buffer },
): Promise<{ fresh: boolean; job?: { version: number; closed: boolean }; state?: JobState }> {
  const { rows } = await db
    .raw(
      `with claimed as (
       insert into done_deed (key, person_id, deed, mark) values (:key, :personId, :subject, :mark) on conflict (key) do nothing returning key
     ), held as (
       select version, closed_at is not null as closed from job where id = :jobId for update
     )
     select set_config('gritkeeper.person', :person, true), set_config('gritkeeper.deed', :deed, true),
       exists (select from claimed) as fresh, (select to_json(held) from held) as job,
       (select row_to_json(s) from (${STATE_OF_DEED}) s) as state`,
      { key, personId, subject: `${deed}:${jobId}`, jobId, mark, person: String(personId), deed },
    )
    .options(prepared('begin-job-deed'));
  const { fresh, job, state } = rows[0] as {
    fresh: boolean;
    job: { version: number; closed: boolean } | null;
    state: JobState | null;
  };
  // Every deed counts the version up: the same one is the same state.
  return { fresh, ...(job ? { job } : {}), ...(state && state.job.version === job?.version ? { state } : {}) };
}

/** What a deed changes of the job's own row. */
export type JobChange = Partial<
  Pick<
    JobState['job'],
    | 'stage'
    | 'place'
    | 'bench_no'
    | 'person_id'
    | 'advice'
    | 'promised_on'
    | 'words'
    | 'customer_diagnosis'
    | 'accessories'
    | 'picked_up'
    | 'opened_by'
    | 'ending'
    | 'found_words'
    | 'owners_word'
  >
>;

export interface TimelineLine {
  what: string;
  text: string;
}

/** A plan is kept for deeds that tell so many lines: more are rare, and each number is a statement of its own. */
const MOST_LINES_KEPT = 3;
const endings = preparedShapes('end-job-deed');

/**
 * Ends a deed on a job, in one statement: its lines in the machine's timeline, what it changed, and the next version.
 * @param touched members of the state that its work has written: they are read with it
 * @returns those, and the job's own row as it is now
 */
export async function endJobDeed<Name extends Exclude<keyof JobState, 'job'>>(
  db: Db,
  at: { jobId: number; machineId: number; personId: number | null },
  change: JobChange & { closed?: boolean },
  lines: TimelineLine[],
  touched: readonly Name[],
): Promise<Pick<JobState, Name | 'job'>> {
  const { closed, ...values } = change;
  const all = { ...values, ...(closed ? { closed_at: db.fn.now() } : {}) };
  const set = Object.keys(all).filter((column) => all[column as keyof typeof all] !== undefined);
  const ended = db.queryBuilder();
  if (lines.length > 0) {
    const rows = lines.map((l) => ({ machine_id: at.machineId, job_id: at.jobId, person_id: at.personId, ...l }));
    void ended.with('told', db('timeline').insert(rows));
  }
  void ended
    .with(
      'changed',
      db('job')
        .where({ id: at.jobId })
        .update({ ...all, version: db.raw('version + 1') })
        .returning('*'),
    )
    .select(db.raw(["(select to_jsonb(changed) - 'next_action' from changed) as job", ...columns(touched)].join(',\n')))
    .fromRaw(TABLES)
    .where('job.id', at.jobId);
  if (lines.length <= MOST_LINES_KEPT)
    void ended.options(endings([set.join(), lines.length, touched.join()].join(' ')));
  const [state] = (await ended) as Pick<JobState, Name | 'job'>[];
  return state!;
}

/** Keeps the next thing for the hands, unless the job has changed since it was found. */
export async function keepNextAction(
  db: Db,
  jobId: number,
  version: number,
  action: { text: string; minutes: number } | null,
): Promise<void> {
  await db('job')
    .where({ id: jobId, version })
    .update({ next_action: JSON.stringify({ ...action, version }) });
}
