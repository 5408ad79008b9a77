import { chiSquaredZ } from '../stats/chiSquared';
import { normalDensity } from '../stats/normal';

/** A deep-groove ball bearing, sizes in mm. */
export interface BallBearing {
  designation: string;
  boreMm: number;
  outerMm: number;
  /** With two seals or shields where that differs from the open one. */
  widthMm: number;
  /** Basic dynamic load rating, N; makers differ by about 15 %. */
  dynamicN: number;
}

type Line = [designation: string, bore: number, outer: number, width: number, dynamicN: number];

/**
 * Sizes found in floor machines. Boundary dimensions: ISO 15, dimension series 18, 19, 10, 02 and 03; the R sizes are of
 * the inch series. Load ratings are typical of catalogues. All from memory.
 */
const LINES: Line[] = [
  ['683', 3, 7, 3, 310],
  ['684', 4, 9, 4, 640],
  ['685', 5, 11, 5, 715],
  ['686', 6, 13, 5, 1080],
  ['687', 7, 14, 5, 1170],
  ['688', 8, 16, 5, 1250],
  ['689', 9, 17, 5, 1330],
  ['693', 3, 8, 4, 560],
  ['694', 4, 11, 4, 960],
  ['695', 5, 13, 4, 1080],
  ['696', 6, 15, 5, 1340],
  ['697', 7, 17, 5, 1610],
  ['698', 8, 19, 6, 2240],
  ['699', 9, 20, 6, 2470],
  ['604', 4, 12, 4, 960],
  ['605', 5, 14, 5, 1330],
  ['606', 6, 17, 6, 2260],
  ['607', 7, 19, 6, 2340],
  ['608', 8, 22, 7, 3450],
  ['609', 9, 24, 7, 3900],
  ['623', 3, 10, 4, 630],
  ['624', 4, 13, 5, 1300],
  ['625', 5, 16, 5, 1730],
  ['626', 6, 19, 6, 2340],
  ['627', 7, 22, 7, 3290],
  ['628', 8, 24, 8, 3330],
  ['629', 9, 26, 8, 4570],
  ['634', 4, 16, 5, 1340],
  ['635', 5, 19, 6, 2340],
  ['636', 6, 22, 7, 3290],
  ['638', 8, 28, 9, 4550],
  ['6800', 10, 19, 5, 1720],
  ['6801', 12, 21, 5, 1920],
  ['6802', 15, 24, 5, 2080],
  ['6803', 17, 26, 5, 2240],
  ['6804', 20, 32, 7, 4030],
  ['6805', 25, 37, 7, 4360],
  ['6900', 10, 22, 6, 2700],
  ['6901', 12, 24, 6, 2890],
  ['6902', 15, 28, 7, 4360],
  ['6903', 17, 30, 7, 4620],
  ['6904', 20, 37, 9, 6370],
  ['6905', 25, 42, 9, 7020],
  ['6000', 10, 26, 8, 4750],
  ['6001', 12, 28, 8, 5400],
  ['6002', 15, 32, 9, 5850],
  ['6003', 17, 35, 10, 6370],
  ['6004', 20, 42, 12, 9950],
  ['6005', 25, 47, 12, 11900],
  ['6006', 30, 55, 13, 13800],
  ['6200', 10, 30, 9, 5400],
  ['6201', 12, 32, 10, 7280],
  ['6202', 15, 35, 11, 8060],
  ['6203', 17, 40, 12, 9950],
  ['6204', 20, 47, 14, 13500],
  ['6205', 25, 52, 15, 14800],
  ['6206', 30, 62, 16, 20300],
  ['6300', 10, 35, 11, 8520],
  ['6301', 12, 37, 12, 10100],
  ['6302', 15, 42, 13, 11900],
  ['6303', 17, 47, 14, 14300],
  ['6304', 20, 52, 15, 16800],
  ['6305', 25, 62, 17, 23400],
  ['R3', 4.762, 12.7, 4.978, 1310],
  ['R4', 6.35, 15.875, 4.978, 1480],
  ['R4A', 6.35, 19.05, 7.142, 2340],
  ['R6', 9.525, 22.225, 7.142, 3330],
  ['R8', 12.7, 28.575, 7.938, 5110],
  ['R10', 15.875, 34.925, 8.733, 6000],
];

export const BALL_BEARINGS: readonly BallBearing[] = LINES.map(([designation, boreMm, outerMm, widthMm, dynamicN]) => ({
  designation,
  boreMm,
  outerMm,
  widthMm,
  dynamicN,
}));

/** Rings are made a few hundredths under their size at most; a worn seat hides as much. From memory. */
const MADE_TO_MM = 0.01;
/** Further off than one in a thousand of such readings, it is none of the table. */
const FAR_Z = 3.09;
const SIZES = ['boreMm', 'outerMm', 'widthMm'] as const;
/** Makers' load ratings of one size differ by so much. From memory. */
export const RATINGS_DIFFER = 0.15;

/**
 * Which bearing three caliper readings are of, with odds: Bayes' rule with equal odds before, each size normal.
 * @param sigmaMm standard uncertainty of the caliper
 * @returns the likely ones, most likely first; empty when none is near
 */
export function bearingOdds(
  measured: { boreMm: number; outerMm: number; widthMm: number },
  sigmaMm: number,
): { bearing: BallBearing; probability: number }[] {
  const sigma = Math.hypot(sigmaMm, MADE_TO_MM);
  const misfit = (b: BallBearing) => SIZES.reduce((sum, s) => sum + ((measured[s] - b[s]) / sigma) ** 2, 0);
  const near = BALL_BEARINGS.filter((b) => chiSquaredZ(misfit(b), SIZES.length) <= FAR_Z);
  const weighed = near.map((bearing) => ({
    bearing,
    weight: SIZES.reduce((product, s) => product * normalDensity(measured[s], bearing[s], sigma), 1),
  }));
  const total = weighed.reduce((sum, w) => sum + w.weight, 0);
  return weighed
    .map(({ bearing, weight }) => ({ bearing, probability: weight / total }))
    .sort((a, b) => b.probability - a.probability);
}

/**
 * Basic rating life, hours: `L10h = 10⁶/(60 n) · (C/P)³` (ISO 281, ball bearings). Nine of ten reach it, clean and greased;
 * it is not good for loads over half of C, nor for slow oscillation.
 * @throws RangeError for what is not positive
 */
export function ratingLifeHours(dynamicN: number, loadN: number, rpm: number): number {
  if (!(dynamicN > 0 && loadN > 0 && rpm > 0)) throw new RangeError('Rating, load and speed must be positive.');
  return (1e6 / (60 * rpm)) * (dynamicN / loadN) ** 3;
}
