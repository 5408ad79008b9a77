import { accessPath } from '@/core/diagnosis/accessCosts';
import type { AssessInput } from '@/core/diagnosis/assessment';
import type { Kind } from '@/core/diagnosis/knowledge';
import { UNITS } from '@/core/units/units';
import { customerById } from '@/data/customers';
import { database, type Db } from '@/data/database';
import {
  arrivalSignsOf,
  clearedCautionsOf,
  complaintsOf,
  conditionMarksOf,
  findingsOf,
  fittedPartsOf,
  jobById,
  partsFor,
  proofsOf,
  rebuildTicksOf,
  waitsOf,
} from '@/data/jobs';
import { jobsOf, machineById, modelById, partAges } from '@/data/machines';
import { photographsOfJob } from '@/data/photographs';
import { practiceOf } from '@/data/practice';
import { shopSettings } from '@/data/shopSettings';
import { kindById, knowledge } from '@/knowledge';
import { arrivalSigns, rebuildSteps } from '@/knowledge/bench';
import { assessLearned } from '../finding/finding';
import { keptGauges } from '../gauges/gauges';
import { readFindings } from '../finding/readFindings';
import { photographView } from '../photographs/photographView';
import { notFound } from '../problem';
import { dayInZone } from '../settings/day';
import type { JobView } from './dto';
import { proofItems } from './proofItems';

const DAY = 86_400_000;

/** A hint of small weight: the customer's own diagnosis multiplies the odds of that fault by this. */
const HINT_FACTOR = 1.5;

/** @throws ProblemError 404 */
export async function readJob(id: number): Promise<JobView> {
  return jobView(database(), id);
}

