import type { FindingNode, Observation } from './network';

/**
 * An observed finding cut down to the levels that still matter: levels above the highest possible one are dropped, and
 * neighbouring levels that explain what was seen equally well become one. A plain outcome leaves two levels ("not yet
 * reached", "reached"), the normal outcome a single one.
 */
export interface FoldedFinding {
  finding: number;
  /** P(seen | level), one number per remaining level, ascending; length 1 means that no state need be kept. */
  weights: number[];
  /** Leak over the remaining levels (may sum to less than 1: the rest is impossible). */
  leak: number[];
  effects: { fault: number; levels: number[] }[];
}

/**
 * @throws RangeError when a likelihood has the wrong length or a number that is negative or not finite
 */
export function foldFinding(node: FindingNode, observation: Observation): FoldedFinding {
  const { likelihood } = observation;
  if (likelihood.length !== node.leak.length) throw new RangeError(`${node.id}: one likelihood per level is needed.`);
  if (likelihood.some((l) => !(l >= 0) || !Number.isFinite(l)))
    throw new RangeError(`${node.id}: a likelihood is a number of 0 or more.`);
  let last = likelihood.length - 1;
  while (last >= 0 && likelihood[last] === 0) last--;
  const groups: number[][] = [];
  for (let k = 0; k <= last; k++) {
    const group = groups.at(-1);
    if (group && likelihood[group[0]!] === likelihood[k]) group.push(k);
    else groups.push([k]);
  }
  const gather = (levels: number[]) => groups.map((group) => group.reduce((sum, k) => sum + levels[k]!, 0));
  return {
    finding: observation.finding,
    weights: groups.map((group) => likelihood[group[0]!]!),
    leak: gather(node.leak),
    effects: node.effects
      .filter((e) => !observation.without?.has(e.fault))
      .map((e) => ({ fault: e.fault, levels: gather(e.levels) })),
  };
}
