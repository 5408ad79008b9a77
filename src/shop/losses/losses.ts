import { mayEnd } from '@/core/strip/tray';
import { insertLoss, settleLoss as settle } from '@/data/strip';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { procedureOf } from '../jobView/procedureOf';
import { notFound, refuseIf } from '../problem';
import { beginWait } from '../startWait/startWait';
import { NoteLossDto, SettleLossDto } from './dto';

const SAYS = {
  missing: 'missing on arrival, owed to the owner',
  broken: 'broken',
  lost: 'lost here',
  rusted: 'rusted fast, not forced',
  over: 'left over when all is back',
} as const;
const ENDS = {
  replaced: 'replaced',
  told: 'left so, the owner is told',
  freed: 'freed',
  placed: 'found its place',
} as const;

/** Something is not as it should be with the loose pieces of a step; what is rusted is given hours, not force. */
export const noteLoss = jobDeed({
  name: 'note-loss',
  roles: bench,
  summary: 'Note a screw that is missing, broken, lost or rusted',
  dto: NoteLossDto,
  async work(scene, dto) {
    const { db, jobId, kind, person, state, tell } = scene;
    const step = procedureOf(kind, state).steps.find((s) => s.id === dto.step);
    if (!step) return refuseIf([{ field: 'step', message: `${kind.id} has no step ${dto.step}.` }]);
    const most = step.fasteners.reduce((sum, f) => sum + f.count, 0);
    refuseIf(
      dto.what !== 'over' && dto.count > most
        ? [
            {
              field: 'count',
              message: most === 0 ? 'Nothing loose belongs to this step.' : `Only ${most} belong to this step.`,
            },
          ]
        : [],
    );
    await insertLoss(db, { job_id: jobId, step: step.id, what: dto.what, count: dto.count, person_id: person.id });
    tell('strip', `${step.label}: ${dto.count} ${SAYS[dto.what]}`);
    if (dto.what === 'rusted' && dto.soakHours !== undefined)
      await beginWait(scene, {
        kind: 'soaking',
        what: `penetrant on ${dto.count}: ${step.label}`.slice(0, 200),
        hours: dto.soakHours,
      });
  },
});

/** Says how it ended. */
export const settleLoss = jobDeed({
  name: 'settle-loss',
  roles: bench,
  summary: 'Say how a missing or broken screw was settled',
  dto: SettleLossDto,
  async work({ db, jobId, facts, tell }, dto) {
    const loss = facts.strip.losses.find((l) => l.id === dto.loss);
    refuseIf(
      loss && !mayEnd(loss.what).includes(dto.how)
        ? [{ field: 'how', message: `What is ${loss.what} ends otherwise: ${mayEnd(loss.what).join(', ')}.` }]
        : [],
    );
    if (!loss || !(await settle(db, jobId, dto.loss, dto.how))) throw notFound('This loss');
    tell('strip', `${loss.count} ${SAYS[loss.what]}: ${ENDS[dto.how]}`);
  },
});
