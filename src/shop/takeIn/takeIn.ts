import type { Kind } from '@/core/diagnosis/knowledge';
import { customerById, insertCustomer } from '@/data/customers';
import { database, type Db } from '@/data/database';
import { claimDeed, deleteDraft, storeDeedAnswer } from '@/data/deeds';
import { insertArrivalSigns, insertComplaints, insertJob, insertTimeline, openJobOf, setNextAction } from '@/data/jobs';
import { insertMachine, machineById, modelById, nextTag, refreshSearch, type ModelRow } from '@/data/machines';
import { shopSettings } from '@/data/shopSettings';
import { kindById, knowledge } from '@/knowledge';
import { arrivalSigns } from '@/knowledge/bench';
import type { Person } from '../access/person';
import { unknownIds } from '../finding/finding';
import { jobView } from '../jobView/jobView';
import { nextActionOf } from '../jobView/nextAction';
import { ProblemError, refuseIf, type FieldProblem } from '../problem';
import { dayInZone } from '../settings/day';
import type { TakeInDto } from './dto';

/** Form under which a half-filled take-in is kept. */
export const TAKE_IN_DRAFT = 'take-in';

/**
 * Takes a machine in: customer and machine are made when new, the job is opened and stands in Find.
 * @throws ProblemError 400 with every field; 409 when the machine has an open job already
 */
export async function takeIn(person: Person, dto: TakeInDto): Promise<{ job: number; tag: string }> {
  return database().transaction(async (db) => {
    const before = await claimDeed(db, dto.key, person.id, 'take-in');
    if (before) return before.answer as { job: number; tag: string };
    const { model, problems } = await look(db, dto);
    const kind = model ? kindById(model.kind) : null;
    refuseIf([...problems, ...(kind ? idProblems(kind, dto) : [])]);

    const known = dto.machineId === undefined ? undefined : (await machineById(db, dto.machineId))!;
    const customerId =
      dto.customerId ?? (dto.newCustomer ? await insertCustomer(db, trimmed(dto.newCustomer)) : known!.customer_id);
    const machineId = known?.id ?? (await newMachine(db, dto, customerId));
    const open = await openJobOf(db, machineId);
    if (open)
      throw new ProblemError(
        409,
        'This machine has an open job already.',
        [{ field: 'machineId', message: `See job ${open.id}.` }],
        { openJob: open.id },
      );
    const jobId = await insertJob(db, {
      machine_id: machineId,
      customer_id: customerId,
      words: dto.words,
      customer_diagnosis: dto.customerDiagnosis ?? null,
      opened_before: dto.openedBefore,
      promised_on: dto.promisedOn,
      taken_in_by: person.id,
    });
    await insertComplaints(db, jobId, dto.complaints);
    await insertArrivalSigns(db, jobId, dto.arrivalSigns);
    await insertTimeline(db, {
      machine_id: machineId,
      job_id: jobId,
      what: 'taken-in',
      text: takenInText(dto),
      person_id: person.id,
    });
    await refreshSearch(db, machineId);
    const view = await jobView(db, jobId);
    await setNextAction(db, jobId, nextActionOf(view));
    await deleteDraft(db, person.id, TAKE_IN_DRAFT);
    const answer = { job: jobId, tag: view.machine.tag };
    await storeDeedAnswer(db, dto.key, answer);
    return answer;
  });
}

/** The model of the machine, and everything that is wrong with who and what. */
async function look(db: Db, dto: TakeInDto): Promise<{ model: ModelRow | undefined; problems: FieldProblem[] }> {
  const problems: FieldProblem[] = [];
  const say = (field: string, message: string) => problems.push({ field, message });
  let model: ModelRow | undefined;
  if (dto.machineId !== undefined && dto.newMachine) say('machineId', 'A known machine or a new one, not both.');
  else if (dto.machineId !== undefined) {
    const machine = await machineById(db, dto.machineId);
    if (!machine) say('machineId', 'This machine is not known.');
    else model = await modelById(db, machine.model_id);
  } else if (dto.newMachine) {
    model = await modelById(db, dto.newMachine.modelId);
    if (!model) say('newMachine.modelId', 'This model is not in the list.');
    if (dto.customerId === undefined && !dto.newCustomer)
      say('customerId', 'Whose machine is it? Choose a customer or add one.');
  } else say('machineId', 'Which machine? Find it or add it.');
  if (dto.customerId !== undefined && dto.newCustomer) say('customerId', 'A known customer or a new one, not both.');
  if (dto.customerId !== undefined && !(await customerById(db, dto.customerId)))
    say('customerId', 'This customer is not known.');
  const today = dayInZone(new Date(), (await shopSettings(db)).zone);
  if (dto.promisedOn < today) say('promisedOn', 'This day is past.');
  return { model, problems };
}

function idProblems(kind: Kind, dto: TakeInDto): FieldProblem[] {
  const problems = unknownIds(kind, { complaints: dto.complaints });
  dto.arrivalSigns.forEach((id, i) => {
    if (!arrivalSigns.some((s) => s.id === id) || dto.arrivalSigns.indexOf(id) !== i)
      problems.push({ field: `arrivalSigns[${i}]`, message: `${id} is not known, or there twice.` });
  });
  const guess = dto.customerDiagnosis;
  if (guess !== undefined && !knowledge.faults.some((f) => f.id === guess && kind.id in f.kinds))
    problems.push({ field: 'customerDiagnosis', message: `${kind.id} has no fault ${guess}.` });
  return problems;
}

async function newMachine(db: Db, dto: TakeInDto, customerId: number): Promise<number> {
  const m = dto.newMachine!;
  return insertMachine(db, {
    tag: await nextTag(db),
    model_id: m.modelId,
    customer_id: customerId,
    serial: m.serial.trim(),
    made_year: m.madeYear ?? null,
    pets: m.pets,
    hours_per_week: m.hoursPerWeek,
  });
}

function trimmed(c: NonNullable<TakeInDto['newCustomer']>) {
  return { kind: c.kind, name: c.name.trim(), phone: c.phone.trim(), email: c.email.trim(), address: c.address.trim() };
}

function takenInText(dto: TakeInDto): string {
  const labels = dto.complaints.map((id) => knowledge.complaints.find((c) => c.id === id)!.label);
  return `${labels.join(', ')}${dto.words.trim() ? `. In the customer’s words: “${dto.words.trim()}”` : ''}`;
}
