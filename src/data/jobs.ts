import { prepared, type Db } from './database';

export type Stage = 'take-in' | 'find' | 'agree' | 'strip' | 'fit' | 'prove' | 'hand-back' | 'closed';
export type Place = 'bench' | 'rack' | 'parts-shelf' | 'door-shelf';

export type EverWet = 'not-asked' | 'no' | 'yes' | 'unknown';
/** Why a machine is here when nothing is wrong with it; empty for a complaint. */
export type Visit = '' | 'service' | 'height' | 'new-part' | 'before-sale';
export type Ending = 'repaired' | 'unrepaired' | 'unrepairable' | 'scrapped' | 'authorised' | 'cancelled' | 'not-seen';
export type WarrantyChoice = 'none' | 'repair-here' | 'authorised';

export interface JobRow {
  id: number;
  machine_id: number;
  customer_id: number;
  stage: Stage;
  place: Place;
  words: string;
  customer_diagnosis: string | null;
  opened_before: boolean;
  opened_by: string;
  picked_up: string;
  ever_wet: EverWet;
  accessories: string[];
  warranty_choice: WarrantyChoice;
  comeback_of: number | null;
  person_id: number | null;
  bench_no: number;
  promised_on: string;
  taken_in_at: Date;
  closed_at: Date | null;
  advice: string;
  visit: Visit;
  ending: Ending | null;
  /** What it was, in words. */
  found_words: string;
  /** What the owner said of what stays open. */
  owners_word: string;
  next_action: KeptNext | null;
  /** Schools that this job follows otherwise than the shop. */
  schools: object;
  version: number;
}

/** The next thing for the hands as it was kept: for which version of the job, and nothing when there is none. */
export interface KeptNext {
  version: number;
  text?: string;
  minutes?: number;
}

export interface FindingRow {
  id: number;
  job_id: number;
  check_id: string;
  outcome: string | null;
  value: number | null;
  unit: string | null;
  condition: string | null;
  at: Date;
  revoked_at: Date | null;
  person: string | null;
}

export async function insertJob(
  db: Db,
  row: Pick<
    JobRow,
    | 'machine_id'
    | 'customer_id'
    | 'words'
    | 'customer_diagnosis'
    | 'opened_before'
    | 'opened_by'
    | 'picked_up'
    | 'ever_wet'
    | 'accessories'
    | 'warranty_choice'
    | 'comeback_of'
    | 'promised_on'
    | 'visit'
  > & { taken_in_by: number },
): Promise<number> {
  const [inserted] = await db('job').insert(row).returning('id');
  return inserted.id;
}

export async function insertComplaints(db: Db, jobId: number, complaints: string[]): Promise<void> {
  if (complaints.length)
    await db('job_complaint').insert(complaints.map((complaint) => ({ job_id: jobId, complaint })));
}

/** Strikes a complaint that the bench did not find. @returns whether it stood there */
export async function strikeComplaint(db: Db, jobId: number, complaint: string, why: string, personId: number) {
  const struck = { struck_at: db.fn.now(), struck_why: why, struck_by: personId };
  return (await db('job_complaint').where({ job_id: jobId, complaint }).whereNull('struck_at').update(struck)) > 0;
}

export async function putRepairDone(db: Db, jobId: number, fault: string, personId: number, done: boolean) {
  if (done) await db('repair_done').insert({ job_id: jobId, fault, person_id: personId }).onConflict().ignore();
  else await db('repair_done').where({ job_id: jobId, fault }).delete();
}

/** What became of an item of the service at a visit. */
export type ServiceState = 'done' | 'worn' | 'left';

export interface ServiceLineRow {
  state: ServiceState;
  words: string;
  look_again_on: string | null;
  minutes: number | null;
  person_id: number;
}

/** What became of an item of the service, in place of what was said before; null takes it back. */
export async function putServiceLine(db: Db, jobId: number, item: string, row: ServiceLineRow | null): Promise<void> {
  if (row === null) await db('service_done').where({ job_id: jobId, item }).delete();
  else
    await db('service_done')
      .insert({ job_id: jobId, item, ...row })
      .onConflict(['job_id', 'item'])
      .merge(row);
}

