import { bestOrder } from '@/core/strip/bestOrder';
import { changedBy, type Change } from '@/core/strip/changed';
import type { Fastener, Procedure } from '@/core/strip/procedure';
import { stepsToOpen } from '@/core/strip/reach';
import { wayBack } from '@/core/strip/wayBack';
import { database } from '@/data/database';
import { models } from '@/data/machines';
import { dropModelPhotographs, putModelPhotograph } from '@/data/photographs';
import { insertProcedure, procedureVersions, stepTimes, type ProcedureRow } from '@/data/strip';
import { knowledge } from '@/knowledge';
import { procedures } from '@/knowledge/kinds';
import { repairNeeds, worksOf } from '@/knowledge/repairWork';
import { bench } from '../access/roles';
import { deedOn, once } from '../deed/deed';
import { jobDeed } from '../jobDeed/jobDeed';
import { stepView } from '@/knowledge/stepView';
import { changesOf } from '../jobView/procedureOf';
import { notFound, ProblemError, refuseIf, type FieldProblem } from '../problem';
import {
  PROCEDURE_FORM,
  PutProcedureDto,
  RememberStepDto,
  type ChangeDto,
  type ProcedureBook,
  type StepTime,
} from './dto';

const kindOf = (id: string) => {
  const kind = knowledge.kinds.find((k) => k.id === id);
  if (!kind) throw notFound('This kind');
  return kind;
};

/** The procedure of a kind. @throws ProblemError 404 */
export function kindProcedure(kindId: string): ProcedureBook {
  return bookOf(kindOf(kindId).id, null, []);
}

/** The procedure of a model as it stands now. @throws ProblemError 404 */
export async function modelProcedure(modelId: number): Promise<ProcedureBook> {
  const model = (await models(database())).find((m) => m.id === modelId);
  if (!model) throw notFound('This model');
  const versions = await procedureVersions(database(), modelId);
  return bookOf(model.kind, { id: model.id, maker: model.maker, name: model.name }, versions);
}

function bookOf(kindId: string, model: ProcedureBook['model'], rows: readonly ProcedureRow[]): ProcedureBook {
  const [row] = rows;
  const changes = (row?.changes ?? []) as Change[];
  const { procedure, problems } = changedBy(procedures[kindId]!, changes);
  return {
    form: PROCEDURE_FORM,
    kind: kindId,
    model,
    version: row?.version ?? 0,
    by: row?.person ?? '',
    at: row?.at.toISOString() ?? null,
    why: row?.why ?? '',
    versions: rows.map((r) => ({
      version: r.version,
      by: r.person ?? '',
      at: r.at.toISOString(),
      why: r.why,
      changes: r.changes.length,
    })),
    changes,
    problems,
    steps: procedure.steps.map((s) => ({
      ...stepView(knowledge, kindOf(kindId), s),
      needs: s.needs,
      back: {
        label: s.back.label,
        minutes: s.back.minutes,
        checks: s.back.checks.map((c) => c.label),
        trial: s.back.trial,
      },
    })),
  };
}

/** How long the steps of a model take, from presses: medians with how many stand behind them. @throws ProblemError 404 */
export async function modelTimes(modelId: number): Promise<{ times: StepTime[] }> {
  if (!(await models(database())).some((m) => m.id === modelId)) throw notFound('This model');
  return { times: await stepTimes(database(), modelId) };
}

/**
 * The way in to some repairs and back again, on a kind or on a model of it.
 * @param faults faults that are to be mended
 * @throws ProblemError 404; 400 for a fault that the kind does not have
 */
export function wayFor(kindId: string, faults: readonly string[], changes: readonly Change[] = []) {
  const kind = kindOf(kindId);
  const strange = faults.filter((id) => !knowledge.faults.some((f) => f.id === id && kindId in f.kinds));
  refuseIf(strange.map((id) => ({ field: 'faults', message: `${kindId} has no fault ${id.slice(0, 60)}.` })));
  const { procedure }: { procedure: Procedure } = changedBy(procedures[kindId]!, changes);
  const works = worksOf(kindId, [...new Set(faults)]);
  const order = bestOrder(
    stepsToOpen(
      procedure,
      kind.access,
      works.map((w) => w.access),
    ),
  );
  return {
    kind: kindId,
    faults: works.map((w) => ({ fault: w.fault, ...repairNeeds(w.fault) })),
    ...order,
    steps: order.steps.map((s) => stepView(knowledge, kind, s)),
    back: wayBack(procedure, order.steps, works),
  };
}

