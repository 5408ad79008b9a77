import { repairedFault } from '@/core/diagnosis/doing';
import { checksOf, type Kind } from '@/core/diagnosis/knowledge';
import { aspectOf } from '@/core/diagnosis/observe';
import { formatQuantity } from '@/core/units/units';
import { insertFindings, revokeFindings } from '@/data/jobs';
import { faultById, knowledge } from '@/knowledge';
import { bench } from '../access/roles';
import { readFindings } from '../finding/readFindings';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseUnderHold } from '../jobDeed/underHold';
import { beforeNow } from '../finding/beforeNow';
import { ProblemError, refuseIf } from '../problem';
import { RecordFindingsDto } from './dto';

/**
 * Answers one or more aspects of checks. An earlier answer to the same aspect is taken back, not deleted, unless something was
 * repaired or reset since: then both are true, each of its own state of the machine. Refused at its field
 * for ids, units and numbers that the machine cannot have, and for what needs power while power is held back.
 */
export const recordFindings = jobDeed({
  name: 'record-findings',
  roles: bench,
  summary: 'Answer checks',
  dto: RecordFindingsDto,
  touches: ['findings'],
  async work(scene, dto) {
    const { shown } = dto;
    if (shown !== undefined && dto.findings.some((f) => f.check !== shown))
      throw new ProblemError(409, 'Another check was shown than the one that was answered. Nothing was written.');
    await answerChecks(scene, dto.findings);
  },
});

/** The same within another deed. @throws ProblemError 400 for ids, units and numbers that the machine cannot have; 409 under a hold */
export async function answerChecks(
  { db, person, jobId, state, facts, kind, tell }: DeedScene,
  findings: RecordFindingsDto['findings'],
): Promise<void> {
  const { answers, problems } = readFindings(kind, state.model.mains_v, findings);
  refuseIf(problems);
  // What was run before the hold may still be put right; nothing new is run under it.
  const made = new Set(state.findings.filter((f) => f.revoked_at === null).map((f) => f.check_id));
  const powered = answers.find((a) => !made.has(a.check) && needsPower(kind, a.check));
  if (powered) refuseUnderHold(facts, labelOf(kind, powered.check));
  const answered = new Set(answers.map((a) => aspectKey(kind, a)));
  const before = beforeNow(kind, state);
  const replaced = state.findings.filter(
    (f) =>
      f.revoked_at === null &&
      !before.has(f.id) &&
      answered.has(
        aspectKey(kind, {
          check: f.check_id,
          ...(f.outcome === null ? { value: f.value! } : { outcome: f.outcome }),
          ...(f.condition ? { condition: f.condition } : {}),
        } as AnyAnswer),
      ),
  );
  if (replaced.length > 0)
    await revokeFindings(
      db,
      jobId,
      replaced.map((f) => f.id),
      person.id,
    );
  await insertFindings(
    db,
    answers.map((a) => ({
      job_id: jobId,
      check_id: a.check,
      person_id: person.id,
      outcome: 'outcome' in a ? a.outcome : null,
      value: 'outcome' in a ? null : a.value,
      unit: 'outcome' in a ? null : readingOf(kind, a.check, a.condition)!.unit,
      condition: 'outcome' in a ? null : (a.condition ?? null),
    })),
  );
  tell('found', answers.map((a) => sentence(kind, a)).join('; '));
}

function needsPower(kind: Kind, checkId: string): boolean {
  const repaired = repairedFault(checkId);
  if (repaired !== null) return faultById(repaired)!.repair.power;
  return checkOf(kind, checkId)?.power !== 'no';
}

function labelOf(kind: Kind, checkId: string): string {
  const repaired = repairedFault(checkId);
  if (repaired !== null) return faultById(repaired)!.repair.label;
  return checkOf(kind, checkId)!.label;
}

type AnyAnswer = Parameters<typeof aspectOf>[1];

function checkOf(kind: Kind, id: string) {
  return checksOf(knowledge, kind.id).find((c) => c.id === id);
}

function aspectKey(kind: Kind, answer: AnyAnswer): string {
  const check = checkOf(kind, answer.check);
  return check ? `${check.id}/${aspectOf(check, answer)?.id}` : answer.check;
}

function readingOf(kind: Kind, checkId: string, condition: string | undefined) {
  const check = checkOf(kind, checkId);
  return check && aspectOf(check, { check: checkId, value: 0, ...(condition ? { condition } : {}) })?.reading;
}

function sentence(kind: Kind, answer: AnyAnswer): string {
  const repaired = repairedFault(answer.check);
  if (repaired !== null) {
    const { repair } = faultById(repaired)!;
    return `${repair.label}: ${'outcome' in answer && answer.outcome === 'gone' ? 'gone' : 'still there'}`;
  }
  const check = checkOf(kind, answer.check)!;
  const aspect = aspectOf(check, answer)!;
  const what = check.aspects.length > 1 ? `${check.label}, ${aspect.label.toLowerCase()}` : check.label;
  if ('outcome' in answer) return `${what}: ${aspect.outcomes.find((o) => o.id === answer.outcome)!.label}`;
  return `${what}: ${formatQuantity(aspect.reading!.quantity, answer.value)}`;
}