/** What was read at an item of the service, in place of what was read there before at this visit. */
export async function putServiceReadings(
  db: Db,
  at: { job_id: number; machine_id: number; item: string; person_id: number },
  readings: readonly { reading: string; place: string; value: number }[],
): Promise<void> {
  await db('service_reading').where({ job_id: at.job_id, item: at.item }).delete();
  if (readings.length > 0) await db('service_reading').insert(readings.map((r) => ({ ...at, ...r })));
}

/** What the operator says of their own items, in place of what was said before at this visit. */
export async function putOperatorCare(
  db: Db,
  jobId: number,
  personId: number,
  care: readonly { item: string; done_days: number; of_days: number }[],
): Promise<void> {
  await db('operator_care').where({ job_id: jobId }).delete();
  if (care.length > 0)
    await db('operator_care').insert(care.map((c) => ({ job_id: jobId, person_id: personId, ...c })));
}

export async function struckOf(db: Db, jobId: number): Promise<{ complaint: string; why: string }[]> {
  return db('job_complaint')
    .where({ job_id: jobId })
    .whereNotNull('struck_at')
    .orderBy('complaint')
    .select('complaint', { why: 'struck_why' });
}

export async function repairsOf(db: Db, jobId: number): Promise<string[]> {
  return db('repair_done').where({ job_id: jobId }).orderBy('fault').pluck('fault');
}

export async function servedOf(db: Db, jobId: number): Promise<string[]> {
  return db('service_done').where({ job_id: jobId, state: 'done' }).orderBy('item').pluck('item');
}

/** What became of each item of the service at a visit. */
export async function serviceLinesOf(db: Db, jobId: number) {
  const rows = await db('service_done').where({ job_id: jobId }).orderBy(['at', 'item']).select<
    {
      item: string;
      state: ServiceState;
      words: string;
      look_again_on: string | null;
      minutes: number | null;
      at: Date;
    }[]
  >('item', 'state', 'words', 'look_again_on', 'minutes', 'at');
  return rows.map(({ look_again_on: lookAgainOn, at, ...r }) => ({ ...r, lookAgainOn, at: at.toISOString() }));
}

/** What the operator was said to have done. */
export async function careOf(db: Db, jobId: number): Promise<{ item: string; doneDays: number; ofDays: number }[]> {
  return db('operator_care')
    .where({ job_id: jobId })
    .orderBy('item')
    .select('item', { doneDays: 'done_days' }, { ofDays: 'of_days' });
}

/** What a job leaves open on its machine, and what it mended of what others left. */
export async function settleOpenFaults(
  db: Db,
  at: { machineId: number; jobId: number },
  left: string[],
  mended: string[],
): Promise<void> {
  const { machineId: machine_id, jobId: job_id } = at;
  if (left.length > 0)
    await db('open_fault')
      .insert(left.map((fault) => ({ machine_id, fault, job_id })))
      .onConflict(db.raw('(machine_id, fault) where mended_in is null'))
      .ignore();
  if (mended.length > 0)
    await db('open_fault')
      .where({ machine_id })
      .whereNull('mended_in')
      .whereIn('fault', mended)
      .update({ mended_in: job_id });
}

export async function replaceComplaints(db: Db, jobId: number, complaints: string[]): Promise<void> {
  await db('job_complaint')
    .where({ job_id: jobId })
    .whereNull('struck_at')
    .whereNotIn('complaint', complaints)
    .delete();
  await addComplaints(db, jobId, complaints);
}

/** One that was struck and is named again stands again. */
export async function addComplaints(db: Db, jobId: number, complaints: string[]): Promise<void> {
  if (complaints.length === 0) return;
  await db('job_complaint')
    .insert(complaints.map((complaint) => ({ job_id: jobId, complaint })))
    .onConflict(['job_id', 'complaint'])
    .merge({ struck_at: null, struck_why: '', struck_by: null });
}

