import { POWER_CAUTIONS } from '@/core/diagnosis/benchState';
import { updateJob } from '@/data/jobs';
import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import type { JobView } from '../jobView/dto';
import { jobView } from '../jobView/jobView';
import { refuseIf, type FieldProblem } from '../problem';
import type { MoveStageDto } from './dto';

const LABELS = { find: 'Find', fit: 'Fit', prove: 'Prove', 'hand-back': 'Hand back' } as const;

/**
 * Moves a job along, or back.
 * @throws ProblemError 400 with what is still open, named one by one
 */
export function moveStage(person: Person, jobId: number, dto: MoveStageDto) {
  return jobDeed('move-stage', person, jobId, dto, async ({ db, job, tell }) => {
    if (job.stage === dto.to) return;
    refuseIf(standsInTheWay(await jobView(db, job.id), dto.to));
    await updateJob(db, job.id, { stage: dto.to });
    await tell('stage', `To ${LABELS[dto.to]}.`);
  });
}

/** What must be done before a machine may be powered for Prove, or may leave. */
export function standsInTheWay(view: JobView, to: MoveStageDto['to']): FieldProblem[] {
  const problems: FieldProblem[] = [];
  if (to === 'prove' || to === 'hand-back') {
    for (const wait of view.waits)
      if (!wait.endedAt) problems.push({ field: 'waits', message: 'A wait is still running: end it first.' });
    for (const step of view.rebuild)
      if (!step.done) problems.push({ field: `rebuild.${step.id}`, message: `Not done: ${step.label}.` });
    for (const caution of view.assessment.cautions)
      if (POWER_CAUTIONS.has(caution))
        problems.push({
          field: `cautions.${caution}`,
          message: 'A caution still holds back power: clear it by name in Find.',
        });
  }
  if (to === 'hand-back')
    for (const proof of view.proofs)
      if (proof.required && proof.result !== 'pass')
        problems.push({ field: `proofs.${proof.item}`, message: `Not proved: ${proof.label}.` });
  return problems;
}
