import type { Answer, AssessInput } from '@/core/diagnosis/assessment';
import { referencesOf } from '@/core/diagnosis/classifyReading';
import { compileKind, shippedPriors } from '@/core/diagnosis/compileKind';
import { diagnose } from '@/core/diagnosis/diagnose';
import type { Kind } from '@/core/diagnosis/knowledge';
import { ImpossibleEvidenceError } from '@/core/diagnosis/network';
import { aspectOf } from '@/core/diagnosis/observe';
import type { Db } from '@/data/database';
import type { ForecastRow } from '@/data/forecasts';
import { talliesFor } from '@/data/tallies';
import { knowledge } from '@/knowledge';
import { learnedPriors } from '../finding/finding';
import { readFindings } from '../finding/readFindings';
import type { JobView } from '../jobView/dto';

/** Less likely than this a fault was not spoken of. */
const SPOKEN_OF = 0.02;

/**
 * What the finder said of each fault that may explain the complaints, before the look or the repair that proved it.
 * Readings are left out with the proofs: whether one proves depends on how it is read in the end.
 * @param confirmed faults that were found in the end
 */
export function forecastsOf(input: AssessInput, confirmed: readonly string[]): ForecastRow[] {
  const compiled = compileKind(knowledge, input.kind, input);
  const tells = (answer: Answer) => {
    if (answer.check.startsWith('repair:')) return false;
    if (!('outcome' in answer)) return false;
    const check = compiled.checks.find((c) => c.id === answer.check);
    const outcome = check && aspectOf(check, answer)?.outcomes.find((o) => o.id === answer.outcome);
    return !outcome?.proves;
  };
  let marginals: Float64Array;
  try {
    const before = { ...input, answers: input.answers.filter(tells) };
    marginals = diagnose(compiled, before, referencesOf(input.kind, input.mainsV)).result.marginals;
  } catch (error) {
    // Findings that cannot all be true foretell nothing.
    if (error instanceof ImpossibleEvidenceError) return [];
    throw error;
  }
  return compiled.faults.flatMap((fault, i) => {
    const explains = fault.complaints.some((c) => input.complaints.includes(c.complaint));
    const said = marginals[i]!;
    if (!explains || said < SPOKEN_OF) return [];
    return [{ fault: fault.id, said, was: confirmed.includes(fault.id) }];
  });
}

/** The same for a job of the shop as it stands at hand-back, with the priors as they were before it was counted. */
export async function forecastsOfJob(
  db: Db,
  view: JobView,
  kind: Kind,
  modelId: number,
  confirmed: readonly string[],
): Promise<ForecastRow[]> {
  const { answers } = readFindings(
    kind,
    view.machine.mainsV,
    view.findings
      .filter((f) => !f.revoked)
      .map((f) => ({
        check: f.check,
        ...(f.outcome === null ? { value: f.value!, unit: f.unit! } : { outcome: f.outcome }),
        ...(f.condition ? { condition: f.condition } : {}),
      })),
  );
  const { droppedStations, madeYear, mainsV } = view.machine;
  const input: AssessInput = {
    kind,
    mainsV,
    complaints: view.complaints,
    answers,
    openedBefore: view.openedBefore,
    droppedStations,
    ...(madeYear ? { ageYears: Math.max(0, new Date(view.takenInAt).getFullYear() - madeYear) } : {}),
  };
  const tallies = await talliesFor(db, kind.id, modelId);
  return forecastsOf({ ...input, learned: learnedPriors(tallies, shippedPriors(knowledge, kind, input)) }, confirmed);
}
