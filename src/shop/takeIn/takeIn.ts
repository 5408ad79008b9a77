import { stationsOf, type Kind } from '@/core/diagnosis/knowledge';
import { warrantyUntil } from '@/core/service/warranty';
import { insertCustomer, holdKeptCustomer, siteById } from '@/data/customers';
import { database, type Db } from '@/data/database';
import { jobState } from '@/data/jobState';
import { deleteDraft } from '@/data/deeds';
import {
  insertArrivalSigns,
  insertComplaints,
  insertConditionMarks,
  insertJob,
  insertTimeline,
  lastClosedJob,
  openJobOf,
} from '@/data/jobs';
import {
  insertMachine,
  insertMeterReading,
  lockKeptMachine,
  machineById,
  modelById,
  modelNamed,
  nextTag,
  putModel,
  refreshSearch,
  updateMachine,
  type MachineRow,
  type ModelRow,
} from '@/data/machines';
import { attachPhotographs } from '@/data/photographs';
import { shopSettings } from '@/data/shopSettings';
import { MAINS_VOLTS } from '@/core/units/supplyVolts';
import { kindById, knowledge } from '@/knowledge';
import { arrivalSigns, visits } from '@/knowledge/counter';
import type { Person } from '../access/person';
import { everyone } from '../access/roles';
import { once, shopDeed } from '../deed/deed';
import { unknownIds } from '../finding/unknownIds';
import { COMEBACK_DAYS } from '../jobView/openedLately';
import { foresee } from '../odds/foresee';
import { refreshPlans } from '../plans/refreshPlans';
import { ProblemError, refuseIf, type FieldProblem } from '../problem';
import { dayInZone } from '../settings/day';
import { TakeInDto, type NewModelDto } from './dto';

/** Form under which a half-filled take-in is kept. */
export const TAKE_IN_DRAFT = 'take-in';

/**
 * Takes a machine in: customer and machine are made when new, the job is opened and stands in Find. Refused with every field;
 * with 409 when the machine has an open job already.
 */
export const takeIn = shopDeed(
  {
    name: 'take-in',
    roles: everyone,
    summary: 'Take a machine in, with its owner and a bare model when they are new',
    // A machine that stands on the counter is taken in, whatever its plate says; the bench looks the model over.
    also: ['add-customer', 'put-model'],
    dto: TakeInDto,
  },
  async (person, dto): Promise<{ job: number; tag: string }> => {
    const taken = await opened(person, dto);
    const state = await jobState(database(), taken.job);
    if (state) foresee(state);
    return taken;
  },
);

function opened(person: Person, dto: TakeInDto): Promise<{ job: number; tag: string }> {
  return once(person, 'take-in', dto, '', async (db) => {
    const today = dayInZone(new Date(), (await shopSettings(db)).zone);
    const { model, known, customer, problems } = await look(db, dto, today);
    const kind = model ? kindById(model.kind) : null;
    const warranty = warrantyOf(dto, model, known, today);
    refuseIf([...problems, ...(kind ? idProblems(kind, dto) : []), ...warrantyProblems(dto, warranty)]);

    const customerId =
      customer?.id ?? (dto.newCustomer ? await insertCustomer(db, trimmed(dto.newCustomer)) : known!.customer_id);
    const machineId = known?.id ?? (await newMachine(db, dto, model!, customerId));
    const open = await openJobOf(db, machineId);
    if (open)
      throw new ProblemError(
        409,
        'This machine has an open job already.',
        [{ field: 'machineId', message: `See job ${open.id}.` }],
        { openJob: open.id },
      );
    if (known && dto.purchasedOn && dto.purchasedOn !== known.purchased_on)
      await updateMachine(db, known.id, bought(dto.purchasedOn, model!));
    if (known?.scrapped_on) await updateMachine(db, known.id, { scrapped_on: null });
    const comeback = await lastClosedJob(db, machineId, COMEBACK_DAYS, dto.complaints);
    const jobId = await insertJob(db, {
      machine_id: machineId,
      customer_id: customerId,
      words: dto.words,
      customer_diagnosis: dto.customerDiagnosis ?? null,
      opened_before: dto.openedBefore,
      opened_by: dto.openedBy?.trim() ?? '',
      picked_up: dto.pickedUp?.trim() ?? '',
      ever_wet: dto.everWet ?? 'not-asked',
      accessories: [...new Set((dto.accessories ?? []).map((a) => a.trim()).filter(Boolean))],
      warranty_choice: warranty ? dto.warrantyChoice! : 'none',
      comeback_of: comeback?.id ?? null,
      promised_on: dto.promisedOn,
      visit: dto.visit ?? '',
      taken_in_by: person.id,
    });
    await insertComplaints(db, jobId, dto.complaints);
    await insertArrivalSigns(db, jobId, dto.arrivalSigns);
    await insertConditionMarks(
      db,
      jobId,
      (dto.marks ?? []).map((m) => ({ station: m.station, text: m.text.trim() })),
    );
    const tell = (what: string, text: string) =>
      insertTimeline(db, { machine_id: machineId, job_id: jobId, what, text, person_id: person.id });
    await tell('taken-in', takenInText(dto));
    if (dto.words.trim()) await tell('said', dto.words.trim());
    if (warranty && dto.warrantyChoice === 'repair-here')
      await tell('warranty', `Under warranty until ${warranty}: the owner chose to have it repaired here.`);
    if (warranty && dto.warrantyChoice === 'authorised')
      await tell('warranty', `Under warranty until ${warranty}: the owner chose the authorised shop.`);
    if (comeback)
      await tell('comeback', `Comes back for the same complaint within ${COMEBACK_DAYS} days of job ${comeback.id}.`);
    if (dto.meterHours !== undefined) {
      await insertMeterReading(db, {
        machine_id: machineId,
        job_id: jobId,
        hours: dto.meterHours,
        person_id: person.id,
      });
      await refreshPlans(db, [machineId]);
      await tell('reading', `Hour meter ${dto.meterHours} h`);
    }
    const photographs = [...new Set(dto.photographs ?? [])];
    const given = await attachPhotographs(db, photographs, person.id, { machine_id: machineId, job_id: jobId });
    if (given < photographs.length)
      refuseIf([{ field: 'photographs', message: 'A photograph is not here any more: take it again.' }]);
    if (given > 0) await tell('photograph', `${given} photograph${given === 1 ? '' : 's'} on arrival`);
    await refreshSearch(db, machineId);
    await deleteDraft(db, person.id, TAKE_IN_DRAFT);
    return { job: jobId, tag: (await machineById(db, machineId))!.tag };
  });
}

