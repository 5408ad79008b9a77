import TinyQueue from 'tinyqueue';
import { foldFinding } from './foldFindings';
import { excluded, type Network, type Observation, type Pins } from './network';
import { posterior } from './posterior';
import { seededRandom } from './seededRandom';

const HASH_SPACE = 2 ** 52;

export interface Explanation {
  /** Indices of the faults, ascending, among the candidates. */
  faults: number[];
  /** P(exactly these of the candidates | findings). */
  probability: number;
}

export interface Explanations {
  /** Most probable first. */
  list: Explanation[];
  /** How much of the whole probability the list covers, 0 to 1 (1 within rounding when it is complete). */
  covered: number;
  /** The faults over which the sets run; every other fault is independent of them given these findings. */
  candidates: number[];
}

/** A set as it waits to be expanded: scored from its parent, its own arrays are made only when it is expanded. */
interface Scored {
  size: number;
  /** Sum of the members' random numbers: the same for the same set, whatever the order. */
  hash: number;
  log: number;
  /** Where it stands in the queue. */
  rank: number;
  priorLog: number;
  from: Expanded | null;
  added: number;
}

interface Expanded extends Scored {
  /** Ascending. */
  faults: number[];
  /** For each wide observation: running products of the cumulative levels. */
  below: Float64Array;
  /** For each wide observation: P(seen | set). */
  seen: Float64Array;
  findingTotal: number;
  /** For each fault with causes: the chance that none of those in the set, nor itself, brings it on. */
  unbrought: Float64Array;
  causedTotal: number;
}

/**
 * Sets of faults that explain the findings, by best-first search from the empty set, until the list covers `enough` of
 * the exact probability of the findings or `most` sets are expanded.
 *
 * Faults that touch only normal (or not yet made) findings are independent of all others given the findings (their
 * factor stands alone in the sum); they are left out of the sets, so that the sets are about what needs explaining.
 *
 * @param logEvidence from `posterior` with the same arguments; NaN when that was sampled (then `covered` is NaN too)
 */
