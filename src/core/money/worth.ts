import { seededRandom } from '../diagnosis/seededRandom';
import { meanRemainingYears, remainingYears, type Life } from '../stats/weibull';

/** A part that may fail before the machine is given up. */
export interface WearPart {
  id: string;
  label: string;
  life: Life;
  ageYears: number;
  /** What it costs to mend then, work and all, smallest units. */
  priceMinor: number;
  /** Nobody mends it again: the machine is given up. */
  ends: boolean;
}

/** One way to go on: this machine mended in one way, or another machine. */
export interface WayOn {
  id: string;
  label: string;
  /** What is paid now, smallest units. */
  priceMinor: number;
  parts: readonly WearPart[];
}

export interface Worth {
  id: string;
  label: string;
  priceMinor: number;
  /** What a year of a running machine costs, smallest units; all that is paid divided by all the years. */
  perYearMinor: number;
  /** Standard error of it: how far another row of lives would tell otherwise. */
  errorMinor: number;
  /** How long it runs: the mean, and what one in ten does not reach and one in ten outlives. */
  years: { mean: number; low: number; high: number };
  /** Kept for so many years at most: what a year costs then, and between what four lives in five lie. */
  course: { years: number; perYearMinor: number; lowMinor: number; highMinor: number }[];
}

const COURSE_YEARS = [0.5, 1, 1.5, 2, 3, 4, 5, 6, 8, 10];
/** A machine that nothing ends is given up after this. */
const LONGEST_YEARS = 25;

interface Lives {
  years: Float64Array;
  cost: Float64Array;
  /** What was paid up to each year of the course. */
  upTo: Float64Array[];
}

/**
 * What a year of a running machine costs on some ways on, by lives that are drawn: each part fails by its own life, is
 * mended and begins anew, until one fails that ends the machine. The same seed gives the same lives, and the ways share
 * their luck, so that their difference is not chance.
 * @param lives 20,000 give about a hundredth
 * @param onProgress 0 to 1
 */
export function worthOf(
  ways: readonly WayOn[],
  { lives = 20_000, seed = 1, onProgress }: { lives?: number; seed?: number; onProgress?: (done: number) => void } = {},
): Worth[] {
  return ways.map((way, i) => {
    const drawn = drawLives(way, lives, seed, (done) => onProgress?.((i + done) / ways.length));
    const { ratio, error } = ratioOf(drawn.cost, drawn.years);
    const sorted = drawn.years.slice().sort();
    return {
      id: way.id,
      label: way.label,
      priceMinor: way.priceMinor,
      perYearMinor: ratio,
      errorMinor: error,
      years: {
        mean: mean(drawn.years),
        low: sorted[Math.floor(lives / 10)]!,
        high: sorted[Math.floor((9 * lives) / 10)]!,
      },
      course: COURSE_YEARS.map((years, k) => {
        const kept = drawn.years.map((y) => Math.min(y, years));
        const each = drawn.upTo[k]!.map((cost, j) => cost / Math.max(kept[j]!, 0.02)).sort();
        return {
          years,
          perYearMinor: ratioOf(drawn.upTo[k]!, kept).ratio,
          lowMinor: each[Math.floor(lives / 10)]!,
          highMinor: each[Math.floor((9 * lives) / 10)]!,
        };
      }),
    };
  });
}

function drawLives(way: WayOn, lives: number, seed: number, onProgress: (done: number) => void): Lives {
  const years = new Float64Array(lives);
  const cost = new Float64Array(lives);
  const upTo = COURSE_YEARS.map(() => new Float64Array(lives));
  for (let i = 0; i < lives; i++) {
    if (i % 1000 === 0) onProgress(i / lives);
    // One row of luck per life and part: another way on with the same part has the same luck with it.
    let end = LONGEST_YEARS;
    way.parts.forEach((part) => {
      if (part.ends) end = Math.min(end, remainingYears(part.life, part.ageYears, luck(seed, i, part.id)()));
    });
    years[i] = end;
    cost[i] = way.priceMinor;
    for (const paid of upTo) paid[i] = way.priceMinor;
    for (const part of way.parts) {
      if (part.ends) continue;
      const row = luck(seed, i, part.id);
      for (
        let at = remainingYears(part.life, part.ageYears, row());
        at < end;
        at += remainingYears(part.life, 0, row())
      ) {
        cost[i]! += part.priceMinor;
        COURSE_YEARS.forEach((y, k) => {
          if (at <= y) upTo[k]![i]! += part.priceMinor;
        });
      }
    }
  }
  return { years, cost, upTo };
}