/**
 * The model of the machine, machine and customer when they are known (as they are kept: what was merged since leads on), and
 * everything that is wrong with who and what.
 */
async function look(db: Db, dto: TakeInDto, today: string) {
  const problems: FieldProblem[] = [];
  const say = (field: string, message: string) => problems.push({ field, message });
  let model: ModelRow | undefined;
  let known: MachineRow | undefined;
  const customer = dto.customerId === undefined ? undefined : await holdKeptCustomer(db, dto.customerId);
  if (dto.machineId !== undefined && dto.newMachine) say('machineId', 'A known machine or a new one, not both.');
  else if (dto.machineId !== undefined) {
    known = await lockKeptMachine(db, dto.machineId);
    if (!known) say('machineId', 'This machine is not known.');
    else model = await modelById(db, known.model_id);
  } else if (dto.newMachine) {
    const { modelId, newModel } = dto.newMachine;
    if (newModel) {
      const named = await modelOfPlate(db, newModel);
      if ('problem' in named) problems.push(named.problem);
      else model = named.model;
    } else {
      model = modelId === undefined ? undefined : await modelById(db, modelId);
      if (!model) say('newMachine.modelId', 'This model is not in the list.');
    }
    if (dto.customerId === undefined && !dto.newCustomer)
      say('customerId', 'Whose machine is it? Choose a customer or add one.');
    const { siteId, purchasedOn } = dto.newMachine;
    const site = siteId === undefined ? undefined : await siteById(db, siteId);
    if (siteId !== undefined && (!site || site.customer_id !== customer?.id))
      say('newMachine.siteId', 'This site is not one of theirs.');
    if (purchasedOn && purchasedOn > today) say('newMachine.purchasedOn', 'This day has not come yet.');
  } else say('machineId', 'Which machine? Find it or add it.');
  if (dto.customerId !== undefined && dto.newCustomer) say('customerId', 'A known customer or a new one, not both.');
  if (dto.customerId !== undefined && !customer) say('customerId', 'This customer is not known.');
  if (dto.purchasedOn && dto.purchasedOn > today) say('purchasedOn', 'This day has not come yet.');
  if (dto.promisedOn < today) say('promisedOn', 'This day is past.');
  return { model, known, customer, problems };
}

