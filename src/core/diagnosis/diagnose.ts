import type { AssessInput } from './assessment';
import type { References } from './classifyReading';
import type { CompiledKind } from './compileKind';
import { explanations, type Explanations } from './explanations';
import type { Observation } from './network';
import { observe } from './observe';
import { posterior } from './posterior';
import type { Posterior } from './posteriorResult';
import { provedFor } from './proofs';

/** What follows from the findings, without what to do next and without the reasons. */
export interface Diagnosis {
  observations: Observation[];
  /** How each observation is named. */
  labels: string[];
  proved: Set<string>;
  pins: Map<number, true>;
  result: Posterior;
  sets: Explanations;
  /** Complaint → proved faults that explain it. */
  explained: { complaint: string; by: string[] }[];
  /** Every complaint has a proved cause that is not itself only a symptom. */
  finished: boolean;
}

/** @throws RangeError for ids that the kind does not have; ImpossibleReadingError; ImpossibleEvidenceError */
export function diagnose(compiled: CompiledKind, input: AssessInput, references: References): Diagnosis {
  const { observations, proved, labels } = observe(compiled, input, references);
  const pins = new Map([...proved].map((id) => [compiled.faultIndex.get(id)!, true] as const));
  const result = posterior(compiled.network, observations, pins);
  const sets = explanations(compiled.network, observations, pins, result.logEvidence);
  const explained = input.complaints.map((complaint) => ({
    complaint,
    by: provedFor(compiled, proved, complaint, result.marginals),
  }));
  const rootProved = (id: string) => {
    const fault = compiled.faults[compiled.faultIndex.get(id)!]!;
    return !fault.symptom || (fault.broughtOnBy ?? []).some((c) => proved.has(c.fault));
  };
  return {
    observations,
    labels,
    proved,
    pins,
    result,
    sets,
    explained,
    finished: explained.length > 0 && explained.every((e) => e.by.some(rootProved)),
  };
}