export function explanations(
  network: Network,
  observations: Observation[],
  givenPins: Pins,
  logEvidence: number,
  { enough = 0.99, most = 250 }: { enough?: number; most?: number } = {},
): Explanations {
  const n = network.faults.length;
  const { pins, groups } = excluded(network, givenPins);
  const rivals = new Map(groups.flatMap((g) => g.map((i) => [i, new Set(g.filter((j) => j !== i))] as const)));
  const folded = observations.map((o) => foldFinding(network.findings[o.finding]!, o));
  const wide = folded.filter((f) => f.weights.length > 1);
  const narrow = folded.filter((f) => f.weights.length === 1);

  // Factor of each fault's presence from the findings that came out normal.
  const freeLog = new Float64Array(n);
  for (const f of narrow) for (const e of f.effects) freeLog[e.fault]! += Math.log(e.levels[0]!);
  const isCandidate = new Uint8Array(n);
  for (const f of wide) for (const e of f.effects) isCandidate[e.fault] = 1;
  pins.forEach((present, i) => {
    if (present) isCandidate[i] = 1;
  });
  for (let changed = true; changed;) {
    changed = false;
    network.faults.forEach((fault, i) => {
      const family = [i, ...fault.causes.map((c) => c.fault)];
      if (family.length > 1 && family.some((f) => isCandidate[f]) && family.some((f) => !isCandidate[f])) {
        for (const f of family) isCandidate[f] = 1;
        changed = true;
      }
    });
    // Of an exclusive set all are weighed together.
    for (const group of groups)
      if (group.some((i) => isCandidate[i]) && group.some((i) => !isCandidate[i])) {
        for (const i of group) isCandidate[i] = 1;
        changed = true;
      }
  }
  const candidates = [...isCandidate.keys()].filter((i) => isCandidate[i]);

  // Faults outside the candidates sum out: their part is the same for every set.
  const outside = outsideLog(
    network,
    observations.filter((_, k) => folded[k]!.weights.length === 1),
    pins,
    isCandidate,
  );

  const offsets: number[] = [];
  let width = 0;
  for (const f of wide) {
    offsets.push(width);
    width += f.weights.length;
  }
  const linksOf: { obs: number; below: number[] }[][] = network.faults.map(() => []);
  wide.forEach((f, obs) => {
    for (const e of f.effects) {
      let total = 0;
      linksOf[e.fault]!.push({ obs, below: e.levels.map((p) => (total += p)) });
    }
  });
  /** P(seen | set), the set's products times those of one more fault. */
  const likelihood = (obs: number, below: Float64Array, factor?: number[]): number => {
    const { weights } = wide[obs]!;
    const offset = offsets[obs]!;
    let sum = 0;
    let previous = 0;
    for (let k = 0; k < weights.length; k++) {
      const c = factor ? below[offset + k]! * factor[k]! : below[offset + k]!;
      sum += weights[k]! * (c - previous);
      previous = c;
    }
    return sum > 0 ? sum : 0;
  };
  const caused = candidates.filter((i) => network.faults[i]!.causes.length > 0);
  /** Fault → its place among those with causes, or -1. */
  const placeCaused = new Int32Array(n).fill(-1);
  caused.forEach((i, place) => (placeCaused[i] = place));
  /** Fault → what it may bring on. */
  const brings: { place: number; fault: number; strength: number }[][] = network.faults.map(() => []);
  caused.forEach((fault, place) => {
    for (const c of network.faults[fault]!.causes) brings[c.fault]!.push({ place, fault, strength: c.strength });
  });
  const rootLog = (i: number, there: boolean) => {
    if (pins.get(i) === !there) return -Infinity;
    const p = network.faults[i]!.prior;
    return Math.log(there ? p : 1 - p);
  };
  const absentAll = candidates
    .filter((i) => network.faults[i]!.causes.length === 0 && pins.get(i) !== true)
    .reduce((sum, i) => sum + rootLog(i, false), 0);
  /** What a root's presence adds, against its absence. */
  const ownLog = Float64Array.from(network.faults, (f, i) =>
    isCandidate[i] && f.causes.length === 0 ? rootLog(i, true) - (pins.get(i) === true ? 0 : rootLog(i, false)) : 0,
  );
  /** The faults with causes that a set has or has not: log of the product of their chances. */
  const causedLog = (members: readonly number[], unbrought: Float64Array): number => {
    let log = 0;
    for (let place = 0; place < caused.length; place++) {
      const there = members.includes(caused[place]!);
      if (pins.get(caused[place]!) === !there) return -Infinity;
      log += Math.log(there ? 1 - unbrought[place]! : unbrought[place]!);
    }
    return log;
  };
  /** The same of a set with one more: only what it brings on changes, and itself. */
  const causedWith = (node: Expanded, i: number): number => {
    const place = placeCaused[i]!;
    const brought = brings[i]!;
    if (place < 0 && brought.length === 0) return node.causedTotal;
    if (node.causedTotal === -Infinity) {
      const { faults, unbrought } = membersWith(node, i);
      return causedLog(faults, unbrought);
    }
    if (place >= 0 && pins.get(i) === false) return -Infinity;
    let log = node.causedTotal;
    if (place >= 0) log += Math.log(1 - node.unbrought[place]!) - Math.log(node.unbrought[place]!);
    for (const b of brought) {
      const before = node.unbrought[b.place]!;
      log += node.faults.includes(b.fault)
        ? Math.log(1 - before * (1 - b.strength)) - Math.log(1 - before)
        : Math.log(1 - b.strength);
    }
    if (Number.isNaN(log)) {
      const { faults, unbrought } = membersWith(node, i);
      return causedLog(faults, unbrought);
    }
    return log;
  };
  const membersWith = (node: Expanded, i: number) => {
    const unbrought = brings[i]!.length === 0 ? node.unbrought : node.unbrought.slice();
    for (const b of brings[i]!) unbrought[b.place]! *= 1 - b.strength;
    return { faults: [...node.faults, i].sort((a, b) => a - b), unbrought };
  };
  const score = (node: Expanded, i: number): Scored => {
    let odds = 1;
    for (const link of linksOf[i]!) odds *= likelihood(link.obs, node.below, link.below) / node.seen[link.obs]!;
    let findings = node.findingTotal + Math.log(odds);
    // Nothing of the kind could be seen without it: the difference says nothing, the sum does.
    if (Number.isNaN(findings)) findings = logTotal(expandArrays(node, i).seen);
    const priorLog = node.priorLog + ownLog[i]! + freeLog[i]!;
    const log = priorLog + causedWith(node, i) + findings;
    const size = node.size + 1;
    return {
      size,
      hash: (node.hash + mark[i]!) % HASH_SPACE,
      priorLog,
      log,
      rank: rank(log, size),
      from: node,
      added: i,
    };
  };
  const expandArrays = (node: Expanded, i: number) => {
    const below = node.below.slice();
    const seen = node.seen.slice();
    for (const link of linksOf[i]!) {
      for (let k = 0; k < link.below.length; k++) below[offsets[link.obs]! + k]! *= link.below[k]!;
      seen[link.obs] = likelihood(link.obs, below);
    }
    return { below, seen };
  };
  const materialise = (node: Scored): Expanded => {
    if (!node.from) return node as Expanded;
    const members = membersWith(node.from, node.added);
    const arrays = expandArrays(node.from, node.added);
    return {
      ...node,
      ...members,
      ...arrays,
      findingTotal: logTotal(arrays.seen),
      causedTotal: causedLog(members.faults, members.unbrought),
    };
  };

  const nextToImpossible = enough < 1 ? Math.log((1 - enough) / 1e4) : -Infinity;
  const random = seededRandom(1);
  const mark = network.faults.map(() => Math.floor(random() * HASH_SPACE));
  const below = new Float64Array(width);
  wide.forEach((f, obs) => {
    let sum = 0;
    f.leak.forEach((p, k) => (below[offsets[obs]! + k] = sum += p));
  });
  const seenNow = Float64Array.from(wide, (_, obs) => likelihood(obs, below));
  const unbrought = Float64Array.from(caused, (i) => 1 - network.faults[i]!.prior);
  const priorLog = outside + absentAll;
  const alone = { findingTotal: logTotal(seenNow), causedTotal: causedLog([], unbrought) };
  const log = priorLog + alone.causedTotal + alone.findingTotal;
  let root: Expanded = {
    ...alone,
    faults: [],
    size: 0,
    hash: 0,
    below,
    seen: seenNow,
    unbrought,
    priorLog,
    log,
    rank: rank(log, 0),
    from: null,
    added: -1,
  };
  for (const i of candidates) if (pins.get(i) === true) root = materialise(score(root, i));

  const queue = new TinyQueue<Scored>([root], (a, b) => b.rank - a.rank);
  const met = new Set<number>([root.hash]);
  const found: Expanded[] = [];
  let covered = 0;
  while (queue.length > 0 && found.length < most) {
    const node = materialise(queue.pop()!);
    found.push(node);
    covered += Math.exp(node.log - logEvidence);
    if (covered >= enough) break;
    for (const i of candidates) {
      if (pins.get(i) === false || node.faults.includes(i)) continue;
      const others = rivals.get(i);
      if (others && node.faults.some((f) => others.has(f))) continue;
      const hash = (node.hash + mark[i]!) % HASH_SPACE;
      if (met.has(hash)) continue;
      met.add(hash);
      const child = score(node, i);
      // Once most is covered, what is next to impossible leads nowhere that matters (`covered` tells if it did).
      if (covered < 0.5 || child.log - logEvidence > nextToImpossible) queue.push(child);
    }
  }
  found.sort((a, b) => b.log - a.log);
  const top = found[0]?.log ?? 0;
  const reference = Number.isNaN(logEvidence)
    ? top + Math.log(found.reduce((sum, f) => sum + Math.exp(f.log - top), 0))
    : logEvidence;
  const list = found
    .map((f) => ({ faults: f.faults, probability: Math.exp(f.log - reference) }))
    .filter((f) => f.probability > 0);
  return { list, covered: Number.isNaN(logEvidence) ? NaN : Math.min(1, covered), candidates };
}

