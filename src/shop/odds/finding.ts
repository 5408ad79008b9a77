import { knowledge } from '@/knowledge';
import { FindingAnswerDto, type FindingRequestDto } from '../finding/dto';
import { readFindings } from '../finding/readFindings';
import { unknownIds } from '../finding/unknownIds';
import { ProblemError, refuseIf } from '../problem';
import { oddsOf } from './odds';

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
      ...(request.madeNew?.length ? { madeNew: request.madeNew } : {}),
      complaints: request.complaints,
      answers,
      cleared: request.cleared ?? [],
    },
    request.modelId ?? null,
  );
  if (!assessment) throw new ProblemError(400, problem!);
  // What stands open is the bench's own affair.
  const { open: _, ...told } = assessment;
  return Object.assign(new FindingAnswerDto(), told);
}
