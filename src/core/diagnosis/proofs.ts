import type { CompiledKind } from './compileKind';

/** Below this no unproved fault is a serious rival for a complaint. Common practice, no source. */
const NO_RIVAL = 0.1;

/**
 * Proved faults that account for a complaint: those that show as it at least sometimes; one that does so only rarely
 * counts when nothing unproved is a serious rival.
 */
export function provedFor(
  compiled: CompiledKind,
  proved: ReadonlySet<string>,
  complaint: string,
  odds: Float64Array,
): string[] {
  const linked = compiled.faults.flatMap((fault, i) => {
    const link = fault.complaints.find((c) => c.complaint === complaint);
    return link && link.strength !== 'never' ? [{ id: fault.id, strength: link.strength, odds: odds[i]! }] : [];
  });
  const rival = linked.some((l) => !proved.has(l.id) && l.odds >= NO_RIVAL);
  return linked.filter((l) => proved.has(l.id) && (l.strength !== 'rarely' || !rival)).map((l) => l.id);
}
