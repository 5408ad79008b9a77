import { putRebuildTick, putRepairDone } from '@/data/jobs';
import { notYet } from '@/knowledge/notYet';
import { soakOf, waitAfter } from '@/knowledge/repairWork';
import { bench } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseUnderHold } from '../jobDeed/underHold';
import { procedureOf } from '../jobView/procedureOf';
import { repairWords } from '../markRepaired/repairWords';
import { refuseIf } from '../problem';
import { letLie } from '../startWait/startWait';
import { TickRebuildDto } from './dto';

/**
 * Ticks a line of the way back, or takes the tick back. The last step of a repair says that it is done, and starts the clock
 * that the repair must wait for; so does what is closed with glue or sealant, and a first step that soaks.
 */
export const tickRebuild = jobDeed({
  name: 'tick-rebuild',
  roles: bench,
  summary: 'Tick a step of the way back',
  dto: TickRebuildDto,
  touches: ['ticks', 'repairs', 'repairedAt', 'waits'],
  async work(scene, dto) {
    const { db, jobId, person, facts } = scene;
    const line = facts.rebuild.find((s) => s.id === dto.step);
    if (!line) return refuseIf([{ field: 'step', message: `There is no step ${dto.step} on the way back.` }]);
    if (line.sort === 'trial' && dto.done) refuseUnderHold(facts, 'The trial run');
    const waits = dto.done ? notYet(line, facts.waits) : '';
    refuseIf(waits === '' ? [] : [{ field: 'step', message: waits }]);
    await putRebuildTick(db, jobId, dto.step, person.id, dto.done);
    if (line.fault !== null) {
      const first = facts.rebuild.find((l) => l.fault === line.fault)!;
      if (dto.done && line === first && !facts.repaired.includes(line.fault)) await letLie(scene, soakOf(line.fault));
      await repairGoesOn(scene, line.fault, dto);
    }
    if (line.sort !== 'close' || !dto.done) return;
    const closed = procedureOf(scene.kind, scene.state).steps.find((s) => s.id === line.step);
    await letLie(scene, closed?.back.waits);
  },
});

async function repairGoesOn(scene: DeedScene, fault: string, { step, done }: TickRebuildDto): Promise<void> {
  const { db, jobId, person, facts, state, tell } = scene;
  const left = facts.rebuild.filter((l) => l.fault === fault && l.id !== step && !l.done);
  if (done ? left.length > 0 : !facts.repaired.includes(fault)) return;
  await putRepairDone(db, jobId, fault, person.id, done);
  tell('repaired', repairWords(facts, state, fault, done));
  // Said to be done before its last line was ticked, its clock has run since.
  if (done && !facts.repaired.includes(fault)) await letLie(scene, waitAfter(scene.kind.id, fault, state.fitted));
}