/** The job that was closed last on this machine, within so many days. */
/** The last job of a machine that was handed back within so many days and was here for one of these complaints. */
export async function lastClosedJob(
  db: Db,
  machineId: number,
  days: number,
  complaints: readonly string[],
): Promise<{ id: number } | undefined> {
  return db('job')
    .where({ machine_id: machineId })
    .whereExists(
      db('job_complaint')
        .whereRaw('job_id = job.id')
        .whereNull('struck_at')
        .whereIn('complaint', [...complaints]),
    )
    .where('closed_at', '>', db.raw(`now() - ? * interval '1 day'`, [days]))
    .orderBy('closed_at', 'desc')
    .first('id');
}

export interface ConditionMark {
  station: string;
  text: string;
}

export async function insertConditionMarks(db: Db, jobId: number, marks: ConditionMark[]): Promise<void> {
  if (marks.length) await db('condition_mark').insert(marks.map((m) => ({ job_id: jobId, ...m })));
}

export async function conditionMarksOf(db: Db, jobId: number): Promise<ConditionMark[]> {
  return db('condition_mark').where({ job_id: jobId }).orderBy('id').select('station', 'text');
}

export async function insertArrivalSigns(db: Db, jobId: number, signs: string[]): Promise<void> {
  if (signs.length) await db('arrival_sign').insert(signs.map((sign) => ({ job_id: jobId, sign })));
}

export async function jobById(db: Db, id: number): Promise<JobRow | undefined> {
  return db('job').where({ id }).first();
}

export async function openJobOf(db: Db, machineId: number): Promise<JobRow | undefined> {
  return db('job').where({ machine_id: machineId }).whereNull('closed_at').first();
}

export async function confirmedFaultsOf(db: Db, jobId: number): Promise<string[]> {
  return db('confirmed_fault').where({ job_id: jobId }).orderBy('fault').pluck('fault');
}

/** Those that stand; what was struck at the bench is not among them. */
export async function complaintsOf(db: Db, jobId: number): Promise<string[]> {
  return db('job_complaint').where({ job_id: jobId }).whereNull('struck_at').orderBy('complaint').pluck('complaint');
}

export async function arrivalSignsOf(db: Db, jobId: number): Promise<string[]> {
  return db('arrival_sign').where({ job_id: jobId }).orderBy('sign').pluck('sign');
}

export async function insertClearedCaution(db: Db, jobId: number, caution: string, personId: number, how: string) {
  await db('cleared_caution').insert({ job_id: jobId, caution, cleared_by: personId, how });
}

/** All findings of a job in the order in which they were made, those taken back included. */
export async function findingsOf(db: Db, jobId: number): Promise<FindingRow[]> {
  return db('finding')
    .leftJoin('person', 'person.id', 'finding.person_id')
    .where({ job_id: jobId })
    .orderBy('finding.id')
    .select('finding.*', { person: 'person.name' });
}

export async function insertFindings(
  db: Db,
  rows: {
    job_id: number;
    check_id: string;
    outcome: string | null;
    value: number | null;
    unit: string | null;
    condition: string | null;
    person_id: number;
  }[],
): Promise<void> {
  await db('finding')
    .insert(rows)
    .options(prepared(`insert-findings:${rows.length}`));
}

/** Takes findings back. @returns how many of them were there and in force */
export async function revokeFindings(db: Db, jobId: number, ids: number[], personId: number): Promise<number> {
  return db('finding')
    .where({ job_id: jobId })
    .whereIn('id', ids)
    .whereNull('revoked_at')
    .update({ revoked_at: db.fn.now(), revoked_by: personId });
}

/** A part of the list with the stations of a kind at which it belongs; undefined when it belongs nowhere on it. */
export async function partAt(
  db: Db,
  kind: string,
  code: string,
): Promise<{ code: string; label: string; part_group: string; stations: string[] } | undefined> {
  return db('part')
    .join('part_station', 'part_station.code', 'part.code')
    .where({ 'part_station.kind': kind, 'part.code': code })
    .groupBy('part.code')
    .first('part.code', 'part.label', 'part.part_group', { stations: db.raw('array_agg(part_station.station)') });
}

