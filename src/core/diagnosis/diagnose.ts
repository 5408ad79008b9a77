import type { Answer, AssessInput } from './assessment';
import type { References } from './classifyReading';
import type { CompiledKind } from './compileKind';
import { repairedFault } from './doing';
import { explanations, type Explanations } from './explanations';
import { cautionsInForce, replay } from './benchState';
import { goneAfter, isTriedAtOnce, secondLooks, type SecondLook } from './goneAfter';
import type { Observation } from './network';
import { aspectOf, checkById, observe } from './observe';
import { posterior } from './posterior';
import type { Posterior } from './posteriorResult';
import { provedFor } from './proofs';

/** What follows from the findings, without what to do next and without the reasons. */
export interface Diagnosis {
  observations: Observation[];
  /** How each observation is named. */
  labels: string[];
  /** Faults that are repaired or reset by now: they show in nothing that is looked at from here. */
  mended: ReadonlySet<number>;
  proved: Set<string>;
  /** Proved, repaired, and the complaint was still there: not it, or not it alone. */
  notIt: ReadonlySet<string>;
  pins: Map<number, true>;
  result: Posterior;
  sets: Explanations;
  /** Complaint → proved faults that explain it, and how likely it is gone when they are repaired. */
  explained: { complaint: string; by: string[]; gone: number }[];
  /**
   * Proved faults that account for all that is complained of, each with what was found behind it, what is only a symptom last;
   * empty while some complaint has no proved cause that is not itself only a symptom.
   */
  causes: string[];
  /** With a cause proved: what is still worth a look because of a second one. */
  secondLooks: SecondLook[];
  /** Caused, and no further look is worth a comeback. */
  finished: boolean;
}

function answeredAspects(compiled: CompiledKind, answers: readonly Answer[]): Set<string> {
  return new Set(
    answers
      .filter((a) => repairedFault(a.check) === null)
      .map((a) => `${a.check}/${aspectOf(checkById(compiled, a.check), a)!.id}`),
  );
}

/** @throws RangeError for ids that the kind does not have; ImpossibleReadingError; ImpossibleEvidenceError */
export function diagnose(compiled: CompiledKind, input: AssessInput, references: References): Diagnosis {
  const { observations, proved, labels, mended } = observe(compiled, input, references);
  const pins = new Map([...proved].map((id) => [compiled.faultIndex.get(id)!, true] as const));
  const result = posterior(compiled.network, observations, pins);
  const sets = explanations(compiled.network, observations, pins, result.logEvidence);
  // It was repaired, and it was complained of still: that was not it, or not it alone.
  const notIt = new Set(
    input.answers.flatMap((a) => ('outcome' in a && a.outcome === 'remains' ? (repairedFault(a.check) ?? []) : [])),
  );
  const causing = new Set([...proved].filter((id) => !notIt.has(id)));
  const explained = input.complaints.map((complaint) => ({
    complaint,
    by: provedFor(compiled, causing, complaint, result.marginals),
    gone: goneAfter(compiled, sets.list, new Set(pins.keys()), complaint),
  }));
  const rootProved = (id: string) => {
    const fault = compiled.faults[compiled.faultIndex.get(id)!]!;
    return !fault.symptom || (fault.broughtOnBy ?? []).some((c) => proved.has(c.fault));
  };
  const caused = explained.length > 0 && explained.every((e) => e.by.some(rootProved));
  const held = cautionsInForce(compiled, input).some((c) => compiled.rules.holdsPower.has(c));
  const open = replay(compiled, input).open;
  const by = explained.flatMap((e) => e.by);
  // A symptom with the cause that was found behind it is told together with it.
  const behind = by
    .flatMap((id) => compiled.faults[compiled.faultIndex.get(id)!]!.broughtOnBy ?? [])
    .map((c) => c.fault);
  const isSymptom = (id: string) => Number(compiled.faults[compiled.faultIndex.get(id)!]!.symptom ?? false);
  const causes = caused
    ? [...new Set([...by, ...behind.filter((id) => proved.has(id))])].sort((a, b) => isSymptom(a) - isSymptom(b))
    : [];
  const tried = new Set(
    input.answers.flatMap((a) => ('outcome' in a && a.outcome === 'gone' ? (repairedFault(a.check) ?? []) : [])),
  );
  const looks =
    caused && !isTriedAtOnce(compiled, input.complaints, causes, tried, open)
      ? secondLooks(compiled, input.complaints, sets.list, new Set(pins.keys()), {
          made: answeredAspects(compiled, input.answers),
          open,
          allowed: (check) => !held || check.power === 'no',
          comebackMinutes: input.comebackMinutes,
        })
      : [];
  return {
    observations,
    labels,
    mended,
    proved,
    notIt,
    pins,
    result,
    sets,
    explained,
    causes,
    secondLooks: looks,
    finished: caused && looks.length === 0,
  };
}
