import { aspectOf } from '@/core/diagnosis/observe';
import { checksOf, type Kind } from '@/core/diagnosis/knowledge';
import { formatQuantity, type Quantity } from '@/core/units/units';
import { findingsOf, insertFinding, revokeFinding } from '@/data/jobs';
import { knowledge } from '@/knowledge';
import type { Person } from '../access/person';
import { readFindings } from '../finding/readFindings';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { RecordFindingsDto } from './dto';

/**
 * Answers one or more aspects of checks. An earlier answer to the same aspect is taken back, not deleted.
 * @throws ProblemError 400 for ids, units and numbers that the machine cannot have
 */
export function recordFindings(person: Person, jobId: number, dto: RecordFindingsDto) {
  return jobDeed('record-findings', person, jobId, dto, (scene) => answerChecks(scene, dto.findings));
}

/** The same within another deed. @throws ProblemError 400 for ids, units and numbers that the machine cannot have */
export async function answerChecks(
  { db, person, job, model, kind, tell }: DeedScene,
  findings: RecordFindingsDto['findings'],
): Promise<void> {
  const { answers, problems } = readFindings(kind, model.mains_v, findings);
  refuseIf(problems);
  const earlier = (await findingsOf(db, job.id)).filter((f) => !f.revoked_at);
  for (const answer of answers) {
    const mine = aspectKey(kind, answer);
    for (const old of earlier) {
      const key = aspectKey(kind, {
        check: old.check_id,
        ...(old.outcome === null ? { value: old.value! } : { outcome: old.outcome }),
        ...(old.condition ? { condition: old.condition } : {}),
      } as typeof answer);
      if (key === mine) await revokeFinding(db, job.id, old.id, person.id);
    }
    const base = { job_id: job.id, check_id: answer.check, person_id: person.id };
    if ('outcome' in answer) await insertFinding(db, { ...base, outcome: answer.outcome });
    else {
      const unit = readingOf(kind, answer.check, answer.condition)!.unit;
      await insertFinding(db, {
        ...base,
        value: answer.value,
        unit,
        ...(answer.condition ? { condition: answer.condition } : {}),
      });
    }
  }
  await tell('found', answers.map((a) => sentence(kind, a)).join('; '));
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
  const repaired = knowledge.faults.find((f) => `repair:${f.id}` === answer.check);
  if (repaired)
    return `${repaired.repair.label}: ${'outcome' in answer && answer.outcome === 'gone' ? 'gone' : 'still there'}`;
  const check = checkOf(kind, answer.check)!;
  const aspect = aspectOf(check, answer)!;
  const what = check.aspects.length > 1 ? `${check.label}, ${aspect.label.toLowerCase()}` : check.label;
  if ('outcome' in answer) return `${what}: ${aspect.outcomes.find((o) => o.id === answer.outcome)!.label}`;
  return `${what}: ${formatQuantity(aspect.reading!.quantity as Quantity, answer.value)}`;
}
