import type { Answer, AssessInput } from './assessment';
import { classifyReading, type References } from './classifyReading';
import type { CompiledKind } from './compileKind';
import { repairedFault } from './doing';
import type { Aspect, Check } from './knowledge';
import type { Observation } from './network';

/** The aspect of a check that an answer belongs to. */
export function aspectOf(check: Check, answer: Answer): Aspect | undefined {
  if ('outcome' in answer) return check.aspects.find((a) => a.outcomes.some((o) => o.id === answer.outcome));
  const withReading = check.aspects.filter((a) => a.reading);
  if (answer.condition !== undefined) return withReading.find((a) => a.condition === answer.condition);
  return withReading[0];
}

/** @throws RangeError for a check that the kind does not have */
export function checkById(compiled: CompiledKind, id: string): Check {
  const check = compiled.checks.find((c) => c.id === id);
  if (!check) throw new RangeError(`${compiled.kind.id} has no check ${id}.`);
  return check;
}

/** What was said and found, as the network sees it: observations, how each is named, what is shown directly. */
export function observe(compiled: CompiledKind, input: AssessInput, references: References) {
  const observations: Observation[] = [];
  const labels: string[] = [];
  const proved = new Set<string>();
  const mended = new Set<number>();
  const add = (finding: string, label: string, likelihood: number[]) => {
    const without = mended.size > 0 ? { without: new Set(mended) } : {};
    observations.push({ finding: compiled.findingIndex.get(finding)!, likelihood, ...without });
    labels.push(label);
  };
  const mend = (fault: string) => {
    const at = compiled.faultIndex.get(fault);
    if (at !== undefined) mended.add(at);
  };
  const ticked = Object.entries(input.mendedAfter ?? {});
  const seenAs = new Map<string, { said: string | number; mended: ReadonlySet<number> }>();
  for (const id of input.complaints) {
    if (!compiled.complaints.some((c) => c.id === id))
      throw new RangeError(`${compiled.kind.id} has no complaint ${id}.`);
    add(`complaint:${id}`, id, [0, 1]);
  }
  // A roll that is slow was not said to stand: what would make it stand is not it.
  const less = compiled.complaints.filter((c) => input.complaints.includes(c.id));
  const more = new Map(less.flatMap((c) => (c.lessThan ?? []).map((id) => [id, c.id] as const)));
  for (const [id, said] of more)
    if (!input.complaints.includes(id) && compiled.complaints.some((c) => c.id === id))
      add(`complaint:${id}`, said, [1, 0]);
  for (const [at, answer] of input.answers.entries()) {
    for (const [fault, after] of ticked) if (after <= at) mend(fault);
    const repaired = repairedFault(answer.check);
    if (repaired !== null) {
      const gone = 'outcome' in answer && answer.outcome === 'gone';
      add(answer.check, answer.check, gone ? [1, 0] : [0, 1]);
      if (gone) proved.add(repaired);
      mend(repaired);
      continue;
    }
    const check = checkById(compiled, answer.check);
    const aspect = aspectOf(check, answer);
    if (!aspect) throw new RangeError(`${check.id} has no such outcome or condition.`);
    const likelihood =
      'outcome' in answer
        ? aspect.outcomes.map((o) => (o.id === answer.outcome ? 1 : 0))
        : classifyReading(aspect, answer.value, references);
    // Seen again as it was, when nothing that shows there was repaired meanwhile: that tells nothing new.
    const key = `${check.id}/${aspect.id}`;
    const said = 'outcome' in answer ? answer.outcome : answer.value;
    const before = seenAs.get(key);
    const { effects } = compiled.network.findings[compiled.findingIndex.get(key)!]!;
    const isNew = effects.some((e) => mended.has(e.fault) && !before?.mended.has(e.fault));
    if (before?.said !== said || isNew) add(key, labelOf(check, answer), likelihood);
    seenAs.set(key, { said, mended: new Set(mended) });
    const sure = aspect.outcomes[likelihood.indexOf(1)];
    const share = 1 / likelihood.reduce((a, b) => a + b, 0);
    if (sure && share > 0.95) for (const id of sure.proves ?? []) if (compiled.faultIndex.has(id)) proved.add(id);
    if (sure?.resets) sure.proves?.forEach(mend);
    check.putsRight?.forEach(mend);
  }
  for (const [fault] of ticked) mend(fault);
  for (const { check, aspect, outcome } of setBy(compiled, input.answers))
    add(
      `${check.id}/${aspect.id}`,
      `${check.id}=${outcome}`,
      aspect.outcomes.map((o) => (o.id === outcome ? 1 : 0)),
    );
  // What was seen on arrival counts as some sign until the check itself is made.
  const made = new Set(input.answers.map((a) => a.check));
  for (const { id, check, aspect } of compiled.findings)
    if (aspect?.impliedBy && !made.has(check!.id) && input.raised?.includes(aspect.impliedBy))
      add(
        id,
        `arrival:${aspect.impliedBy}`,
        aspect.outcomes.map((_, k) => (k === 0 ? 0 : 1)),
      );
  return { observations, proved, labels, mended };
}

/** What the checks that were answered have made so, unless it was looked at by itself. */
export function setBy(compiled: CompiledKind, answers: readonly Answer[]) {
  const made = new Set(answers.map((a) => a.check));
  const asked = answers.filter((a) => repairedFault(a.check) === null);
  const set = new Set(asked.flatMap((a) => aspectOf(checkById(compiled, a.check), a)?.sets ?? []));
  return [...set].flatMap((what) => {
    const [id, outcome] = what.split('=') as [string, string];
    const check = compiled.checks.find((c) => c.id === id);
    const aspect = check?.aspects.find((a) => a.outcomes.some((o) => o.id === outcome));
    return check && aspect && !made.has(id) ? [{ check, aspect, outcome }] : [];
  });
}

function labelOf(check: Check, answer: Answer): string {
  if ('outcome' in answer) return `${check.id}=${answer.outcome}`;
  return answer.condition ? `${check.id}@${answer.condition}` : check.id;
}
