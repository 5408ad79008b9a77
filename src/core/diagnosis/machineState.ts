import { repairedFault } from './doing';
import type { Check } from './knowledge';

/** A finding in the order in which it was made. */
interface Made {
  check: string;
  outcome: string | null;
  /** When it was made; ISO or epoch, only compared. */
  at: number;
}

/** Whether a finding left the machine in another state: a repair that was tried, or a look that put something right. */
function changesMachine(checks: readonly Check[], { check, outcome }: Made): boolean {
  if (repairedFault(check) !== null) return true;
  const aspects = checks.find((c) => c.id === check)?.aspects ?? [];
  return aspects.some((a) => a.outcomes.some((o) => o.id === outcome && o.resets));
}

/**
 * For each finding, whether it was made on another state of the machine than it is in now: something was repaired or reset
 * since. Such a finding stays true of then; it is not replaced by what is seen now.
 * @param findings in force, in their order
 * @param repairs when repairs were ticked as done
 */
export function madeBefore(checks: readonly Check[], findings: readonly Made[], repairs: readonly number[]): boolean[] {
  const lastChange = findings.reduce((last, f, i) => (changesMachine(checks, f) ? i : last), -1);
  const lastRepair = Math.max(-Infinity, ...repairs);
  // The change itself belongs to the state that it made, unless another followed.
  return findings.map((f, i) => i < lastChange || f.at < lastRepair);
}
