import type { Kind } from '@/core/diagnosis/knowledge';
import { knowledge } from '@/knowledge';
import { ProblemError, refuseIf, type FieldProblem } from '../problem';
import { FindingAnswerDto, type FindingRequestDto } from './dto';
import { oddsOf } from './odds';
import { readFindings } from './readFindings';

/** @returns problems of the ids in a request, each at its field */
export function unknownIds(kind: Kind, request: Pick<FindingRequestDto, 'complaints' | 'cleared'>): FieldProblem[] {
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
  return problems;
}

/**
 * The finding service by itself, without a job.
 * @throws ProblemError 400 that names each field: unknown ids, wrong units, impossible numbers; 400 when they cannot all be true
 */
export async function finding(request: FindingRequestDto): Promise<FindingAnswerDto> {
  const kind = knowledge.kinds.find((k) => k.id === request.kind);
  if (!kind) {
    const known = knowledge.kinds.map((k) => k.id).join(', ');
    throw new ProblemError(400, 'Some of it cannot be used as typed.', [
      { field: 'kind', message: `There is no kind ${request.kind}: use ${known}.` },
    ]);
  }
  const { answers, problems } = readFindings(kind, request.mainsV, request.findings);
  refuseIf([...unknownIds(kind, request), ...problems]);
  const { assessment, problem } = await oddsOf(
    {
      kind: kind.id,
      mainsV: request.mainsV,
      openedBefore: request.openedBefore ?? false,
      droppedStations: [],
      raised: [],
      ...(request.ageYears === undefined ? {} : { ageYears: request.ageYears }),
      complaints: request.complaints,
      answers,
      cleared: request.cleared ?? [],
    },
    request.modelId ?? null,
  );
  if (!assessment) throw new ProblemError(400, problem!);
  const { faults, explanations, next, readings, proved, finished, minutesSpent, minutesToGo, cautions, basis } =
    assessment;
  return Object.assign(new FindingAnswerDto(), {
    faults,
    explanations,
    next,
    readings,
    proved,
    finished,
    minutesSpent,
    minutesToGo,
    cautions,
    basis,
  });
}
