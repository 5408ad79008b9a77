import type { BackLine } from '@/core/strip/wayBack';
import { waitKinds } from './counter';

/** A clock of a job; it runs until it is ended by hand. */
export interface WaitSeen {
  kind: string;
  what: string;
  endedAt: string | null;
}

/** What is wet or not cured is not run, nor tried. */
const MUST_LIE = ['drying', 'glue'];

/**
 * What a line of the way back still waits for: a trial for all that dries or cures, a look at what must be dry or cured for
 * the clocks of that kind. Common practice, no source.
 * @returns in words, a sentence; empty when nothing is in its way
 * @example notYet({ sort: 'trial' }, [{ kind: 'glue', what: 'plate', endedAt: null }]) === 'Not run yet: plate is still waiting.'
 */
export function notYet(line: Pick<BackLine, 'sort' | 'lies'>, waits: readonly WaitSeen[]): string {
  const trial = line.sort === 'trial';
  const kinds: readonly (string | undefined)[] = trial ? MUST_LIE : [line.lies];
  const left = waits.filter((w) => w.endedAt === null && kinds.includes(w.kind)).map(named);
  if (left.length === 0) return '';
  return `${trial ? 'Not run yet' : 'Not yet'}: ${left.join(', ')} ${left.length > 1 ? 'are' : 'is'} still waiting.`;
}

/** What it is that waits, as somebody wrote it, otherwise by the name of its clock. */
const named = ({ kind, what }: WaitSeen) => what || (waitKinds.find((w) => w.id === kind)?.label ?? kind).toLowerCase();
