import { notAgreed } from '@/core/agree/standing';
import { closingOf, trialOf } from '@/core/strip/wayBack';
import { takeBackTicks } from '@/data/jobs';
import { putStripStep, takeBackStripStep } from '@/data/strip';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { procedureOf } from '../jobView/procedureOf';
import { refuseIf } from '../problem';
import { StripStepDto } from './dto';

/** One step of the way in: done, not on this machine, or taken back. What is opened again must be closed again. */
export const stripStep = jobDeed({
  name: 'strip-step',
  roles: bench,
  summary: 'Press a step of the way in',
  dto: StripStepDto,
  touches: ['stripped', 'ticks'],
  async work({ db, jobId, kind, person, facts, state, tell }, dto) {
    const procedure = procedureOf(kind, state);
    const step = procedure.steps.find((s) => s.id === dto.step);
    if (!step) return refuseIf([{ field: 'step', message: `${kind.id} has no step ${dto.step}.` }]);
    const { done, absent } = facts.strip;
    const shutAgain = new Set(facts.rebuild.filter((l) => l.sort === 'close' && l.done).map((l) => l.step));
    const behind = new Set([...done, ...absent].map((s) => s.id).filter((id) => !shutAgain.has(id)));
    if (dto.state === 'undone') {
      // What was opened on the way of a check is a fact of that finding: it is taken back there.
      refuseIf(
        [...done, ...absent].some((s) => s.id === step.id && s.pressed)
          ? []
          : [{ field: 'step', message: 'This step was not pressed.' }],
      );
      const later = done.filter(
        (s) => s.pressed && procedure.steps.some((p) => p.id === s.id && p.needs.includes(step.id)),
      );
      refuseIf(later.map((s) => ({ field: 'step', message: `First take back: ${s.label}.` })));
      await takeBackStripStep(db, jobId, step.id);
      return;
    }
    if (dto.state === 'done') {
      // To find out, it is opened as far as it takes; to mend, when the owner agreed.
      refuseIf(
        facts.stage === 'find' || facts.agree.mayOpen
          ? []
          : [{ field: 'step', message: notAgreed(facts.agree.standing) }],
      );
      const first = step.needs.filter((id) => !behind.has(id) && !stoodInFor(id));
      refuseIf(
        first.map((id) => ({ field: 'step', message: `First: ${procedure.steps.find((s) => s.id === id)!.label}.` })),
      );
      const shut = [closingOf(step.id), trialOf(step.id), ...step.back.checks.map((c) => c.id)];
      if (facts.rebuild.some((line) => line.done && shut.includes(line.id))) await takeBackTicks(db, jobId, shut);
    }
    await putStripStep(db, jobId, step.id, dto.state, person.id);
    if (dto.state === 'not-here') tell('strip', `Not on this machine: ${step.label}`);

    function stoodInFor(id: string): boolean {
      return procedure.steps.find((s) => s.id === id)!.instead.some((other) => behind.has(other));
    }
  },
});