/** The whole of one job, with the odds as they stand now. @throws ProblemError 404 */
export async function jobView(db: Db, id: number): Promise<JobView> {
  const job = await jobById(db, id);
  if (!job) throw notFound('This job');
  const machine = (await machineById(db, job.machine_id))!;
  const model = (await modelById(db, machine.model_id))!;
  const kind = kindById(model.kind);
  const customer = (await customerById(db, job.customer_id))!;
  const complaints = await complaintsOf(db, id);
  const signs = await arrivalSignsOf(db, id);
  const cleared = await clearedCautionsOf(db, id);
  const findings = await findingsOf(db, id);
  const ticks = new Set(await rebuildTicksOf(db, id));
  const fitted = await fittedPartsOf(db, id);
  const proofs = await proofsOf(db, id);
  const past = await jobsOf(db, machine.id);
  const ages = await partAges(db, machine.id);
  const shop = await shopSettings(db);

  const inForce = findings.filter((f) => !f.revoked_at);
  const { answers } = readFindings(
    kind,
    model.mains_v,
    inForce.map((f) => ({
      check: f.check_id,
      ...(f.outcome === null ? { value: f.value!, unit: f.unit! } : { outcome: f.outcome }),
      ...(f.condition ? { condition: f.condition } : {}),
    })),
  );
  const seen = arrivalSigns.filter((s) => signs.includes(s.id));
  // A machine that was ever wet, by the owner's own word, is treated as one that is.
  const raised = [...new Set([...seen.map((s) => s.raises), ...(job.ever_wet === 'yes' ? ['wet-signs'] : [])])];
  const input: AssessInput = {
    kind,
    mainsV: model.mains_v,
    complaints,
    answers,
    openedBefore: job.opened_before,
    droppedStations: model.dropped_stations,
    raised,
    cleared: cleared.map((c) => c.caution),
    ...(machine.made_year
      ? { ageYears: Math.max(0, new Date(job.taken_in_at).getFullYear() - machine.made_year) }
      : {}),
    ...(job.customer_diagnosis ? { oddsFactor: new Map([[job.customer_diagnosis, HINT_FACTOR]]) } : {}),
  };
  const assessment = await assessLearned(db, input, model.id);
  const opened = new Set([
    ...assessment.open,
    ...inForce.flatMap((f) => openedBy(kind, f.check_id)),
    ...fitted.flatMap((f) =>
      kind.access.filter((a) => a.bares.includes(f.station)).flatMap((a) => accessPath(kind, a.id)),
    ),
  ]);
  const now = Date.now();
  const checked = new Set(inForce.map((f) => f.check_id));
  const firstChecks = [...seen.map((s) => s.firstCheck), ...(job.ever_wet === 'yes' ? ['wet-signs'] : [])].filter(
    (c): c is string => c !== undefined && !checked.has(c),
  );
  const today = dayInZone(new Date(), shop.zone);
  return {
    id: job.id,
    version: job.version,
    stage: job.stage,
    place: job.place,
    benchNo: job.bench_no,
    personId: job.person_id,
    words: job.words,
    pickedUp: job.picked_up,
    everWet: job.ever_wet,
    openedBy: job.opened_by,
    accessories: job.accessories,
    marks: await conditionMarksOf(db, id),
    photographs: (await photographsOfJob(db, id)).map(photographView),
    warranty: {
      until: machine.warranty_until,
      choice: job.warranty_choice,
      inForce: machine.warranty_until !== null && machine.warranty_until >= today,
    },
    comebackOf: job.comeback_of,
    practice: (await practiceOf(db, id)) !== undefined,
    firstChecks: [...new Set(firstChecks)].filter((c) =>
      assessment.next.some((n) => n.check === c && n.heldBackBy.length === 0),
    ),
    customerDiagnosis: job.customer_diagnosis,
    openedBefore: job.opened_before,
    promisedOn: job.promised_on,
    takenInAt: job.taken_in_at.toISOString(),
    closedAt: job.closed_at?.toISOString() ?? null,
    advice: job.advice,
    machine: {
      id: machine.id,
      tag: machine.tag,
      serial: machine.serial,
      maker: model.maker,
      model: model.name,
      kind: model.kind,
      madeYear: machine.made_year,
      mainsV: model.mains_v,
      droppedStations: model.dropped_stations,
      nextDueOn: machine.next_due_on,
      note: machine.note,
      addedStations: model.added_stations,
    },
    customer: {
      id: customer.id,
      name: customer.name,
      kind: customer.kind,
      phone: customer.phone,
      standing: customer.standing,
    },
    complaints,
    arrivalSigns: signs,
    clearedCautions: cleared.map((c) => ({ ...c, at: c.at.toISOString() })),
    findings: findings.map((f) => ({
      id: f.id,
      check: f.check_id,
      outcome: f.outcome,
      value: f.value,
      unit: f.unit,
      condition: f.condition,
      at: f.at.toISOString(),
      by: f.person,
      revoked: f.revoked_at !== null,
    })),
    assessment,
    parts: (await partsFor(db, kind.id))
      .filter((p) => !model.dropped_stations.includes(p.station))
      .map((p) => ({
        code: p.code,
        label: p.label,
        group: p.part_group,
        priceMinor: p.price_minor,
        stock: p.stock,
        station: p.station,
      })),
    fitted: fitted.map((f) => ({ ...f, at: f.at.toISOString() })),
    rebuild: rebuildSteps
      .filter((s) => s.kinds.includes(kind.id) && (!s.whenOpened || s.whenOpened.some((a) => opened.has(a))))
      .map((s) => ({ id: s.id, label: s.label, done: ticks.has(s.id) })),
    waits: (await waitsOf(db, id)).map((w) => ({
      id: w.id,
      kind: w.kind,
      what: w.what,
      startedAt: w.started_at.toISOString(),
      endsAt: w.ends_at.toISOString(),
      endedAt: w.ended_at?.toISOString() ?? null,
    })),
    proofs: proofItems(kind, complaints).map((item) => {
      const made = proofs.find((p) => p.item === item.id);
      const earlier = inForce.find(
        (f) => item.before && f.check_id === item.before.check && (f.condition ?? undefined) === item.before.condition,
      );
      return {
        item: item.id,
        label: item.label,
        required: item.required,
        quantity: item.quantity,
        unit: item.quantity ? UNITS[item.quantity].base : null,
        result: made?.result ?? null,
        before: made ? made.before_value : (earlier?.value ?? null),
        after: made?.after_value ?? null,
        note: made?.note ?? '',
      };
    }),
    gauges: await keptGauges(db, id),
    partAgeDays: Object.fromEntries(ages.map((a) => [a.station, Math.floor((now - a.at.getTime()) / DAY)])),
    past: past
      .filter((p) => p.id !== id)
      .slice(0, 6)
      .map((p) => ({ id: p.id, takenInAt: p.taken_in_at.toISOString(), faults: p.faults ?? [], words: p.words })),
    currency: shop.currency,
    zone: shop.zone,
  };
}

/** What a check or a repair has opened on its way. */
function openedBy(kind: Kind, checkId: string): string[] {
  const repaired = knowledge.faults.find((f) => `repair:${f.id}` === checkId);
  const access = repaired ? repaired.repair.access : knowledge.checks.find((c) => c.id === checkId)?.access;
  return access ? accessPath(kind, access) : [];
}