function idProblems(kind: Kind, dto: TakeInDto): FieldProblem[] {
  const problems = unknownIds(kind, { complaints: dto.complaints });
  dto.arrivalSigns.forEach((id, i) => {
    if (!arrivalSigns.some((s) => s.id === id) || dto.arrivalSigns.indexOf(id) !== i)
      problems.push({ field: `arrivalSigns[${i}]`, message: `${id} is not known, or there twice.` });
  });
  const stations = stationsOf(kind);
  dto.marks?.forEach((mark, i) => {
    if (!stations.has(mark.station))
      problems.push({ field: `marks[${i}].station`, message: `${kind.id} has no part ${mark.station}.` });
  });
  const guess = dto.customerDiagnosis;
  if (guess !== undefined && !knowledge.faults.some((f) => f.id === guess && kind.id in f.kinds))
    problems.push({ field: 'customerDiagnosis', message: `${kind.id} has no fault ${guess}.` });
  return problems;
}

/** Last day of the warranty that is in force today, or null. */
function warrantyOf(
  dto: TakeInDto,
  model: ModelRow | undefined,
  known: MachineRow | undefined,
  today: string,
): string | null {
  const purchasedOn = dto.newMachine?.purchasedOn ?? dto.purchasedOn;
  const until =
    purchasedOn && purchasedOn <= today && model
      ? warrantyUntil(purchasedOn, model.warranty_months)
      : (known?.warranty_until ?? null);
  return until !== null && until >= today ? until : null;
}

/** Within the warranty the owner chooses, and the choice is written down. */
function warrantyProblems(dto: TakeInDto, until: string | null): FieldProblem[] {
  return until !== null && (dto.warrantyChoice ?? 'none') === 'none'
    ? [{ field: 'warrantyChoice', message: 'Warranty: here, or the authorised shop?' }]
    : [];
}

function bought(purchasedOn: string | undefined, model: ModelRow) {
  if (!purchasedOn) return {};
  return { purchased_on: purchasedOn, warranty_until: warrantyUntil(purchasedOn, model.warranty_months) };
}

/**
 * The model that a plate names: of the list when it is there under this name, else made here and now with nothing known of
 * it. It is undone with everything else when the take-in is refused.
 */
async function modelOfPlate(db: Db, plate: NewModelDto): Promise<{ model: ModelRow } | { problem: FieldProblem }> {
  const problem = (field: string, message: string) => ({ problem: { field: `newMachine.newModel.${field}`, message } });
  const kind = knowledge.kinds.find((k) => k.id === plate.kind);
  if (!kind) return problem('kind', 'Which kind of machine is it?');
  const [maker, name] = [plate.maker.trim(), plate.name.trim()];
  const known = await modelNamed(db, maker, name);
  if (known && known.kind !== kind.id)
    return problem('kind', `${known.maker} ${known.name} is in the list as another kind: choose it there.`);
  if (known) return { model: known };
  const isMains = kind.supply === 'mains' || kind.supply === 'air';
  const volts = plate.mainsV ?? (isMains ? (await shopSettings(db)).mains_v : undefined);
  if (volts === undefined || MAINS_VOLTS.includes(volts) !== isMains)
    return problem('mainsV', isMains ? 'The volts of the mains on its plate.' : 'The volts of its pack or batteries.');
  const id = await putModel(db, null, {
    maker,
    name,
    kind: kind.id,
    mains_v: volts,
    warranty_months: 0,
    belts: [],
    bearings: [],
    filters: [],
    dropped_stations: [],
    added_stations: [],
    note: 'Typed at the counter: look it over.',
    plates: {},
    sealed_battery: null,
  });
  return { model: (await modelById(db, id!))! };
}

async function newMachine(db: Db, dto: TakeInDto, model: ModelRow, customerId: number): Promise<number> {
  const m = dto.newMachine!;
  return insertMachine(db, {
    tag: await nextTag(db),
    model_id: model.id,
    customer_id: customerId,
    site_id: m.siteId ?? null,
    serial: m.serial.trim(),
    made_year: m.madeYear ?? null,
    pets: m.pets,
    hours_per_week: m.hoursPerWeek,
    ...bought(m.purchasedOn, model),
  });
}

function trimmed(c: NonNullable<TakeInDto['newCustomer']>) {
  return {
    kind: c.kind,
    name: c.name.trim(),
    phone: c.phone.trim(),
    email: c.email.trim(),
    address: c.address.trim(),
    standing: c.standing?.trim() ?? '',
  };
}

function takenInText(dto: TakeInDto): string {
  const complaints = dto.complaints.map((id) => knowledge.complaints.find((c) => c.id === id)!.label);
  const signs = dto.arrivalSigns.map((id) => arrivalSigns.find((s) => s.id === id)!.label.toLowerCase());
  return [
    complaints.join(', '),
    dto.visit ? `Here for ${visits.find((v) => v.id === dto.visit)!.says}` : '',
    signs.length > 0 ? `On arrival: ${signs.join(', ')}` : '',
    dto.accessories?.length ? `With it: ${dto.accessories.join(', ')}` : '',
  ]
    .filter(Boolean)
    .join('. ');
}
