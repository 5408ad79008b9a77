import type { Answer } from './assessment';
import { repairedFault } from './doing';
import type { CompiledKind } from './compileKind';
import { causalOrder } from './network';
import { faultGivenCauses, levelsGiven } from './joint';

export type Random = () => number;

/** A machine with hidden faults, as it comes over the counter. */
export interface HiddenMachine {
  /** Indices of the faults that are there. */
  present: ReadonlySet<number>;
  complaints: string[];
}

function pick(random: Random, p: number[]): number {
  let u = random();
  const at = p.findIndex((x) => (u -= x) < 0);
  return at < 0 ? p.length - 1 : at;
}

/** Draws a machine of this kind from the knowledge itself: faults from the priors, one or two complaints that they cause. */
export function drawMachine(random: Random, compiled: CompiledKind): HiddenMachine {
  const { network, complaints, findingIndex } = compiled;
  const order = causalOrder(network.faults);
  for (;;) {
    const present = new Set<number>();
    for (const i of order) if (random() < faultGivenCauses(network, i, (f) => present.has(f))) present.add(i);
    if (present.size === 0) continue;
    // One part is in one state.
    if (network.exclusive?.some((g) => g.filter((i) => present.has(i)).length > 1)) continue;
    const said = complaints.filter((c) => {
      const { effects } = network.findings[findingIndex.get(`complaint:${c.id}`)!]!;
      return effects.some((e) => present.has(e.fault) && random() < e.levels[1]!);
    });
    if (said.length > 0) return { present, complaints: said.slice(0, 2).map((c) => c.id) };
  }
}

/** What this machine answers to a check or to a repair; readings are answered by the class they fall in. */
export function answerOf(random: Random, compiled: CompiledKind, machine: HiddenMachine, check: string): Answer[] {
  const isPresent = (f: number) => machine.present.has(f);
  const level = (finding: number) => pick(random, levelsGiven(compiled.network.findings[finding]!, isPresent));
  const repaired = repairedFault(check);
  if (repaired !== null) {
    const fault = compiled.faultIndex.get(repaired)!;
    const gone = isPresent(fault) && level(compiled.findingIndex.get(check)!) === 0;
    return [{ check, outcome: gone ? 'gone' : 'remains' }];
  }
  return compiled.checks
    .find((c) => c.id === check)!
    .aspects.filter((a) => !a.neutral)
    .map((a) => ({ check, outcome: a.outcomes[level(compiled.findingIndex.get(`${check}/${a.id}`)!)]!.id }));
}
