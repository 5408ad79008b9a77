import { reach } from './accessCosts';
import type { AssessInput } from './assessment';
import type { CompiledKind } from './compileKind';
import { repairedFault } from './doing';
import type { Check } from './knowledge';
import { aspectOf, checkById } from './observe';

/** What is open after these answers and what the hands did since, and how many minutes the answers took. */
export function replay(compiled: CompiledKind, { answers, byHand }: Pick<AssessInput, 'answers' | 'byHand'>) {
  let open: ReadonlySet<string> = new Set<string>();
  let minutes = 0;
  let previous = '';
  for (const answer of answers) {
    const step = actionOf(compiled, answer.check);
    const reached = reach(compiled.kind, open, step);
    open = reached.open;
    // The aspects of one check are answered in one go.
    minutes += reached.minutes + (answer.check === previous ? 0 : step.minutes);
    previous = answer.check;
  }
  const shut = new Set(byHand?.shut);
  const left = [...open].filter((id) => !shut.has(id));
  return { open: new Set([...left, ...(byHand?.opened ?? [])]) as ReadonlySet<string>, minutes };
}

/** Where a check or a repair is done, and its own minutes. */
export function actionOf(
  compiled: CompiledKind,
  id: string,
): { access: string; power: Check['power']; minutes: number } {
  const repaired = repairedFault(id);
  if (repaired === null) return checkById(compiled, id);
  const fault = compiled.faults.find((f) => f.id === repaired);
  if (!fault) throw new RangeError(`${compiled.kind.id} has no fault for ${id}.`);
  return { access: fault.repair.access, power: 'no', minutes: fault.repair.minutes };
}

/** Cautions raised by complaints, answers and arrival, less those cleared by name. */
export function cautionsInForce(compiled: CompiledKind, input: AssessInput): string[] {
  const raised = new Set(input.raised ?? []);
  for (const id of input.complaints)
    for (const c of compiled.complaints.find((x) => x.id === id)?.raises ?? []) raised.add(c);
  for (const answer of input.answers) {
    if (repairedFault(answer.check) !== null || !('outcome' in answer)) continue;
    const aspect = aspectOf(checkById(compiled, answer.check), answer);
    for (const c of aspect?.outcomes.find((o) => o.id === answer.outcome)?.raises ?? []) raised.add(c);
  }
  for (const c of input.cleared ?? []) raised.delete(c);
  return [...raised];
}
