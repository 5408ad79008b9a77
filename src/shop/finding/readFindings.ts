import type { Answer } from '@/core/diagnosis/assessment';
import { repairedFault } from '@/core/diagnosis/doing';
import { aspectOf } from '@/core/diagnosis/observe';
import { checkReading, ImpossibleReadingError, referencesOf } from '@/core/diagnosis/classifyReading';
import { checksOf, type Kind } from '@/core/diagnosis/knowledge';
import { toBase, UNITS } from '@/core/units/units';
import { knowledge } from '@/knowledge';
import type { FieldProblem } from '../problem';
import type { FindingDto } from './dto';

/**
 * Findings as they were sent, as answers that the engine takes, in the aspect's own units.
 * @param again the same may be answered twice: before and after a repair
 * @returns every problem with its field; answers only for what can be used
 */
export function readFindings(
  kind: Kind,
  mainsV: number,
  findings: FindingDto[],
  { at = 'findings', again = false }: { at?: string; again?: boolean } = {},
) {
  const problems: FieldProblem[] = [];
  const answers: Answer[] = [];
  const references = referencesOf(kind, mainsV);
  const checks = checksOf(knowledge, kind.id);
  const seen = new Map<string, number>();
  findings.forEach((finding, i) => {
    const say = (field: string, message: string) => problems.push({ field: `${at}[${i}].${field}`, message });
    const fault = repairedFault(finding.check);
    if (fault !== null) {
      if (!knowledge.faults.some((f) => f.id === fault && kind.id in f.kinds))
        return say('check', `${kind.id} has no fault ${fault}.`);
      if (finding.outcome !== 'gone' && finding.outcome !== 'remains') return say('outcome', 'gone or remains.');
      answers.push({ check: finding.check, outcome: finding.outcome });
      return;
    }
    const check = checks.find((c) => c.id === finding.check);
    if (!check) return say('check', `${kind.id} has no check ${finding.check}.`);
    if (finding.outcome !== undefined && finding.value !== undefined)
      return say('value', 'An outcome or a value, not both.');
    let answer: Answer;
    if (finding.outcome !== undefined) {
      answer = { check: check.id, outcome: finding.outcome };
      if (!aspectOf(check, answer)) {
        const known = check.aspects.flatMap((a) => a.outcomes.map((o) => o.id));
        return say('outcome', `${check.id} has no outcome ${finding.outcome}: use ${known.join(', ')}.`);
      }
    } else {
      const raw: Answer = {
        check: check.id,
        value: finding.value!,
        ...(finding.condition ? { condition: finding.condition } : {}),
      };
      const aspect = aspectOf(check, raw);
      if (!aspect?.reading) {
        const conditions = check.aspects.filter((a) => a.reading).map((a) => a.condition ?? 'none');
        if (conditions.length === 0) return say('value', `${check.id} takes no reading, but an outcome.`);
        return say('condition', `${check.id} is read under: ${conditions.join(', ')}.`);
      }
      const { quantity } = aspect.reading;
      let value: number;
      try {
        value = toBase(quantity, finding.value!, finding.unit!);
      } catch {
        return say(
          'unit',
          `${finding.unit} is not a unit of ${quantity}: use ${Object.keys(UNITS[quantity].units).join(', ')}.`,
        );
      }
      try {
        checkReading(aspect, value, references);
      } catch (error) {
        if (error instanceof ImpossibleReadingError) return say('value', error.message);
        throw error;
      }
      answer = { ...raw, value };
    }
    const key = `${check.id}/${aspectOf(check, answer)!.id}`;
    const earlier = seen.get(key);
    if (earlier !== undefined && !again) return say('check', `Answered twice: see ${at}[${earlier}].`);
    seen.set(key, i);
    answers.push(answer);
  });
  return { answers, problems };
}
