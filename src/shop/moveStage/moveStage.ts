import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { holdsOn } from '../jobDeed/underHold';
import type { WrittenFacts } from '../jobView/jobFacts';
import { refuseIf, type FieldProblem } from '../problem';
import { MoveStageDto } from './dto';

const LABELS = {
  find: 'Find',
  agree: 'Agree',
  strip: 'Strip',
  fit: 'Fit',
  prove: 'Prove',
  'hand-back': 'Hand back',
} as const;

/** Moves a job along, or back. Refused with what is still open, named one by one. */
export const moveStage = jobDeed({
  name: 'move-stage',
  roles: bench,
  summary: 'Move the job to a stage',
  dto: MoveStageDto,
  async work({ facts, tell, change }, dto) {
    if (facts.stage === dto.to) return;
    refuseIf(standsInTheWay(facts, dto.to));
    change({ stage: dto.to });
    tell('stage', `To ${LABELS[dto.to]}.`);
  },
});

/** What must be done before a machine may be powered for Prove, or may leave. */
export function standsInTheWay(facts: WrittenFacts, to: MoveStageDto['to']): FieldProblem[] {
  const problems: FieldProblem[] = [];
  if (to === 'prove' || to === 'hand-back') {
    for (const wait of facts.waits)
      if (!wait.endedAt) problems.push({ field: 'waits', message: 'A wait is still running: end it first.' });
    for (const step of facts.rebuild)
      // A repair that is not done is no obstacle: its fault stays open on the machine, and is told.
      if (!step.done && step.sort !== 'repair')
        problems.push({ field: `rebuild.${step.id}`, message: `Not done: ${step.label}.` });
    for (const loss of facts.strip.losses)
      if (!loss.settled)
        problems.push({
          field: `losses.${loss.id}`,
          message:
            loss.what === 'over'
              ? `Not settled: ${loss.count} left over.`
              : `Not settled: ${loss.count} ${loss.what} (${loss.step.replaceAll('-', ' ')}).`,
        });
    for (const caution of holdsOn(facts))
      problems.push({ field: `cautions.${caution}`, message: 'A caution still holds back power: clear it by name.' });
  }
  if (to === 'hand-back')
    for (const proof of facts.proofs)
      if (proof.required && proof.result !== 'pass')
        problems.push({ field: `proofs.${proof.item}`, message: `Not proved: ${proof.label}.` });
  return problems;
}
