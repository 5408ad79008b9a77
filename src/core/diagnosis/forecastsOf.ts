import type { Answer, AssessInput } from './assessment';
import { referencesOf } from './classifyReading';
import { compileKind } from './compileKind';
import { diagnose } from './diagnose';
import { repairedFault } from './doing';
import type { Knowledge } from './knowledge';
import { ImpossibleEvidenceError } from './network';
import { aspectOf } from './observe';

/** Less likely than this a fault was not spoken of. */
const SPOKEN_OF = 0.02;

/** What was said of one fault before it was known, and what it was. */
export interface Forecast {
  fault: string;
  /** Probability, 0 to 1. */
  said: number;
  was: boolean;
}

/**
 * What the finder said of each fault that may explain the complaints, before the look or the repair that proved it.
 * Readings are left out with the proofs: whether one proves depends on how it is read in the end.
 * @param confirmed faults that were found in the end
 */
export function forecastsOf(knowledge: Knowledge, input: AssessInput, confirmed: readonly string[]): Forecast[] {
  const compiled = compileKind(knowledge, input.kind, input);
  const tells = (answer: Answer) => {
    if (repairedFault(answer.check) !== null || !('outcome' in answer)) return false;
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
