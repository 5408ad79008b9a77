import type { Fault } from './knowledge';

/** What became of the owner's own idea. */
export type IdeaAnswered = 'right' | 'other' | 'open';

/**
 * What became of the owner's own idea: it was right; what was found explains as much as it would have; or nobody knows yet. That
 * something else was found besides does not clear a belt that nobody has looked at.
 * @param faultOf what is known of a fault
 * @param found faults proved, or confirmed at the end
 * @param complaints of this job
 */
export function ideaBecame(
  faultOf: (id: string) => Pick<Fault, 'complaints'> | undefined,
  idea: string,
  found: readonly string[],
  complaints: readonly string[],
): IdeaAnswered {
  if (found.includes(idea)) return 'right';
  const explains = (id: string) =>
    (faultOf(id)?.complaints ?? []).map((c) => c.complaint).filter((c) => complaints.includes(c));
  const wanted = explains(idea);
  return found.some((f) => explains(f).some((c) => wanted.includes(c))) ? 'other' : 'open';
}
