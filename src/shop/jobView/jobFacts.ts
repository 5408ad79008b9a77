import { benchStateOf } from '@/core/diagnosis/finderCase';
import { database, type Db } from '@/data/database';
import { partsFor } from '@/data/jobs';
import { jobState, type JobState } from '@/data/jobState';
import { jobsOf } from '@/data/machines';
import { kindById, knowledge } from '@/knowledge';
import { agreedOf, agreeOf } from '../standing/agreeOf';
import { didOf } from '../standing/dueOffer';
import { notFound } from '../problem';
import { partAgeDays } from '../plans/partAgeDays';
import { dayInZone } from '../settings/day';
import { beforeNow } from '../finding/beforeNow';
import { agedOf } from './agedOf';
import { bridgedOn } from './bridgedOn';
import { caseOfJob, firstChecksOf, keyOfCase } from './caseOfJob';
import { isDoneHere } from './doneHere';
import type { JobFacts } from './dto';
import { isOwnPart } from './ownPart';
import { isOpenedLately } from './openedLately';
import { isAirOpened, proofViews } from './proofItems';
import { repairedIn } from './repairsOf';
import { serviceList } from './serviceList';
import { stripOf } from './stripOf';

const MOST_PAST = 6;

/** What a deed may change of a job's facts: all of it was written to the job. */
export type WrittenFacts = Omit<JobFacts, 'parts' | 'past'>;

const instant = (text: string) => new Date(text).toISOString();
const instantOrNull = (text: string | null) => (text === null ? null : instant(text));

/** One job's facts. @throws ProblemError 404 */
export async function jobFacts(id: number, db: Db = database()): Promise<JobFacts> {
  return (await factsAndState(id, db)).facts;
}

/** The same with what they were made from, for who needs both. @throws ProblemError 404 */
export async function factsAndState(id: number, db: Db): Promise<{ facts: JobFacts; state: JobState }> {
  const state = await jobState(db, id);
  if (!state) throw notFound('This job');
  const [parts, past] = await Promise.all([partsOfJob(db, state), pastOf(db, state)]);
  return { facts: { ...factsOf(state), parts, past }, state };
}

