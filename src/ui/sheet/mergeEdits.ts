import type { Values } from '../forms/dtoResolver';

/** A field that two people changed, or that they left differing. */
export interface Difference {
  field: string;
  mine: unknown;
  theirs: unknown;
  /** Both changed it, to different things: only a person can choose. */
  clash: boolean;
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * Compares what I typed with what somebody saved meanwhile, both starting from the same card.
 * @param base the card as I saw it when I began
 * @returns fields that differ now, in the order of `base`
 */
export function differences(base: Values, mine: Values, theirs: Values): Difference[] {
  return Object.keys(base)
    .filter((field) => !same(mine[field], theirs[field]))
    .map((field) => ({
      field,
      mine: mine[field],
      theirs: theirs[field],
      clash: !same(mine[field], base[field]) && !same(theirs[field], base[field]),
    }));
}

/** Each one's changes together: mine where only I changed, theirs where only they did; where both did, as chosen (else mine). */
export function merged(base: Values, mine: Values, theirs: Values, chosen: Record<string, 'mine' | 'theirs'>): Values {
  const result: Values = { ...theirs };
  for (const d of differences(base, mine, theirs)) {
    const changedByMe = !same(mine[d.field], base[d.field]);
    const take = chosen[d.field] ?? (changedByMe ? 'mine' : 'theirs');
    result[d.field] = take === 'mine' ? d.mine : d.theirs;
  }
  return result;
}
