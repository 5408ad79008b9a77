import type { Kind } from '@/core/diagnosis/knowledge';
import { faultById, knowledge } from '@/knowledge';
import type { FieldProblem } from '../problem';
import type { FindingRequestDto } from './dto';

/** @returns problems of the ids in a request, each at its field */
export function unknownIds(
  kind: Kind,
  request: Pick<FindingRequestDto, 'complaints' | 'cleared' | 'madeNew'>,
): FieldProblem[] {
  const complaints = new Set(knowledge.complaints.filter((c) => c.kinds.includes(kind.id)).map((c) => c.id));
  const cautions = new Set(knowledge.cautions.map((c) => c.id));
  const problems: FieldProblem[] = [];
  request.complaints.forEach((id, i) => {
    if (!complaints.has(id))
      problems.push({ field: `complaints[${i}]`, message: `${kind.id} has no complaint ${id}.` });
    else if (request.complaints.indexOf(id) !== i)
      problems.push({ field: `complaints[${i}]`, message: `${id} is there twice.` });
  });
  request.cleared?.forEach((id, i) => {
    if (!cautions.has(id)) problems.push({ field: `cleared[${i}]`, message: `There is no caution ${id}.` });
  });
  request.madeNew?.forEach((id, i) => {
    if (!faultById(id)?.kinds[kind.id])
      problems.push({ field: `madeNew[${i}]`, message: `${kind.id} has no fault ${id}.` });
  });
  return problems;
}