/** What was written to a job, as the screens show it; no query, no odds. */
export function factsOf(state: JobState): WrittenFacts {
  const { job, machine, model, customer, shop } = state;
  const kind = kindById(model.kind);
  const asked = caseOfJob(state);
  const bench = benchStateOf(knowledge, asked);
  const before = beforeNow(kind, state);
  const now = Date.now();
  const today = dayInZone(new Date(now), shop.zone);
  const agreed = agreedOf(state);
  const found = [...bench.proved, ...state.openFaults.map((f) => f.fault), ...agreed.faults];
  const repaired = repairedIn(kind, state, new Set(found));
  const bridged = bridgedOn(kind, state);
  const done = { ...state, repaired };
  const service = serviceList(kind, state, today, (item) => isDoneHere(item, kind.id, done));
  const agree = agreeOf(state, agreed, bench.proved, didOf({ repaired, service }));
  // What the owner did not want is neither opened for nor mended; what was agreed besides is.
  const toMend = [...bench.proved.filter((f) => !agree.notWanted.includes(f)), ...agree.besides];
  const strip = stripOf(kind, state, { toMend, repaired, open: bench.open }, service);
  return {
    id: job.id,
    version: job.version,
    stage: job.stage,
    place: job.place,
    benchNo: job.bench_no,
    personId: job.person_id,
    words: job.words,
    visit: job.visit,
    ending: job.ending,
    foundWords: job.found_words,
    ownersWord: job.owners_word,
    pickedUp: job.picked_up,
    everWet: job.ever_wet,
    openedBy: job.opened_by,
    accessories: job.accessories,
    marks: state.marks.map(({ station, text }) => ({ station, text })),
    photographs: state.photographs.map(({ person, at, ...p }) => ({ ...p, at: instant(at), by: person })),
    warranty: {
      until: machine.warranty_until,
      choice: job.warranty_choice,
      inForce: machine.warranty_until !== null && machine.warranty_until >= today,
    },
    comebackOf: job.comeback_of,
    practice: state.practice,
    firstChecks: firstChecksOf(state),
    oddsKey: keyOfCase(asked),
    ...bench,
    customerDiagnosis: job.customer_diagnosis,
    openedBefore: job.opened_before,
    openedLately: isOpenedLately(state),
    promisedOn: job.promised_on,
    takenInAt: instant(job.taken_in_at),
    closedAt: instantOrNull(job.closed_at),
    advice: job.advice,
    machine: {
      id: machine.id,
      tag: machine.tag,
      serial: machine.serial,
      maker: model.maker,
      model: model.name,
      modelId: model.id,
      kind: model.kind,
      madeYear: machine.made_year,
      mainsV: model.mains_v,
      droppedStations: model.dropped_stations,
      sealedBattery: model.sealed_battery,
      nextDueOn: machine.next_due_on,
      note: machine.note,
      addedStations: model.added_stations,
    },
    customer: {
      id: customer.id,
      name: customer.name,
      kind: customer.kind,
      phone: customer.phone,
      email: customer.email,
      standing: customer.standing,
    },
    complaints: state.complaints,
    arrivalSigns: state.signs,
    standing: [...standingOn(machine.made_year), ...(bridged.length > 0 ? ['interlock-bypass'] : [])],
    clearedCautions: state.cleared.map((c) => ({ ...c, at: instant(c.at) })),
    findings: state.findings.map((f) => ({
      id: f.id,
      check: f.check_id,
      outcome: f.outcome,
      value: f.value,
      unit: f.unit,
      condition: f.condition,
      at: instant(f.at),
      by: f.person,
      revoked: f.revoked_at !== null,
      before: before.has(f.id),
    })),
    fitted: state.fitted.map(({ group: _, ...f }) => ({ ...f, at: instant(f.at) })),
    toMend,
    repaired,
    leftOpen: bench.proved.filter((id) => !repaired.includes(id)),
    openFaults: state.openFaults.filter((f) => !repaired.includes(f.fault)).map((f) => ({ ...f, at: instant(f.at) })),
    struck: state.struck,
    service,
    care: state.care.map((c) => ({ item: c.item, doneDays: c.done_days, ofDays: c.of_days })),
    ...strip,
    waits: state.waits.map((w) => ({
      id: w.id,
      kind: w.kind,
      what: w.what,
      startedAt: instant(w.started_at),
      endsAt: instant(w.ends_at),
      endedAt: instantOrNull(w.ended_at),
    })),
    proofs: proofViews(kind, state, toMend, bridged, isAirOpened(kind, state, strip.strip.done)),
    gauges: state.gauges.map((g) => ({
      id: g.id,
      gauge: g.gauge,
      version: g.method_version,
      says: g.says,
      at: instant(g.at),
      by: g.person,
    })),
    partAgeDays: partAgeDays(kind.id, agedOf(state, now)),
    madeNew: asked.madeNew ?? [],
    agree,
    currency: shop.currency,
    zone: shop.zone,
  };
}

/** Parts of the shop's list that belong on this model; one query. */
export async function partsOfJob(db: Db, { model }: JobState): Promise<JobFacts['parts']> {
  return (await partsFor(db, model.kind))
    .filter((p) => !model.dropped_stations.includes(p.station))
    .map((p) => ({
      code: p.code,
      label: p.label,
      group: p.part_group,
      priceMinor: p.price_minor,
      stock: p.stock,
      station: p.station,
      own: isOwnPart(p.label, [...model.belts, ...model.bearings, ...model.filters]),
    }));
}

/** What this machine had before; one query. */
async function pastOf(db: Db, { job }: JobState): Promise<JobFacts['past']> {
  return (await jobsOf(db, job.machine_id, MOST_PAST + 1))
    .filter((p) => p.id !== job.id)
    .slice(0, MOST_PAST)
    .map((p) => ({
      id: p.id,
      takenInAt: p.taken_in_at.toISOString(),
      visit: p.visit,
      faults: p.faults ?? [],
      words: p.words,
      ending: p.ending,
      foundWords: p.found_words,
    }));
}

/** Cautions of old age. A machine whose year is not known may be older than it looks: nothing is said of it. */
function standingOn(madeYear: number | null): string[] {
  if (madeYear === null) return [];
  return knowledge.cautions.filter((c) => c.madeBefore !== undefined && madeYear < c.madeBefore).map((c) => c.id);
}