export async function partsFor(db: Db, kind: string) {
  return db('part')
    .join('part_station', 'part_station.code', 'part.code')
    .where('part_station.kind', kind)
    .orderBy(['part.part_group', 'part.code', 'part_station.station'])
    .select<{ code: string; label: string; part_group: string; price_minor: number; stock: number; station: string }[]>(
      'part.code',
      'part.label',
      'part.part_group',
      'part.price_minor',
      'part.stock',
      'part_station.station',
    );
}

export async function fittedPartsOf(db: Db, jobId: number) {
  return db('fitted_part')
    .leftJoin('part', 'part.code', 'fitted_part.code')
    .where({ job_id: jobId })
    .whereNull('taken_back_at')
    .orderBy('fitted_part.id')
    .select<
      {
        id: number;
        code: string | null;
        label: string;
        part_group: string | null;
        station: string;
        quantity: number;
        why: string;
        at: Date;
      }[]
    >(
      'fitted_part.id',
      'fitted_part.code',
      'fitted_part.why',
      db.raw('coalesce(part.label, fitted_part.label) as label'),
      'part.part_group',
      'fitted_part.station',
      'fitted_part.quantity',
      'fitted_part.at',
    );
}

/** A part of the list by its code, or one that is on no list by its words. */
type NamedPart = { code: string } | { label: string; why: string };

export async function insertFittedPart(
  db: Db,
  row: NamedPart & { job_id: number; machine_id: number; station: string; quantity: number; person_id: number },
): Promise<void> {
  await db('fitted_part').insert(row);
  if ('code' in row) await db('part').where({ code: row.code }).decrement('stock', row.quantity);
}

/** @returns whether it was fitted in this job and has been put back to stock */
export async function takeBackFittedPart(db: Db, jobId: number, id: number): Promise<boolean> {
  const rows = await db('fitted_part')
    .where({ id, job_id: jobId })
    .whereNull('taken_back_at')
    .update({ taken_back_at: db.fn.now() })
    .returning(['code', 'quantity']);
  for (const row of rows.filter((r) => r.code !== null))
    await db('part').where({ code: row.code }).increment('stock', row.quantity);
  return rows.length === 1;
}

export async function putRebuildTick(db: Db, jobId: number, step: string, personId: number, done: boolean) {
  if (done) await db('rebuild_tick').insert({ job_id: jobId, step, person_id: personId }).onConflict().ignore();
  else await db('rebuild_tick').where({ job_id: jobId, step }).delete();
}

/** Takes ticks back: what they were for is open again. */
export async function takeBackTicks(db: Db, jobId: number, steps: readonly string[]): Promise<void> {
  await db('rebuild_tick').where({ job_id: jobId }).whereIn('step', steps).delete();
}

export interface WaitRow {
  id: number;
  kind: 'drying' | 'soaking' | 'glue' | 'part' | 'answer';
  what: string;
  started_at: Date;
  ends_at: Date;
  ended_at: Date | null;
}

export async function waitsOf(db: Db, jobId: number): Promise<WaitRow[]> {
  return db('wait')
    .where({ job_id: jobId })
    .orderBy('id')
    .select('id', 'kind', 'what', 'started_at', 'ends_at', 'ended_at');
}

/** Starts a clock of so many hours, by the database's own time: the servers' clocks may differ. */
export async function insertWait(db: Db, jobId: number, kind: string, what: string, hours: number): Promise<void> {
  await db('wait').insert({ job_id: jobId, kind, what, ends_at: db.raw(`now() + ? * interval '1 hour'`, [hours]) });
}

/** @returns whether a wait was running */
export async function endWait(db: Db, jobId: number): Promise<boolean> {
  return (await db('wait').where({ job_id: jobId }).whereNull('ended_at').update({ ended_at: db.fn.now() })) > 0;
}

/**
 * Rings the clocks that have run out: each once, whichever server is first. The time is the database's own.
 * @returns the waits that rang now
 */
export async function ringWaits(
  db: Db,
): Promise<{ id: number; job_id: number; kind: WaitRow['kind']; what: string }[]> {
  return db('wait')
    .whereIn(
      'id',
      db('wait')
        .select('id')
        .whereNull('ended_at')
        .whereNull('rang_at')
        .where('ends_at', '<=', db.fn.now())
        .limit(100)
        .forUpdate()
        .skipLocked(),
    )
    .update({ rang_at: db.fn.now() })
    .returning(['id', 'job_id', 'kind', 'what']);
}

