import { UNITS } from '@/core/units/units';
import { putProof } from '@/data/jobs';
import type { Person } from '../access/person';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { jobView } from '../jobView/jobView';
import { refuseIf } from '../problem';
import type { RecordProofDto } from './dto';

/** Records one proof: passed or failed, with numbers before and after where it is measured (base units). */
export function recordProof(person: Person, jobId: number, dto: RecordProofDto) {
  return jobDeed('record-proof', person, jobId, dto, (scene) => proveItem(scene, dto));
}

/** The same within another deed. @throws ProblemError 400 for what is not to be proved on this machine */
export async function proveItem(
  { db, person, job, tell }: DeedScene,
  dto: Pick<RecordProofDto, 'item' | 'result' | 'before' | 'after' | 'note'>,
): Promise<void> {
  const item = (await jobView(db, job.id)).proofs.find((p) => p.item === dto.item);
  if (!item) return refuseIf([{ field: 'item', message: `There is nothing to prove named ${dto.item}.` }]);
  if (item.quantity && dto.after === undefined) refuseIf([{ field: 'after', message: 'The number measured now.' }]);
  await putProof(db, {
    job_id: job.id,
    item: dto.item,
    result: dto.result,
    before_value: dto.before ?? null,
    after_value: dto.after ?? null,
    unit: item.quantity ? UNITS[item.quantity].base : null,
    note: dto.note.trim(),
    person_id: person.id,
  });
  const numbers = dto.after === undefined ? '' : ` (${dto.before ?? '–'} → ${dto.after} ${item.unit ?? ''})`;
  await tell('proved', `${item.label}: ${dto.result === 'pass' ? 'passed' : 'failed'}${numbers}`);
}
