export interface ReplacementPlan {
  /** Replaced at this age, or when it fails before; Infinity when waiting for the failure is cheapest. */
  age: number;
  /** What a unit of time costs then. */
  costRate: number;
  /** What it costs to wait for every failure. */
  runToFailureRate: number;
}

const STEPS = 2000;

/**
 * The age at which a part is best replaced: what is paid on the average over the average time between two replacements, the
 * planned ones at one price, failures at another (age replacement: R. Barlow, F. Proschan, Mathematical Theory of Reliability,
 * 1965, from memory). Where the part does not wear out, or a failure costs no more, nothing is gained by replacing it early.
 * @param life shape and scale, in one unit of time
 * @throws RangeError for prices that are not above nought
 */
export function replacementAge(
  { shape, scale }: { shape: number; scale: number },
  { planned, failure }: { planned: number; failure: number },
): ReplacementPlan {
  if (!(planned > 0) || !(failure > 0)) throw new RangeError('A price is not above nought.');
  const end = scale * 30 ** (1 / shape);
  const survival = (t: number) => Math.exp(-((t / scale) ** shape));
  let area = 0;
  let best = { age: Infinity, costRate: Infinity };
  const step = end / STEPS;
  const areaAt: number[] = [0];
  for (let i = 1; i <= STEPS; i++) {
    const [a, b] = [(i - 1) * step, i * step];
    area += ((b - a) / 6) * (survival(a) + 4 * survival((a + b) / 2) + survival(b));
    areaAt.push(area);
  }
  const runToFailureRate = failure / area;
  for (let i = 1; i < STEPS; i++) {
    const left = survival(i * step);
    const costRate = (planned * left + failure * (1 - left)) / areaAt[i]!;
    if (costRate < best.costRate) best = { age: i * step, costRate };
  }
  // A thousandth less is no plan: what is planned has its own trouble.
  return best.costRate < runToFailureRate * 0.999
    ? { ...finer(best.age), runToFailureRate }
    : { age: Infinity, costRate: runToFailureRate, runToFailureRate };

  /** The flat bottom, looked at closely. */
  function finer(age: number): { age: number; costRate: number } {
    const cost = (t: number) => {
      const i = Math.floor(t / step);
      const a = i * step;
      const inside = areaAt[i]! + ((t - a) / 6) * (survival(a) + 4 * survival((a + t) / 2) + survival(t));
      return (planned * survival(t) + failure * (1 - survival(t))) / inside;
    };
    let [low, high] = [Math.max(step / 100, age - step), age + step];
    for (let n = 0; n < 80; n++) {
      const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
      if (cost(a) < cost(b)) high = b;
      else low = a;
    }
    return { age: (low + high) / 2, costRate: cost((low + high) / 2) };
  }
}

/**
 * What a unit of time costs when the part is replaced at each of some ages.
 * @param ages above nought, rising
 */
export function costAt(
  { shape, scale }: { shape: number; scale: number },
  { planned, failure }: { planned: number; failure: number },
  ages: readonly number[],
): { age: number; costRate: number }[] {
  const survival = (t: number) => Math.exp(-((t / scale) ** shape));
  let [area, from] = [0, 0];
  return ages.map((age) => {
    const panels = Math.max(2, Math.ceil((2 * STEPS * (age - from)) / (scale * 30 ** (1 / shape)) + 1));
    const step = (age - from) / panels;
    for (let i = 0; i < panels; i++) {
      const a = from + i * step;
      area += (step / 6) * (survival(a) + 4 * survival(a + step / 2) + survival(a + step));
    }
    from = age;
    return { age, costRate: (planned * survival(age) + failure * (1 - survival(age))) / area };
  });
}