/** Writes how a model differs from its kind, as a new version: nothing that was written before is lost. */
export const putProcedure = deedOn(
  { name: 'put-procedure', roles: bench, summary: 'Change a model’s procedure', dto: PutProcedureDto },
  async (person, id: number, dto): Promise<ProcedureBook> => {
    const before = await modelProcedure(id);
    const changes = dto.changes.map(changeOf);
    refuseIf(
      changes.flatMap((c, i) => (Array.isArray(c) ? c.map((p) => ({ ...p, field: `changes[${i}].${p.field}` })) : [])),
    );
    const { problems } = changedBy(procedures[before.kind]!, changes as Change[]);
    refuseIf(problems.map((p) => ({ field: `changes[${p.change}]`, message: p.message })));
    await once(person, putProcedure.spec.name, dto, id, async (db) => {
      const [now] = await procedureVersions(db, id);
      if ((now?.version ?? 0) !== dto.version)
        throw new ProblemError(409, 'Somebody changed this procedure meanwhile.', [], {
          current: await modelProcedure(id),
        });
      return { version: await insertProcedure(db, id, changes as Change[], dto.why.trim(), person.id) };
    });
    return modelProcedure(id);
  },
);

/** What a change of a file says, or what is missing in it. */
function changeOf(dto: ChangeDto): Change | FieldProblem[] {
  const { sort, step } = dto;
  const missing = (...names: (keyof ChangeDto)[]): FieldProblem[] =>
    names.filter((n) => dto[n] === undefined).map((field) => ({ field, message: `A change by ${sort} says it.` }));
  switch (sort) {
    case 'drop':
      return { sort, step };
    case 'note':
      return dto.text === undefined ? missing('text') : { sort, step, text: dto.text.trim() };
    case 'fasteners':
      return dto.fasteners === undefined ? missing('fasteners') : { sort, step, fasteners: dto.fasteners };
    case 'move':
      return dto.after === undefined ? missing('after') : { sort, step, after: dto.after };
    case 'add': {
      const { after, label, minutes, back, backMinutes } = dto;
      if (
        after === undefined ||
        label === undefined ||
        minutes === undefined ||
        back === undefined ||
        backMinutes === undefined
      )
        return missing('after', 'label', 'minutes', 'back', 'backMinutes');
      return { sort, step, after, label, minutes, back, backMinutes, lie: dto.lie ?? null, tool: dto.tool ?? '' };
    }
  }
}

/** Remembers one step for every machine of the model, from the machine that lies open. */
export const rememberStep = jobDeed({
  name: 'remember-step',
  roles: bench,
  summary: 'Remember a step for the model',
  dto: RememberStepDto,
  async work({ db, jobId, kind, person, state, tell }, dto) {
    const { step: id, sort } = dto;
    const before = changesOf(state);
    const own = changedBy(procedures[kind.id]!, before).procedure.steps.find((s) => s.id === id);
    // One that was left out can be had again.
    const gone = procedures[kind.id]!.steps.find((s) => s.id === id);
    if (!own && !(sort === 'as-its-kind' && gone))
      return refuseIf([{ field: 'step', message: `${state.model.name} has no step ${id}.` }]);
    const { model } = state;
    const label = (own ?? gone)!.label;
    const at = { model_id: model.id, step: id, person_id: person.id };
    if (sort === 'photograph') {
      const put = dto.photograph !== undefined && (await putModelPhotograph(db, at, dto.photograph, jobId));
      refuseIf(put ? [] : [{ field: 'photograph', message: 'This photograph is not one of this job.' }]);
    } else {
      if (sort === 'as-its-kind') await dropModelPhotographs(db, model.id, id);
      await insertProcedure(db, model.id, remembered(before, dto, own, procedures[kind.id]!), '', person.id);
    }
    tell('strip', `For every ${model.maker} ${model.name}: ${SAYS[sort]} “${label}”`);
  },
});

