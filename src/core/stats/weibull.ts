/** How long parts of one sort last: W. Weibull’s distribution (1951). A shape above 1 wears out, 1 does not age. */
export interface Life {
  shape: number;
  /** By then 63.2 % have failed. */
  scaleYears: number;
}

/**
 * The chance that one is still whole at some age.
 * @example survival({ shape: 1, scaleYears: 1 }, 0) // → 1
 */
export function survival({ shape, scaleYears }: Life, ageYears: number): number {
  return ageYears <= 0 ? 1 : Math.exp(-((ageYears / scaleYears) ** shape));
}

/** The chance that one which is whole at some age fails within the years after it, 0 to 1. */
export function chanceWithin({ shape, scaleYears }: Life, ageYears: number, years: number): number {
  const hazard = (t: number) => (Math.max(0, t) / scaleYears) ** shape;
  return -Math.expm1(hazard(ageYears) - hazard(ageYears + years));
}

/**
 * How long one of some age still lasts, years.
 * @param u a random number, above 0 and at most 1: the chance to last longer
 */
export function remainingYears({ shape, scaleYears }: Life, ageYears: number, u: number): number {
  const hazard = (Math.max(0, ageYears) / scaleYears) ** shape;
  return Math.max(0, scaleYears * (hazard - Math.log(u)) ** (1 / shape) - Math.max(0, ageYears));
}

const PANELS = 600;
/** Of those that outlive it nothing is left to count. */
const LAST = 1e-12;

/** How long one of some age still lasts on the average, years: the area under what is left of its survival (Simpson). */
export function meanRemainingYears(life: Life, ageYears = 0): number {
  const end = remainingYears(life, ageYears, LAST);
  // Evenly by the square root: most of what changes is near the start.
  const at = (i: number) => end * (i / PANELS) ** 2;
  const left = (t: number) => 1 - chanceWithin(life, ageYears, t);
  let area = 0;
  for (let i = 0; i < PANELS; i++) {
    const [a, b] = [at(i), at(i + 1)];
    area += ((b - a) / 6) * (left(a) + 4 * left((a + b) / 2) + left(b));
  }
  return area;
}
