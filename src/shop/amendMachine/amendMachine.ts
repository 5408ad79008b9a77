import { warrantyUntil } from '@/core/service/warranty';
import { customerById, lockCustomer, siteById } from '@/data/customers';
import type { Db } from '@/data/database';
import { insertTimeline, openJobOf } from '@/data/jobs';
import {
  lockMachine,
  lockMachines,
  machineByTag,
  modelById,
  moveMachineRows,
  refreshSearch,
  updateMachine,
  type MachineRow,
} from '@/data/machines';
import { database } from '@/data/database';
import type { Person } from '../access/person';
import { counter, everyone } from '../access/roles';
import { deedOn, onVersion } from '../deed/deed';
import { machineCardOf } from '../machines/machines';
import { refreshPlans } from '../plans/refreshPlans';
import { notFound, refuseIf, type FieldProblem } from '../problem';
import { AmendMachineDto, ChangeOwnerDto, MergeMachinesDto } from './dto';

async function subject(tag: string) {
  const machine = await machineByTag(database(), tag);
  if (!machine) throw notFound(`Machine ${tag}`);
  return {
    id: machine.id,
    what: 'This machine',
    lock: (db: Db) => lockMachine(db, machine.id),
    view: (db: Db) => machineCardOf(db, tag),
  };
}

/** The machine, held after the owner-to-be: customers are held before machines, always. */
async function withOwner(tag: string, owner: number) {
  const machine = await subject(tag);
  const lock = async (db: Db) => {
    await lockCustomer(db, owner);
    return machine.lock(db);
  };
  return { ...machine, lock };
}

/** The machine, held together with the one whose book is to become part of its own. */
async function withOther(tag: string, otherTag: string) {
  const machine = await subject(tag);
  const lock = async (db: Db) => {
    const other = await machineByTag(db, otherTag);
    const held = await lockMachines(db, other ? [machine.id, other.id] : [machine.id]);
    return held.find((m) => m.id === machine.id);
  };
  return { ...machine, lock };
}

function told(db: Db, machine: MachineRow, person: Person, what: string, text: string) {
  return insertTimeline(db, { machine_id: machine.id, job_id: null, what, text, person_id: person.id });
}

/** Corrects a machine's card. What stood there before stays in the audit. @throws ProblemError 400, 404, 409 */
export const amendMachine = deedOn(
  { name: 'amend-machine', roles: everyone, summary: 'Correct the card', dto: AmendMachineDto },
  async (person, tag: string, dto) =>
    onVersion(person, 'amend-machine', dto, await subject(tag), async (db, machine) => {
      const problems: FieldProblem[] = [];
      const model = await modelById(db, dto.modelId);
      const before = (await modelById(db, machine.model_id))!;
      if (!model) problems.push({ field: 'modelId', message: 'This model is not in the list.' });
      else if (model.kind !== before.kind && (await openJobOf(db, machine.id)))
        problems.push({
          field: 'modelId',
          message: 'Another kind of machine while a job is open: hand it back first.',
        });
      if (dto.siteId !== null && (await siteById(db, dto.siteId))?.customer_id !== machine.customer_id)
        problems.push({ field: 'siteId', message: 'This site is not one of the owner’s.' });
      refuseIf(problems);
      const computed = dto.purchasedOn ? warrantyUntil(dto.purchasedOn, model!.warranty_months) : null;
      await updateMachine(db, machine.id, {
        model_id: dto.modelId,
        site_id: dto.siteId,
        serial: dto.serial.trim(),
        made_year: dto.madeYear,
        purchased_on: dto.purchasedOn,
        warranty_until: dto.warrantyUntil ?? computed,
        pets: dto.pets,
        hours_per_week: dto.hoursPerWeek,
        note: dto.note.trim(),
      });
      await refreshPlans(db, [machine.id]);
      if (dto.note.trim() !== machine.note)
        await told(db, machine, person, 'note', dto.note.trim() || 'The note to the next technician was taken away.');
      if (dto.modelId !== machine.model_id || dto.serial.trim() !== machine.serial)
        await told(
          db,
          machine,
          person,
          'corrected',
          `Card corrected: ${model!.maker} ${model!.name}, serial ${dto.serial.trim() || 'none'}.`,
        );
    }),
);

/** Gives the machine's book to another owner; what happened before stays in it. */
export const changeOwner = deedOn(
  { name: 'change-owner', roles: counter, summary: 'Give the book to another owner', dto: ChangeOwnerDto },
  async (person, tag: string, dto) =>
    onVersion(person, 'change-owner', dto, await withOwner(tag, dto.customerId), async (db, machine) => {
      const now = await customerById(db, dto.customerId);
      const before = (await customerById(db, machine.customer_id))!;
      refuseIf(
        !now || now.merged_into !== null || now.id === before.id
          ? [{ field: 'customerId', message: 'Choose another owner.' }]
          : [],
      );
      await updateMachine(db, machine.id, { customer_id: dto.customerId, site_id: null });
      await refreshPlans(db, [machine.id]);
      await told(db, machine, person, 'owner', `From ${before.name} to ${now!.name}.`);
    }),
);

/**
 * Two books of the same machine become one: jobs, parts, readings, photographs and plans go over; the other tag leads here.
 * @throws ProblemError 400 for itself, another kind, one merged already, or when both have an open job
 */
export const mergeMachines = deedOn(
  {
    name: 'merge-machines',
    roles: counter,
    summary: 'Make another machine’s book part of this one',
    dto: MergeMachinesDto,
  },
  async (person, tag: string, dto) =>
    onVersion(person, 'merge-machines', dto, await withOther(tag, dto.other), async (db, machine) => {
      const other = await machineByTag(db, dto.other);
      const problem = async (): Promise<string | null> => {
        if (!other) return `Machine ${dto.other} is not here.`;
        if (other.id === machine.id) return 'This is the same tag.';
        if (other.merged_into !== null) return 'It was merged before.';
        const kinds = [await modelById(db, other.model_id), await modelById(db, machine.model_id)].map((m) => m!.kind);
        if (kinds[0] !== kinds[1]) return 'They are of different kinds: correct the model first.';
        if ((await openJobOf(db, other.id)) && (await openJobOf(db, machine.id)))
          return 'Both have an open job: hand one back first.';
        return null;
      };
      const message = await problem();
      refuseIf(message ? [{ field: 'other', message }] : []);
      await moveMachineRows(db, other!.id, machine.id);
      await updateMachine(db, other!.id, { merged_into: machine.id });
      await updateMachine(db, machine.id, {
        serial: machine.serial || other!.serial,
        made_year: machine.made_year ?? other!.made_year,
        purchased_on: machine.purchased_on ?? other!.purchased_on,
        warranty_until: machine.warranty_until ?? other!.warranty_until,
        note: [machine.note, other!.note].filter(Boolean).join('\n'),
      });
      await refreshPlans(db, [machine.id, other!.id]);
      await refreshSearch(db, machine.id);
      await told(db, machine, person, 'corrected', `The book of ${other!.tag} was merged into this one.`);
    }),
);