/** What changes of the model from now on. @throws ProblemError 400 that names the field that is missing or cannot be */
function remembered(
  before: readonly Change[],
  dto: RememberStepDto,
  own: Procedure['steps'][number] | undefined,
  procedure: Procedure,
): Change[] {
  const { step: id } = dto;
  const rest = (...sorts: Change['sort'][]) => before.filter((c) => c.step !== id || !sorts.includes(c.sort));
  const fasteners = own?.fasteners ?? [];
  const all = ((): Change[] => {
    switch (dto.sort) {
      case 'drop': {
        const added = before.find((c) => c.step === id && c.sort === 'add');
        if (added?.sort !== 'add') return [...rest('drop', 'note', 'fasteners', 'move'), { sort: 'drop', step: id }];
        // One that was added is no step of the kind: it is only forgotten. What came after it comes after what it came after.
        return rest('add', 'drop', 'note', 'fasteners', 'move').map((c) =>
          'after' in c && c.after === id ? { ...c, after: added.after } : c,
        );
      }
      case 'note':
        if (!dto.text?.trim()) refuseIf([{ field: 'text', message: 'What is to be remembered?' }]);
        return [...rest('note'), { sort: 'note', step: id, text: dto.text!.trim() }];
      case 'count':
        if (dto.counts?.length !== fasteners.length || fasteners.length === 0)
          refuseIf([{ field: 'counts', message: `${fasteners.length} numbers belong to this step.` }]);
        if (dto.lengths && dto.lengths.length !== fasteners.length)
          refuseIf([{ field: 'lengths', message: `${fasteners.length} lengths belong to this step.` }]);
        return [
          ...rest('fasteners'),
          {
            sort: 'fasteners',
            step: id,
            fasteners: fasteners.map((f, i) => withLength({ ...f, count: dto.counts![i]! }, dto.lengths?.[i])),
          },
        ];
      case 'move':
        if (dto.after === undefined) refuseIf([{ field: 'after', message: 'After which step does it come?' }]);
        return [...rest('move'), { sort: 'move', step: id, after: dto.after! }];
      case 'add': {
        const { label = '', back = '' } = dto;
        refuseIf([
          ...(label.trim() ? [] : [{ field: 'label', message: 'What is done there?' }]),
          ...(back.trim() ? [] : [{ field: 'back', message: 'What is done on the way back?' }]),
        ]);
        const minutes = dto.minutes ?? 0.5;
        return [
          ...before,
          {
            sort: 'add',
            step: freeId(label, [...procedure.steps.map((s) => s.id), ...before.map((c) => c.step)]),
            after: id,
            label: label.trim(),
            lie: null,
            tool: dto.tool?.trim() ?? '',
            minutes,
            back: back.trim(),
            backMinutes: minutes,
          },
        ];
      }
      default:
        return rest('drop', 'note', 'fasteners', 'move');
    }
  })();
  const { problems } = changedBy(procedure, all);
  // Of what was remembered before, something may not fit the kind any more: that is not this press’s fault.
  const strange = problems.find((p) => all[p.change]!.step === id || p.change === all.length - 1);
  refuseIf(strange ? [{ field: dto.sort === 'move' ? 'after' : 'step', message: strange.message }] : []);
  return all;
}

/** @param length empty where it does not matter; as before when absent */
function withLength(
  { length: before, ...rest }: Fastener,
  length: NonNullable<RememberStepDto['lengths']>[number] | undefined,
): Fastener {
  const now = length === undefined ? before : length || undefined;
  return now === undefined ? rest : { ...rest, length: now };
}

/** An id from the words of a step, unlike all others. */
function freeId(label: string, taken: readonly string[]): string {
  const stem = `own-${label
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 44)}`;
  let id = stem;
  for (let n = 2; taken.includes(id); n++) id = `${stem}-${n}`;
  return id;
}

const SAYS = {
  drop: 'no step',
  note: 'a note on',
  count: 'another count at',
  move: 'another place for',
  add: 'a step more after',
  photograph: 'a photograph of',
  'as-its-kind': 'as its kind again',
} as const;
