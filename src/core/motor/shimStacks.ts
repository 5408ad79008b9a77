/** Washers of one thickness that are at hand. */
export interface Washer {
  thicknessMm: number;
  count: number;
}

export interface ShimWish {
  /** Float measured without any washer: how far the shaft moves from end to end, mm. */
  gapMm: number;
  floatMm: [least: number, most: number];
  /** Distance of the fan from its plate without any washer at the fan's end, mm; each washer there moves it away. */
  standOffMm: number;
  standOffWantedMm: [least: number, most: number];
}

export interface ShimStacks {
  fan: number[];
  commutator: number[];
  floatMm: number;
  standOffMm: number;
  washers: number;
  /** How far the two results lie outside of what is wanted, mm; 0 and 0 when all is met. */
  missMm: number;
}

/** Sums are counted in whole nanometres: a sixty-fourth of an inch is a whole number of them. */
const UNIT = 1_000_000;
/** Thinner washers are foil. */
const THINNEST_MM = 0.02;
/** More washers than this are a drawer, not a choice. */
const MOST_WASHERS = 40;
/** Different stacks for one end that can be tried against each other. */
const MOST_STACKS = 6000;

/** How many of each washer. */
type Mix = number[];

/**
 * Washers for both ends: exact search over all mixes by the sums they reach, the fewest washers first. When both wishes
 * cannot be met the nearest miss is given (least sum of what is out of range).
 * @param progress told how much is done, 0 to 1
 * @throws RangeError for more than 40 washers, 12 thicknesses or 6000 different stacks that fit into the gap
 */
export function shimStacks(washers: Washer[], wish: ShimWish, progress?: (done: number) => void): ShimStacks {
  if (washers.length > 12 || washers.reduce((n, w) => n + w.count, 0) > MOST_WASHERS)
    throw new RangeError('At most 12 thicknesses and 40 washers.');
  const units = washers.map((w) => Math.round(w.thicknessMm * UNIT));
  const mixes = allMixes(washers, units, Math.round(wish.gapMm * UNIT));
  let best: { fan: Mix; commutator: Mix; float: number; standOff: number; count: number; miss: number } | null = null;
  const outside = (x: number, [least, most]: [number, number]) => Math.max(0, least - x, x - most);
  mixes.forEach((fan, i) => {
    if (i % 500 === 0) progress?.(i / mixes.length);
    const standOff = wish.standOffMm + fan.sum / UNIT;
    const offMiss = outside(standOff, wish.standOffWantedMm);
    if (best && offMiss > best.miss + 1e-9) return;
    for (const commutator of mixes) {
      const float = wish.gapMm - (fan.sum + commutator.sum) / UNIT;
      // Sorted by their sum: from here on nothing fits between the ends.
      if (float < -1e-9) break;
      const miss = offMiss + outside(float, wish.floatMm);
      const count = fan.count + commutator.count;
      if (best && (miss > best.miss + 1e-9 || (miss > best.miss - 1e-9 && count >= best.count))) continue;
      if (fan.mix.some((n, k) => n + commutator.mix[k]! > washers[k]!.count)) continue;
      best = { fan: fan.mix, commutator: commutator.mix, float, standOff, count, miss };
    }
  });
  progress?.(1);
  const { fan, commutator, float, standOff, count, miss } = best!;
  const listed = (mix: Mix) => mix.flatMap((n, k) => Array<number>(n).fill(washers[k]!.thicknessMm));
  return {
    fan: listed(fan),
    commutator: listed(commutator),
    floatMm: float,
    standOffMm: standOff,
    washers: count,
    missMm: miss < 1e-9 ? 0 : miss,
  };
}

/** Every mix that fits into the gap, by its sum. */
function allMixes(washers: Washer[], units: number[], most: number): { mix: Mix; sum: number; count: number }[] {
  let mixes: { mix: Mix; sum: number; count: number }[] = [{ mix: washers.map(() => 0), sum: 0, count: 0 }];
  washers.forEach((washer, k) => {
    mixes = mixes.flatMap((m) =>
      Array.from({ length: washer.count + 1 }, (_, n) => ({
        mix: m.mix.map((x, j) => (j === k ? n : x)),
        sum: m.sum + n * units[k]!,
        count: m.count + n,
      })).filter((x) => x.sum <= most),
    );
    if (mixes.length > MOST_STACKS)
      throw new RangeError('So many stacks fit that they cannot all be tried: leave some thicknesses out.');
  });
  return mixes.sort((a, b) => a.sum - b.sum || a.count - b.count);
}

/** One washer more that would meet both wishes. */
export interface WantedWasher {
  end: 'fan' | 'commutator';
  leastMm: number;
  mostMm: number;
  /** With which of the washers at hand. */
  with: { fan: number[]; commutator: number[] };
}

/**
 * The washer that is missing: one of any thickness in a range, at one end, that meets both wishes together with washers at hand;
 * the one that needs the fewest of them, then the widest range. Null when no single one does.
 * @throws RangeError as {@link shimStacks}
 */
export function missingWasher(washers: Washer[], wish: ShimWish): WantedWasher | null {
  const units = washers.map((w) => Math.round(w.thicknessMm * UNIT));
  const mixes = allMixes(washers, units, Math.round(wish.gapMm * UNIT));
  const [floatLeast, floatMost] = wish.floatMm;
  const [offLeast, offMost] = wish.standOffWantedMm;
  let best: { end: WantedWasher['end']; least: number; most: number; fan: Mix; commutator: Mix; count: number } | null =
    null;
  for (const fan of mixes) {
    const standOff = wish.standOffMm + fan.sum / UNIT;
    if (standOff > offMost + 1e-9) break;
    for (const commutator of mixes) {
      const float = wish.gapMm - (fan.sum + commutator.sum) / UNIT;
      if (float < floatLeast + THINNEST_MM - 1e-9) break;
      const count = fan.count + commutator.count;
      if (best && count > best.count) continue;
      const isEnough = standOff >= offLeast - 1e-9;
      const end = isEnough ? 'commutator' : 'fan';
      const least = Math.max(THINNEST_MM, float - floatMost, isEnough ? 0 : offLeast - standOff);
      const most = Math.min(float - floatLeast, isEnough ? Infinity : offMost - standOff);
      if (most < least || (best && count === best.count && most - least <= best.most - best.least)) continue;
      if (fan.mix.some((n, k) => n + commutator.mix[k]! > washers[k]!.count)) continue;
      best = { end, least, most, fan: fan.mix, commutator: commutator.mix, count };
    }
  }
  if (!best) return null;
  const listed = (mix: Mix) => mix.flatMap((n, k) => Array<number>(n).fill(washers[k]!.thicknessMm));
  return {
    end: best.end,
    leastMm: best.least,
    mostMm: best.most,
    with: { fan: listed(best.fan), commutator: listed(best.commutator) },
  };
}