/** Milliseconds until the next clock runs out, or null when none runs. */
export async function nextRingMs(db: Db): Promise<number | null> {
  const row = await db('wait')
    .whereNull('ended_at')
    .whereNull('rang_at')
    .first<{ ms: number | null }>(db.raw('(extract(epoch from min(ends_at) - now()) * 1000)::float8 as ms'));
  return row?.ms ?? null;
}

export interface ProofRow {
  item: string;
  result: 'pass' | 'fail';
  before_value: number | null;
  after_value: number | null;
  unit: string | null;
  note: string;
  /** Answers to what the proof asks for, by name. */
  details: Record<string, string>;
  at: Date;
  person: string | null;
}

export async function proofsOf(db: Db, jobId: number): Promise<ProofRow[]> {
  return db('proof')
    .leftJoin('person', 'person.id', 'proof.person_id')
    .where({ job_id: jobId })
    .orderBy('proof.id')
    .select('proof.*', { person: 'person.name' });
}

export async function putProof(
  db: Db,
  row: Omit<ProofRow, 'at' | 'person'> & { job_id: number; person_id: number },
): Promise<void> {
  await db('proof')
    .insert(row)
    .onConflict(['job_id', 'item'])
    .merge({ ...row, at: db.fn.now() });
}

export async function insertTimeline(
  db: Db,
  row: { machine_id: number; job_id: number | null; what: string; text: string; person_id: number | null },
): Promise<void> {
  await db('timeline').insert(row);
}

export async function insertConfirmedFaults(db: Db, jobId: number, faults: string[]): Promise<void> {
  if (faults.length) await db('confirmed_fault').insert(faults.map((fault) => ({ job_id: jobId, fault })));
}

/** How many jobs are open, by the index of the open ones. */
export async function countOpenJobs(db: Db): Promise<number> {
  const row = await db('job').whereNull('closed_at').count<{ count: number }[]>({ count: '*' }).first();
  return Number(row?.count ?? 0);
}

export type OpenJob = Awaited<ReturnType<typeof openJobs>>[number];

/** The shop's open jobs with what the Bench shows, soonest promised first. */
export async function openJobs(db: Db, limit: number) {
  return db('job')
    .join('machine', 'machine.id', 'job.machine_id')
    .join('model', 'model.id', 'machine.model_id')
    .join('customer', 'customer.id', 'job.customer_id')
    .leftJoin('wait', (on) => on.on('wait.job_id', 'job.id').andOnNull('wait.ended_at'))
    .leftJoin('person', 'person.id', 'job.person_id')
    .whereNull('job.closed_at')
    .orderBy('job.promised_on')
    .orderBy('job.id')
    .limit(limit)
    .select<
      {
        id: number;
        version: number;
        stage: Stage;
        place: Place;
        bench_no: number;
        person_id: number | null;
        person: string | null;
        comeback_of: number | null;
        promised_on: string;
        taken_in_at: Date;
        next_action: KeptNext | null;
        tag: string;
        maker: string;
        model: string;
        kind: string;
        owner: string;
        wait_kind: WaitRow['kind'] | null;
        wait_what: string | null;
        wait_started_at: Date | null;
        wait_ends_at: Date | null;
        wait_rang_at: Date | null;
        complaints: string[] | null;
      }[]
    >(
      'job.id',
      'job.version',
      'job.stage',
      'job.place',
      'job.bench_no',
      'job.person_id',
      { person: 'person.name' },
      'job.comeback_of',
      'job.promised_on',
      'job.taken_in_at',
      'job.next_action',
      'machine.tag',
      'model.maker',
      { model: 'model.name' },
      'model.kind',
      { owner: 'customer.name' },
      { wait_kind: 'wait.kind' },
      { wait_what: 'wait.what' },
      { wait_started_at: 'wait.started_at' },
      { wait_ends_at: 'wait.ends_at' },
      { wait_rang_at: 'wait.rang_at' },
      db.raw('(select array_agg(complaint order by complaint) from job_complaint where job_id = job.id) as complaints'),
    );
}
