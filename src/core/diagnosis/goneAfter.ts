import { reach } from './accessCosts';
import type { CompiledKind } from './compileKind';
import type { Explanation } from './explanations';
import { STRENGTHS, type Check } from './knowledge';

/** What a machine costs that comes back because a second cause was left in it, minutes, unless the shop says. Common practice, no source. */
export const COMEBACK_MINUTES = 90;

/**
 * How likely a complaint is gone once the proved faults are repaired: over all sets of faults that explain the findings, no
 * other member shows as the complaint, nor brings back a symptom that does.
 * @param sets with their probabilities, of which the sum is what they cover
 * @param proved indices of the faults that will be repaired; a symptom comes back with what brought it on
 * @returns 0 to 1
 */
export function goneAfter(
  compiled: CompiledKind,
  sets: readonly Explanation[],
  proved: ReadonlySet<number>,
  complaint: string,
): number {
  const returns = returnsOf(compiled, complaint);
  let covered = 0;
  let gone = 0;
  for (const { faults, probability } of sets) {
    covered += probability;
    // A symptom that was reset is gone; whether it comes back is told by its causes.
    const left = faults.filter((i) => !proved.has(i) && !compiled.faults[i]!.symptom);
    gone += probability * left.reduce((none, i) => none * (1 - returns[i]!), 1);
  }
  return covered > 0 ? gone / covered : 0;
}

/** For each fault, how likely a machine in which it was left is complained of again, itself or through what it brings back. */
function returnsOf(compiled: CompiledKind, complaint: string): number[] {
  const shows = compiled.faults.map((fault) => {
    const link = fault.complaints.find((c) => c.complaint === complaint);
    return link ? STRENGTHS[link.strength] : 0;
  });
  return compiled.faults.map((_, i) => {
    const through = compiled.network.faults.reduce((none, symptom, j) => {
      const cause = compiled.faults[j]!.symptom ? symptom.causes.find((c) => c.fault === i) : undefined;
      return cause ? none * (1 - cause.strength * shows[j]!) : none;
    }, 1);
    return 1 - (1 - shows[i]!) * through;
  });
}

/** A repair that takes no longer is tried before anything else is looked at. Common practice, no source. */
const TRIED_MINUTES = 5;

/**
 * Whether repairing what is proved and running it is quicker than any further look: the run then tells what is left.
 * @param causes proved faults that account for the complaints
 * @param tried those after whose repair it ran already
 */
export function isTriedAtOnce(
  compiled: CompiledKind,
  complaints: readonly string[],
  causes: readonly string[],
  tried: ReadonlySet<string>,
  open: ReadonlySet<string>,
): boolean {
  // What cuts out for a reason that was found is run until it would have cut out.
  const roots = [...new Set(causes)].filter((id) => !compiled.faults[compiled.faultIndex.get(id)!]!.symptom);
  const behindSymptom = roots.length < new Set(causes).size;
  const late = complaints.some((id) => compiled.complaints.find((c) => c.id === id)?.shownLate);
  if (late) return behindSymptom && roots.length > 0;
  // It was repaired on suspicion and ran.
  if (roots.some((id) => tried.has(id))) return true;
  // What must dry first tells nothing today.
  if (roots.some((id) => compiled.faults[compiled.faultIndex.get(id)!]!.repair.waits)) return false;
  const minutes = roots.map((id) => {
    const { repair } = compiled.faults[compiled.faultIndex.get(id)!]!;
    return repair.minutes + reach(compiled.kind, open, { access: repair.access, power: 'no' }).minutes;
  });
  return minutes.reduce((a, b) => a + b, 0) <= TRIED_MINUTES;
}

/** A look at a second cause that spares more of a comeback than it costs. */
export interface SecondLook {
  check: string;
  /** The fault that it would show. */
  fault: string;
  /** Minutes of a comeback that it is expected to spare, less its own and what must be opened. */
  gain: number;
}

/**
 * With a cause proved: what is still worth a look, most worth first. A second cause left in the machine brings it back; a
 * look pays when its chance to find one, times what a comeback costs, is more than its minutes.
 * @param made what was answered, `check/aspect`
 * @param open access ids that stand open
 * @param allowed whether a check may be made now
 * @param comebackMinutes what a comeback costs
 */
export function secondLooks(
  compiled: CompiledKind,
  complaints: readonly string[],
  sets: readonly Explanation[],
  proved: ReadonlySet<number>,
  at: {
    made: ReadonlySet<string>;
    open: ReadonlySet<string>;
    allowed: (check: Check) => boolean;
    comebackMinutes?: number | undefined;
  },
): SecondLook[] {
  const comeback = at.comebackMinutes ?? COMEBACK_MINUTES;
  const returns = complaints.map((c) => returnsOf(compiled, c));
  const total = sets.reduce((sum, s) => sum + s.probability, 0);
  const mass = new Float64Array(compiled.faults.length);
  for (const { faults, probability } of sets)
    for (const i of faults)
      if (!proved.has(i) && !compiled.faults[i]!.symptom)
        mass[i]! += (probability / total) * Math.max(...returns.map((r) => r[i]!));
  const best = new Map<string, SecondLook>();
  for (const check of compiled.checks) {
    if (!at.allowed(check)) continue;
    const minutes = check.minutes + reach(compiled.kind, at.open, check).minutes;
    for (const aspect of check.aspects) {
      if (at.made.has(`${check.id}/${aspect.id}`)) continue;
      const node = compiled.network.findings[compiled.findingIndex.get(`${check.id}/${aspect.id}`)!]!;
      for (const { fault, levels } of node.effects) {
        const id = compiled.faults[fault]!.id;
        const shown = levels.reduce((sum, p, k) => sum + (aspect.outcomes[k]!.proves?.includes(id) ? p : 0), 0);
        const gain = mass[fault]! * shown * comeback - minutes;
        if (gain > (best.get(check.id)?.gain ?? 0)) best.set(check.id, { check: check.id, fault: id, gain });
      }
    }
  }
  return [...best.values()].sort((a, b) => b.gain - a.gain);
}