/** log P(what came out normal, over the faults that are no candidates), summed over all their sets. */
function outsideLog(network: Network, normal: Observation[], pins: Pins, isCandidate: Uint8Array): number {
  const place = new Map<number, number>();
  network.faults.forEach((_, i) => {
    if (!isCandidate[i]) place.set(i, place.size);
  });
  const here = <T extends { fault: number }>(list: readonly T[]) =>
    list.flatMap((x) => (place.has(x.fault) ? [{ ...x, fault: place.get(x.fault)! }] : []));
  const rest: Network = {
    faults: [...place.keys()].map((i) => ({ ...network.faults[i]!, causes: here(network.faults[i]!.causes) })),
    findings: normal.map((o) => {
      const node = network.findings[o.finding]!;
      return { ...node, effects: here(node.effects.filter((e) => !o.without?.has(e.fault))) };
    }),
    exclusive: (network.exclusive ?? [])
      .filter((g) => g.every((i) => place.has(i)))
      .map((g) => g.map((i) => place.get(i)!)),
  };
  const observed = normal.map(({ likelihood }, finding) => ({ likelihood, finding }));
  const known = new Map([...pins].flatMap(([i, there]) => (place.has(i) ? [[place.get(i)!, there] as const] : [])));
  return posterior(rest, observed, known).logEvidence;
}

function logTotal(chances: Float64Array): number {
  let sum = 0;
  for (const p of chances) sum += Math.log(p);
  return sum;
}

/** A set that cannot be is still expanded, last of all: a larger one may be possible. */
function rank(log: number, size: number): number {
  return log === -Infinity ? -1e9 + size : log;
}
