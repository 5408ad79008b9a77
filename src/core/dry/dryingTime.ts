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
}

/**
 * Drying as one exponential `W(t) = dry + water·e^(−t/τ)`: least squares, τ searched over a grid of its logarithm and then
 * by golden section, dry weight and water by linear least squares for each τ (a falling-rate drying law, any handbook).
 * @param dryG the dry weight where it is known; else it is fitted and needs three weighings
 * @param leftG so much water may be left
 * @returns null when the weights do not fall
 */
export function dryingTime(weighings: readonly Weighing[], leftG: number, dryG?: number): Drying | null {
  const fitAt = (logTau: number) => {
    const tau = Math.exp(logTau);
    const e = weighings.map((w) => Math.exp(-w.hours / tau));
    const n = weighings.length;
    let dry: number;
    let water: number;
    if (dryG === undefined) {
      const se = e.reduce((a, b) => a + b, 0);
      const see = e.reduce((a, b) => a + b * b, 0);
      const sw = weighings.reduce((a, w) => a + w.grams, 0);
      const sew = weighings.reduce((a, w, i) => a + w.grams * e[i]!, 0);
      const det = n * see - se * se;
      water = (n * sew - se * sw) / det;
      dry = (sw - water * se) / n;
    } else {
      dry = dryG;
      water = weighings.reduce((a, w, i) => a + (w.grams - dry) * e[i]!, 0) / e.reduce((a, x) => a + x * x, 0);
    }
    const miss = weighings.reduce((a, w, i) => a + (w.grams - dry - water * e[i]!) ** 2, 0);
    return { dry, water, tau, miss: Number.isFinite(miss) && dry >= 0 ? miss : Infinity };
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
  const { dry, water, tau, miss } = fitAt((low + high) / 2);
  if (!(water > 0) || !Number.isFinite(miss)) return null;
  return { dryG: dry, waterG: water, tauHours: tau, untilHours: Math.max(0, tau * Math.log(water / leftG)) };
}
