import type { FinderCase } from '@/core/diagnosis/finderCase';
import type { Kind } from '@/core/diagnosis/knowledge';
import { closingOf } from '@/core/strip/wayBack';
import type { JobState } from '@/data/jobState';
import { procedureOf } from './procedureOf';

/**
 * Accesses that were opened or shut step by step. One is open when every step of it was pressed or is not on this machine, and
 * shut when all that it had was put back.
 */
export function byHandOf(
  kind: Kind,
  state: Pick<JobState, 'procedure' | 'stripped' | 'ticks'>,
): Pick<FinderCase, 'byHand'> {
  if (state.stripped.length === 0 && state.ticks.length === 0) return {};
  const { steps } = procedureOf(kind, state);
  const stateOf = new Map(state.stripped.map((s) => [s.step, s.state]));
  const ticks = new Set(state.ticks);
  const byHand = { opened: [] as string[], shut: [] as string[] };
  for (const { id } of kind.access) {
    const own = steps.filter((s) => s.access === id && stateOf.get(s.id) !== 'not-here');
    const shut = own.filter((s) => ticks.has(closingOf(s.id)));
    if (own.length > 0 && shut.length === own.length) byHand.shut.push(id);
    else if (
      shut.length === 0 &&
      own.some((s) => stateOf.has(s.id)) &&
      own.every((s) => stateOf.has(s.id) || s.instead.length > 0)
    )
      byHand.opened.push(id);
  }
  return byHand.opened.length + byHand.shut.length > 0 ? { byHand } : {};
}
