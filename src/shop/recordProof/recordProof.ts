import { putProof } from '@/data/jobs';
import { bench } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { RecordProofDto } from './dto';

/** Records one proof: passed or failed, with numbers before and after where it is measured (base units). */
export const recordProof = jobDeed({
  name: 'record-proof',
  roles: bench,
  summary: 'Record a proof',
  dto: RecordProofDto,
  work: (scene, dto) => proveItem(scene, dto),
});

/** The same within another deed. @throws ProblemError 400 for what is not to be proved on this machine */
export async function proveItem(
  { db, person, facts, tell }: DeedScene,
  dto: Pick<RecordProofDto, 'item' | 'result' | 'before' | 'after' | 'note'>,
): Promise<void> {
  const item = facts.proofs.find((p) => p.item === dto.item);
  if (!item) return refuseIf([{ field: 'item', message: `There is nothing to prove named ${dto.item}.` }]);
  if (item.quantity && dto.after === undefined) refuseIf([{ field: 'after', message: 'The number measured now.' }]);
  await putProof(db, {
    job_id: facts.id,
    item: dto.item,
    result: dto.result,
    before_value: dto.before ?? null,
    after_value: dto.after ?? null,
    unit: item.unit,
    note: dto.note.trim(),
    person_id: person.id,
  });
  const numbers = dto.after === undefined ? '' : ` (${dto.before ?? '–'} → ${dto.after} ${item.unit ?? ''})`;
  tell('proved', `${item.label}: ${dto.result === 'pass' ? 'passed' : 'failed'}${numbers}`);
}
