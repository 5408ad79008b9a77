import type { Life } from '../stats/weibull';

/**
 * How long one part was seen: it failed at some moment (`from` and `to` alike), between two looks, or it was whole when it was
 * last seen (`to` is Infinity). In one unit of time throughout.
 */
export interface SeenLife {
  from: number;
  to: number;
  /** How many were seen alike; one when absent. */
  count?: number;
}

export interface FittedLife {
  /** Shape and scale; the scale is in the unit of what was seen. */
  shape: number;
  scale: number;
  /** Between these the truth lies with 95 %, by the likelihood. */
  shapeRange: [low: number, high: number];
  scaleRange: [low: number, high: number];
  failures: number;
  stillWhole: number;
  logLikelihood: number;
}

/** Half of the upper 5 % point of chi-squared with one degree: by so much the logarithm of the likelihood may fall. */
const DROP_95 = 3.8414588 / 2;
const LEAST_FAILURES = 2;

/**
 * The life of parts of one sort by maximum likelihood, whole ones and those that failed between two looks with the rest
 * (W. Nelson, Applied Life Data Analysis, 1982, from memory). Its ranges are those of the likelihood ratio: they hold for few
 * failures, where what is symmetric does not.
 * @throws RangeError for times below nought, or that run backwards
 * @returns null with fewer than two failures, or when all failed at one moment: then nothing is known of the shape
 */
export function fitWeibull(seen: readonly SeenLife[]): FittedLife | null {
  for (const { from, to } of seen)
    if (!(from >= 0) || !(to >= from) || to === 0) throw new RangeError('A time runs backwards.');
  const failed = seen.filter((s) => Number.isFinite(s.to));
  const failures = failed.reduce((sum, s) => sum + (s.count ?? 1), 0);
  if (failures < LEAST_FAILURES) return null;
  const middles = failed.map(middleOf);
  if (Math.max(...middles) - Math.min(...middles) < 1e-9 * Math.max(...middles)) return null;
  const value = (shape: number, scale: number) => logLikelihood(seen, shape, scale);
  const bestScale = scaleFinder(seen);
  const shape = Math.exp(highest((x) => value(Math.exp(x), bestScale(Math.exp(x))), Math.log(0.05), Math.log(60)));
  const scale = bestScale(shape);
  const top = value(shape, scale);
  const bestShape = (at: number) => Math.exp(highest((x) => value(Math.exp(x), at), Math.log(0.05), Math.log(60)));
  return {
    shape,
    scale,
    shapeRange: rangeOf((k) => value(k, bestScale(k)) - top, shape),
    scaleRange: rangeOf((s) => value(bestShape(s), s) - top, scale),
    failures,
    stillWhole: seen.reduce((sum, s) => sum + (s.count ?? 1), 0) - failures,
    logLikelihood: top,
  };
}

/** What was seen alike, counted once: a fit of thousands takes as long as one of hundreds. */
export function countedAlike(seen: readonly SeenLife[]): SeenLife[] {
  const all = new Map<string, SeenLife & { count: number }>();
  for (const { from, to, count = 1 } of seen) {
    const key = `${from}:${to}`;
    const known = all.get(key);
    if (known) known.count += count;
    else all.set(key, { from, to, count });
  }
  return [...all.values()];
}

/** How many shapes are tried for a band. */
const BAND_STEPS = 40;

/**
 * The share still whole at some ages, and between what it lies with 95 %, by the likelihood: the least and the most of it over
 * all shapes and scales that the likelihood allows.
 * @param fit of the same lives
 */
