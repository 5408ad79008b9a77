import { knowledge, holdsBackPower } from '@/knowledge';
import type { WrittenFacts } from '../jobView/jobFacts';
import { ProblemError } from '../problem';

/** Cautions in force that hold back power. */
export function holdsOn(facts: Pick<WrittenFacts, 'cautions'>): string[] {
  return facts.cautions.filter(holdsBackPower);
}

/**
 * Nothing that needs power is recorded while a caution holds power back, in whatever stage.
 * @param what in the words of the screen
 * @throws ProblemError 409 that names each caution
 */
export function refuseUnderHold(facts: Pick<WrittenFacts, 'cautions'>, what: string): void {
  const holds = holdsOn(facts);
  if (holds.length === 0) return;
  const label = (id: string) => knowledge.cautions.find((c) => c.id === id)!.label;
  throw new ProblemError(
    409,
    `${what} needs power, and power is held back: ${holds.map(label).join(', ')}. Make it safe and clear it by name first.`,
    holds.map((id) => ({ field: `cautions.${id}`, message: `${label(id)}: in force.` })),
  );
}
