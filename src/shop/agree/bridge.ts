import { insertBridge } from '@/data/agree';
import { faultById } from '@/knowledge';
import { followed, schools, type SchoolChoices } from '@/knowledge/schools';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { BridgeDto } from './dto';

const INTERLOCK = schools.find((s) => s.id === 'interlock')!;

/**
 * Bridges a protection that failed: only where the school of the shop or of this job allows it, with the owner’s words on
 * record, a label on the machine, and never where a local rule forbids it. It stays in the machine’s history.
 */
export const bridge = jobDeed({
  name: 'bridge',
  roles: bench,
  summary: 'Bridge a failed tilt or seat switch, with the owner’s consent on record',
  dto: BridgeDto,
  async work({ db, jobId, machineId, person, state, facts, tell }, dto) {
    const side = followed(INTERLOCK, state.shop.schools as SchoolChoices, facts.agree.schools);
    const fault = faultById(dto.fault);
    refuseIf([
      ...(side === 'b'
        ? []
        : [{ field: 'fault', message: 'The shop replaces such a switch: choose the other school first.' }]),
      ...(INTERLOCK.faults!.includes(dto.fault) && facts.proved.includes(dto.fault)
        ? []
        : [{ field: 'fault', message: 'No tilt or seat switch was found to have failed here.' }]),
      ...(facts.agree.bridges.some((b) => b.fault === dto.fault)
        ? [{ field: 'fault', message: 'It is bridged already.' }]
        : []),
      ...(dto.allowedHere ? [] : [{ field: 'allowedHere', message: 'Never where a local rule forbids it.' }]),
      ...(dto.labelPrinted ? [] : [{ field: 'labelPrinted', message: 'The label is put on the machine first.' }]),
    ]);
    await insertBridge(db, {
      machine_id: machineId,
      job_id: jobId,
      fault: dto.fault,
      who: dto.who.trim(),
      words: dto.words.trim(),
      rule: dto.rule.trim(),
      person_id: person.id,
    });
    tell(
      'bridged',
      `${fault!.label}: bridged, with the consent of ${dto.who.trim()}: “${dto.words.trim()}”. Rule looked at: ${dto.rule.trim()}. Labelled.`,
    );
  },
});