export function lifeBand(
  seen: readonly SeenLife[],
  fit: FittedLife,
  ages: readonly number[],
): { age: number; whole: number; low: number; high: number }[] {
  const left = (age: number, shape: number, scale: number) => Math.exp(-((age / scale) ** shape));
  const band = ages.map((age) => {
    const whole = left(age, fit.shape, fit.scale);
    return { age, whole, low: whole, high: whole };
  });
  const bestScale = scaleFinder(seen);
  const [from, to] = fit.shapeRange.map((k) => Math.log(Math.min(fit.shape * 50, Math.max(fit.shape / 50, k)))) as [
    number,
    number,
  ];
  // At a shape the share only rises with the scale: what the likelihood allows ends at two scales.
  for (let i = 0; i <= BAND_STEPS; i++) {
    const shape = Math.exp(from + ((to - from) * i) / BAND_STEPS);
    const summit = bestScale(shape);
    const fall = (scale: number) => logLikelihood(seen, shape, scale) - fit.logLikelihood;
    if (fall(summit) < -DROP_95) continue;
    const [least, most] = rangeOf(fall, summit);
    for (const point of band) {
      point.low = Math.min(point.low, left(point.age, shape, least));
      point.high = Math.max(point.high, left(point.age, shape, most));
    }
  }
  return band;
}

/** The likeliest scale for a shape: in one step where every failure was seen as it happened. */
function scaleFinder(seen: readonly SeenLife[]): (shape: number) => number {
  if (seen.some((s) => s.to !== s.from && s.to !== Infinity))
    return (shape) => Math.exp(highest((x) => logLikelihood(seen, shape, Math.exp(x)), ...around(seen)));
  const longest = Math.max(...seen.map((s) => s.from));
  const failures = seen.reduce((sum, s) => sum + (s.to === Infinity ? 0 : (s.count ?? 1)), 0);
  return (shape) =>
    longest *
    (seen.reduce((sum, s) => sum + (s.count ?? 1) * (s.from / longest) ** shape, 0) / failures) ** (1 / shape);
}

/** The same as a life in years. @param perYear how many of its units a year has */
export function lifeOf(fit: Pick<FittedLife, 'shape' | 'scale'>, perYear: number): Life {
  return { shape: fit.shape, scaleYears: fit.scale / perYear };
}

const middleOf = ({ from, to }: SeenLife) => (from + to) / 2;

function logLikelihood(seen: readonly SeenLife[], shape: number, scale: number): number {
  const hazard = (t: number) => (t / scale) ** shape;
  let sum = 0;
  for (const { from, to, count = 1 } of seen) {
    if (to === Infinity) sum -= count * hazard(from);
    else if (to > from) sum += count * (-hazard(from) + Math.log(-Math.expm1(hazard(from) - hazard(to))));
    else sum += count * (Math.log(shape / scale) + (shape - 1) * Math.log(from / scale) - hazard(from));
  }
  return sum;
}

/** Where the scale can lie: from the shortest life to far beyond the longest, by their logarithms. */
function around(seen: readonly SeenLife[]): [number, number] {
  const times = seen.flatMap((s) => [s.from, s.to]).filter((t) => t > 0 && Number.isFinite(t));
  return [Math.log(Math.min(...times)) - 3, Math.log(Math.max(...times)) + 7];
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Where a function with one summit is highest: golden section (J. Kiefer 1953). */
function highest(value: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  let [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [atC, atD] = [value(c), value(d)];
  while (b - a > 1e-8 * (1 + Math.abs(a))) {
    if (atC >= atD) {
      [b, d, atD] = [d, c, atC];
      c = b - GOLDEN * (b - a);
      atC = value(c);
    } else {
      [a, c, atC] = [c, d, atD];
      d = a + GOLDEN * (b - a);
      atD = value(d);
    }
  }
  return (a + b) / 2;
}

/** Where the likelihood has fallen by what 95 % allow, on both sides of its summit; open ends are told as 0 and Infinity. */
function rangeOf(fall: (x: number) => number, summit: number): [number, number] {
  const edge = (factor: number) => {
    let [inside, outside] = [summit, summit * factor];
    for (let n = 0; fall(outside) > -DROP_95; n++) {
      if (n === 40) return factor < 1 ? 0 : Infinity;
      [inside, outside] = [outside, outside * factor];
    }
    for (let n = 0; n < 40; n++) {
      const middle = Math.sqrt(inside * outside);
      if (fall(middle) > -DROP_95) inside = middle;
      else outside = middle;
    }
    return Math.sqrt(inside * outside);
  };
  return [edge(1 / 1.3), edge(1.3)];
}
