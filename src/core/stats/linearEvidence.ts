/** What readings say of unknowns that are standard normal before them. */
export interface Learned {
  /** Logarithm of the density of the readings. */
  logEvidence: number;
  /** Squared misfit of the readings, each against what those before it foretold: chi-squared with as many degrees as readings. */
  misfit: number;
  mean: number[];
  covariance: number[][];
}

/**
 * Takes readings one after another into unknowns that they depend on in a line (the recursive form of least squares: Kalman
 * 1960). Exact, whatever their order.
 * @param residuals reading less what is foretold with all unknowns at zero
 * @param slopes per reading, per unknown
 * @param sigmas standard uncertainty of each reading, above zero
 */
export function learnInLine(residuals: number[], slopes: number[][], sigmas: number[]): Learned {
  const n = slopes[0]?.length ?? 0;
  const mean = new Array<number>(n).fill(0);
  const covariance = Array.from({ length: n }, (_, i) => Array.from({ length: n }, (__, j) => (i === j ? 1 : 0)));
  const gain = new Array<number>(n);
  let logEvidence = 0;
  let misfit = 0;
  for (let r = 0; r < residuals.length; r++) {
    const slope = slopes[r]!;
    let variance = sigmas[r]! ** 2;
    let left = residuals[r]!;
    for (let i = 0; i < n; i++) {
      const row = covariance[i]!;
      let sum = 0;
      for (let j = 0; j < n; j++) sum += row[j]! * slope[j]!;
      gain[i] = sum;
      variance += slope[i]! * sum;
      left -= slope[i]! * mean[i]!;
    }
    const z2 = (left * left) / variance;
    misfit += z2;
    logEvidence -= 0.5 * (z2 + Math.log(2 * Math.PI * variance));
    for (let i = 0; i < n; i++) {
      const step = gain[i]! / variance;
      mean[i]! += step * left;
      const row = covariance[i]!;
      for (let j = 0; j < n; j++) row[j]! -= step * gain[j]!;
    }
  }
  return { logEvidence, misfit, mean, covariance };
}
