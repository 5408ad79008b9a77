import type { Aspect } from '../diagnosis/knowledge';
import type { CompiledKind } from '../diagnosis/compileKind';
import { repairedFault } from '../diagnosis/doing';
import { levelsGiven } from '../diagnosis/joint';
import { seededRandom } from '../diagnosis/seededRandom';

/** FNV-1a, 32 bits: the same words give the same seed. */
export function hash(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

function levelOf(levels: number[], u: number): number {
  let rest = u;
  return Math.max(
    0,
    levels.findIndex((p) => (rest -= p) < 0),
  );
}

/**
 * The state of one thing on a machine with hidden faults: it is the machine's own and stays, however often it is looked at.
 * @param present indices of the faults that are there
 * @param seed of the machine
 * @returns the outcome, and the machine's own chance for what else belongs to it
 */
export function hiddenState(
  compiled: CompiledKind,
  present: ReadonlySet<number>,
  { check, aspect }: { check: string; aspect: Aspect },
  seed: number,
): { outcome: string; own: () => number } {
  const finding = compiled.findingIndex.get(`${check}/${aspect.id}`)!;
  const own = seededRandom(hash(`${seed} ${check} ${aspect.id}`));
  const u = own();
  const levels = aspect.neutral
    ? aspect.outcomes.map((_, k) => (k === 0 ? 1 : 0))
    : levelsGiven(compiled.network.findings[finding]!, (f) => present.has(f));
  return { outcome: aspect.outcomes[levelOf(levels, u)]!.id, own };
}

/**
 * What somebody sees who makes a check on a machine with hidden faults, or repairs it and runs it; what is read from an
 * instrument is left out.
 * @throws RangeError for a check that the kind does not have
 */
export function seenOn(
  compiled: CompiledKind,
  present: ReadonlySet<number>,
  check: string,
  seed: number,
): { aspect: string; outcome: string }[] {
  const mended = repairedFault(check);
  if (mended !== null) {
    const fault = compiled.faultIndex.get(mended);
    if (fault === undefined) throw new RangeError(`This kind has no fault ${mended}.`);
    const finding = compiled.network.findings[compiled.findingIndex.get(check)!]!;
    const level = levelOf(
      levelsGiven(finding, (f) => present.has(f)),
      seededRandom(hash(`${seed} ${check}`))(),
    );
    return [{ aspect: 'run', outcome: present.has(fault) && level === 0 ? 'gone' : 'remains' }];
  }
  const made = compiled.checks.find((c) => c.id === check);
  if (!made) throw new RangeError(`This kind has no check ${check}.`);
  return made.aspects
    .filter((aspect) => !aspect.reading)
    .map((aspect) => ({ aspect: aspect.id, outcome: hiddenState(compiled, present, { check, aspect }, seed).outcome }));
}
