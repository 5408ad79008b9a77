import { assess } from '@/core/diagnosis/assess';
import type { AssessInput } from '@/core/diagnosis/assessment';
import { shippedPriors } from '@/core/diagnosis/compileKind';
import type { Kind } from '@/core/diagnosis/knowledge';
import { learnPrior } from '@/core/diagnosis/learnPriors';
import { ImpossibleEvidenceError } from '@/core/diagnosis/network';
import { database, type Db } from '@/data/database';
import { talliesFor, type Tallies } from '@/data/tallies';
import { knowledge } from '@/knowledge';
import { ProblemError, refuseIf, type FieldProblem } from '../problem';
import type { AssessmentView } from '../jobView/dto';
import { FindingAnswerDto, type FindingRequestDto } from './dto';
import { readFindings } from './readFindings';

/** The engine with the shop's own figures: priors learned from its finished jobs, with how many stand behind them. */
export async function assessLearned(db: Db, input: AssessInput, modelId: number | null): Promise<AssessmentView> {
  const tallies = await talliesFor(db, input.kind.id, modelId);
  const learned = learnedPriors(tallies, shippedPriors(knowledge, input.kind, input));
  try {
    const result = assess(knowledge, { ...input, learned });
    return { ...result, basis: { ...result.basis, kindJobs: tallies.kindJobs, modelJobs: tallies.modelJobs } };
  } catch (error) {
    if (error instanceof ImpossibleEvidenceError) throw new ProblemError(400, error.message);
    throw error;
  }
}

/** Shipped priors as the jobs of the shop, and those lent to it, have moved them. */
export function learnedPriors(tallies: Tallies, shipped: ReadonlyMap<string, number>): Map<string, number> {
  return new Map(
    [...shipped].map(([fault, prior]) => {
      const count = tallies.faults.get(fault) ?? { kind: 0, model: 0 };
      return [
        fault,
        learnPrior(
          prior,
          { confirmed: count.kind, jobs: tallies.kindJobs },
          { confirmed: count.model, jobs: tallies.modelJobs },
          { confirmed: tallies.lentFaults.get(fault) ?? 0, jobs: tallies.lentJobs },
        ),
      ];
    }),
  );
}

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
 * @throws ProblemError 400 that names each field: unknown ids, wrong units, impossible numbers
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
  const result = await assessLearned(
    database(),
    {
      kind,
      mainsV: request.mainsV,
      openedBefore: request.openedBefore ?? false,
      ...(request.ageYears === undefined ? {} : { ageYears: request.ageYears }),
      complaints: request.complaints,
      answers,
      cleared: request.cleared ?? [],
    },
    request.modelId ?? null,
  );
  const { faults, explanations, next, readings, proved, finished, minutesSpent, minutesToGo, cautions, basis } = result;
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
