import type { Assessment, AssessInput } from './assessment';
import { classifyReading, type References } from './classifyReading';
import type { CompiledKind } from './compileKind';
import { aspectOf, checkById, observe } from './observe';
import { posterior } from './posterior';

/** Odds of the outcomes of every reading: its likelihoods weighed by what all the other findings lead one to expect. */
export function readingOdds(
  compiled: CompiledKind,
  input: AssessInput,
  references: References,
  pins: ReadonlyMap<number, boolean>,
): Assessment['readings'] {
  return input.answers.flatMap((answer, at) => {
    if ('outcome' in answer) return [];
    const check = checkById(compiled, answer.check);
    const aspect = aspectOf(check, answer)!;
    const finding = compiled.findingIndex.get(`${check.id}/${aspect.id}`)!;
    const others = observe(compiled, { ...input, answers: input.answers.filter((_, i) => i !== at) }, references);
    const likelihood = classifyReading(aspect, answer.value, references);
    const logs = aspect.outcomes.map((_, k) => {
      const hard = aspect.outcomes.map((_, j) => (j === k ? 1 : 0));
      return posterior(compiled.network, [...others.observations, { finding, likelihood: hard }], pins).logEvidence;
    });
    const top = Math.max(...logs);
    const weights = logs.map((log, k) => Math.exp(log - top) * likelihood[k]!);
    const sum = weights.reduce((a, b) => a + b, 0);
    const readAs = aspect.outcomes
      .map((o, k) => ({ outcome: o.id, probability: weights[k]! / sum }))
      .sort((a, b) => b.probability - a.probability);
    return [{ check: check.id, condition: answer.condition, value: answer.value, readAs }];
  });
}
