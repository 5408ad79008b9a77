import { normalBelow } from '../stats/normal';

export interface Weighing {
  /** Hours since the first. */
  hours: number;
  grams: number;
}

export interface Drying {
  /** Weight when dry, g. */
  dryG: number;
  /** Water at the first weighing, g. */
  waterG: number;
  /** Time in which the water falls to 1/e, h. */
  tauHours: number;
  /** Hours from the first weighing until so little water is left. */
  untilHours: number;
  /** With 95 in 100 of certainty between these, by the scale and the fit alone. */
  between: [low: number, high: number];
}

interface Fit {
  dry: number;
  water: number;
  tau: number;
  miss: number;
  /** Variance of the water, in units of the scale's. */
  waterVariance: number;
}

/**
 * Drying as one exponential `W(t) = dry + water·e^(−t/τ)`: least squares, τ searched over a grid of its logarithm and then
 * by golden section, dry weight and water by linear least squares for each τ (a falling-rate drying law, any handbook).
 * @param dryG the dry weight where it is known; else it is fitted and needs three weighings
 * @param leftG so much water may be left
 * @param scaleG standard uncertainty of the scale
 * @returns null when the weights do not fall
 */
export function dryingTime(
  weighings: readonly Weighing[],
  leftG: number,
  scaleG: number,
  dryG?: number,
): Drying | null {
  const fitAt = (logTau: number): Fit => {
    const tau = Math.exp(logTau);
    const e = weighings.map((w) => Math.exp(-w.hours / tau));
    const n = weighings.length;
    let dry: number;
    let water: number;
    let waterVariance: number;
    if (dryG === undefined) {
      const se = e.reduce((a, b) => a + b, 0);
      const see = e.reduce((a, b) => a + b * b, 0);
      const sw = weighings.reduce((a, w) => a + w.grams, 0);
      const sew = weighings.reduce((a, w, i) => a + w.grams * e[i]!, 0);
      const det = n * see - se * se;
      water = (n * sew - se * sw) / det;
      dry = (sw - water * se) / n;
      waterVariance = n / det;
    } else {
      dry = dryG;
      const see = e.reduce((a, x) => a + x * x, 0);
      water = weighings.reduce((a, w, i) => a + (w.grams - dry) * e[i]!, 0) / see;
      waterVariance = 1 / see;
    }
    const miss = weighings.reduce((a, w, i) => a + (w.grams - dry - water * e[i]!) ** 2, 0);
    return { dry, water, tau, miss: Number.isFinite(miss) && dry >= 0 ? miss : Infinity, waterVariance };
  };
  const [from, to, steps] = [Math.log(0.05), Math.log(200), 120];
  let best = 0;
  for (let i = 1; i <= steps; i++)
    if (fitAt(from + (i / steps) * (to - from)).miss < fitAt(from + (best / steps) * (to - from)).miss) best = i;
  let low = from + ((best - 1) / steps) * (to - from);
  let high = from + ((best + 1) / steps) * (to - from);
  const golden = (Math.sqrt(5) - 1) / 2;
  for (let i = 0; i < 60; i++) {
    const [a, b] = [high - golden * (high - low), low + golden * (high - low)];
    if (fitAt(a).miss < fitAt(b).miss) high = b;
    else low = a;
  }
  const fit = fitAt((low + high) / 2);
  const { dry, water, tau, miss } = fit;
  if (!(water > 0) || !Number.isFinite(miss)) return null;
  return {
    dryG: dry,
    waterG: water,
    tauHours: tau,
    untilHours: untilOf(fit, leftG),
    between: between(fitAt, fit, leftG, scaleG),
  };
}

const untilOf = ({ water, tau }: Fit, leftG: number) => Math.max(0, tau * Math.log(Math.max(water, 1e-9) / leftG));

/** So far from the best, in the logarithm of the odds, nothing counts any more. */
const NOTHING = 10;
const FINE_STEPS = 400;
/** Slower than this nothing on a rack dries: times of falling are tried evenly in their logarithm up to it, h. */
const SLOWEST_HOURS = 200;

/**
 * Between which hours it is dry, with 95 in 100: each time of falling by its odds (Bayes' rule, even in its logarithm before),
 * the water of each normal about its own least squares.
 */
function between(fitAt: (logTau: number) => Fit, best: Fit, leftG: number, scaleG: number): [number, number] {
  const odds = (f: Fit) => -(f.miss - best.miss) / (2 * scaleG ** 2) + 0.5 * Math.log(f.waterVariance);
  const top = odds(best);
  const counts = (logTau: number) => odds(fitAt(logTau)) > top - NOTHING;
  // Outwards from the best, in growing steps, to where nothing counts.
  const edge = (way: 1 | -1, limit: number) => {
    let at = Math.log(best.tau);
    for (let step = 1e-3; way * at < way * limit && counts(at); step *= 1.5) at += way * step;
    return way * at > way * limit ? limit : at;
  };
  const [from, to] = [edge(-1, Math.log(0.01)), edge(1, Math.log(SLOWEST_HOURS))];
  const parts = Array.from({ length: FINE_STEPS }, (_, i) => {
    const f = fitAt(from + ((i + 0.5) / FINE_STEPS) * (to - from));
    const weight = f.water > leftG / 10 ? Math.exp(odds(f) - top) : 0;
    return { weight, mean: untilOf(f, leftG), sigma: (f.tau * scaleG * Math.sqrt(f.waterVariance)) / f.water + 1e-9 };
  });
  const total = parts.reduce((sum, p) => sum + p.weight, 0);
  const below = (hours: number) =>
    parts.reduce((sum, p) => sum + (p.weight > 0 ? p.weight * normalBelow((hours - p.mean) / p.sigma) : 0), 0) / total;
  const quantile = (q: number) => {
    let [low, high] = [0, 50 * SLOWEST_HOURS];
    // To the second: no balance knows it better.
    while (high - low > 1 / 3600) {
      const middle = (low + high) / 2;
      if (below(middle) < q) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  return [quantile(0.025), quantile(0.975)];
}
