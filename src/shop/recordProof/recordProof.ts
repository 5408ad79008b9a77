import { putProof } from '@/data/jobs';
import { bench } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseUnderHold } from '../jobDeed/underHold';
import type { ProofAsk } from '../jobView/dto';
import { refuseIf } from '../problem';
import { RecordProofDto } from './dto';

/** Records one proof: passed or failed, with numbers before and after where it is measured (base units). */
export const recordProof = jobDeed({
  name: 'record-proof',
  roles: bench,
  summary: 'Record a proof',
  dto: RecordProofDto,
  touches: ['proofs'],
  work: (scene, dto) => proveItem(scene, dto),
});

const ASKED: Record<ProofAsk, string> = {
  rules: 'By which rules: the edition in force here.',
  readings: 'The readings: earth, insulation, touch current, as the rules ask.',
  tester: 'Who made it: the name of a competent person.',
};

/**
 * The same within another deed.
 * @throws ProblemError 400 for what is not to be proved on this machine or is passed blank; 409 for what needs power under a hold
 */
export async function proveItem(
  { db, person, facts, tell }: DeedScene,
  dto: Pick<RecordProofDto, 'item' | 'result' | 'before' | 'after' | 'note' | ProofAsk>,
): Promise<void> {
  const item = facts.proofs.find((p) => p.item === dto.item);
  if (!item) return refuseIf([{ field: 'item', message: `There is nothing to prove named ${dto.item}.` }]);
  if (item.power) refuseUnderHold(facts, item.label);
  const details = Object.fromEntries(item.asks.map((ask) => [ask, dto[ask]?.trim() ?? '']));
  if (dto.result === 'pass')
    refuseIf(item.asks.filter((a) => !details[a]).map((ask) => ({ field: ask, message: ASKED[ask] })));
  if (item.quantity && dto.after === undefined) refuseIf([{ field: 'after', message: 'The number measured now.' }]);
  await putProof(db, {
    job_id: facts.id,
    item: dto.item,
    result: dto.result,
    before_value: dto.before ?? null,
    after_value: dto.after ?? null,
    unit: item.unit,
    note: dto.note.trim(),
    details,
    person_id: person.id,
  });
  const numbers = dto.after === undefined ? '' : ` (${dto.before ?? '–'} → ${dto.after} ${item.unit ?? ''})`;
  const said = Object.values(details).filter(Boolean).join('; ');
  tell('proved', `${item.label}: ${dto.result === 'pass' ? 'passed' : 'failed'}${numbers}${said && `. ${said}`}`);
}
