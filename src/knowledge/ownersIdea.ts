import { faultById } from '.';

/**
 * What became of the owner's own idea: it was right; what was found explains as much as it would have; or nobody knows yet. That
 * something else was found besides does not clear a belt that nobody has looked at.
 * @param found faults proved, or confirmed at the end
 * @param complaints of this job
 */
export function ideaAnswered(
  idea: string,
  found: readonly string[],
  complaints: readonly string[],
): 'right' | 'other' | 'open' {
  if (found.includes(idea)) return 'right';
  const explains = (id: string) =>
    (faultById(id)?.complaints ?? []).map((c) => c.complaint).filter((c) => complaints.includes(c));
  const wanted = explains(idea);
  return found.some((f) => explains(f).some((c) => wanted.includes(c))) ? 'other' : 'open';
}