/** A row of random numbers above 0, its own for each life and part. */
function luck(seed: number, life: number, part: string): () => number {
  let mixed = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(life + 1, 0xc2b2ae35);
  for (let i = 0; i < part.length; i++) mixed = Math.imul(mixed ^ part.charCodeAt(i), 0x01000193);
  const row = seededRandom(mixed);
  return () => 1 - row();
}

/** A ratio of two means with its standard error, by the first terms (W. G. Cochran, Sampling Techniques, ch. 2; from memory). */
function ratioOf(cost: Float64Array, years: Float64Array): { ratio: number; error: number } {
  const ratio = mean(cost) / mean(years);
  let squares = 0;
  for (let i = 0; i < cost.length; i++) squares += (cost[i]! - ratio * years[i]!) ** 2;
  return { ratio, error: Math.sqrt(squares / (cost.length - 1) / cost.length) / mean(years) };
}

const mean = (list: Float64Array) => list.reduce((sum, x) => sum + x, 0) / list.length;

/**
 * The same in closed form, where nothing ages (every shape is 1): the machine ends at the sum of the rates that end it, and
 * each other part is mended at its rate for so long.
 * @returns smallest units a year; null when a part ages or nothing ends the machine
 */
export function perYearClosed(way: WayOn): number | null {
  if (way.parts.some((p) => p.life.shape !== 1)) return null;
  const ending = way.parts.filter((p) => p.ends).reduce((sum, p) => sum + 1 / p.life.scaleYears, 0);
  if (ending === 0) return null;
  const mending = way.parts.filter((p) => !p.ends).reduce((sum, p) => sum + p.priceMinor / p.life.scaleYears, 0);
  return way.priceMinor * ending + mending;
}

/**
 * Up to which remaining life of one part the cheapest other way stays cheaper: “holds unless the motor lasts under 14 months”.
 * @returns its mean remaining life at which both cost the same a year, years; null when the choice does not turn on it between
 * a fiftieth and fifty times of what is believed
 */
export function turnsAt(way: WayOn, others: readonly WayOn[], partId: string, lives = 2000): number | null {
  const part = way.parts.find((p) => p.id === partId);
  if (!part || others.length === 0) return null;
  const best = Math.min(...worthOf(others, { lives }).map((w) => w.perYearMinor));
  const changed = (factor: number): WearPart => ({
    ...part,
    ageYears: part.ageYears * factor,
    life: { ...part.life, scaleYears: part.life.scaleYears * factor },
  });
  const above = (factor: number) => {
    const parts = way.parts.map((p) => (p.id === partId ? changed(factor) : p));
    return worthOf([{ ...way, parts }], { lives })[0]!.perYearMinor - best;
  };
  let [low, high] = [1 / 50, 50];
  if (Math.sign(above(low)) === Math.sign(above(high))) return null;
  for (let i = 0; i < 16; i++) {
    const middle = Math.sqrt(low * high);
    if (Math.sign(above(middle)) === Math.sign(above(low))) low = middle;
    else high = middle;
  }
  const { life, ageYears } = changed(Math.sqrt(low * high));
  return meanRemainingYears(life, ageYears);
}

/** The rule of the other school: a repair over half of what a comparable new machine costs is not made. */
export function withinHalf(repairMinor: number, newMinor: number): boolean {
  return 2 * repairMinor <= newMinor;
}
