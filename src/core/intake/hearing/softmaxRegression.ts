/** One example: which signs it shows (positions) and which class it is. */
export interface Example {
  signs: Int32Array;
  label: number;
}

export interface SoftmaxModel {
  signs: number;
  labels: number;
  /** `signs × labels`, row by row, and after them one bias per label. */
  weights: Float64Array;
}

export interface TrainingOptions {
  /** Strength of the pull of every weight to nought (per example), greater than 0. */
  ridge: number;
  epochs: number;
}

/**
 * How likely each class is, given the signs of an example; they weigh 1/√(their number), so that a long sentence says as much
 * as a short one.
 */
export function softmax({ signs: count, labels, weights }: SoftmaxModel, signs: ArrayLike<number>): Float64Array {
  const out = weights.slice(count * labels);
  const share = 1 / Math.sqrt(Math.max(1, signs.length));
  for (let s = 0; s < signs.length; s++) {
    const row = signs[s]! * labels;
    for (let k = 0; k < labels; k++) out[k]! += share * weights[row + k]!;
  }
  let most = -Infinity;
  for (const x of out) most = Math.max(most, x);
  let sum = 0;
  for (let k = 0; k < labels; k++) sum += out[k] = Math.exp(out[k]! - most);
  for (let k = 0; k < labels; k++) out[k]! /= sum;
  return out;
}

/**
 * Multinomial logistic regression with a ridge (Hastie, Tibshirani, Friedman: The Elements of Statistical Learning, 2nd ed.,
 * section 4.4), by gradient steps of adapted length (Duchi, Hazan, Singer 2011), one example at a time in a fixed order: the
 * same examples always make the same model.
 */
export function trainSoftmax(
  examples: Example[],
  signs: number,
  labels: number,
  options: TrainingOptions,
): SoftmaxModel {
  const { ridge, epochs } = options;
  const model = { signs, labels, weights: new Float64Array((signs + 1) * labels) };
  const { weights } = model;
  const past = new Float64Array(weights.length).fill(1e-2);
  const step = (at: number, gradient: number) => {
    past[at]! += gradient * gradient;
    weights[at]! -= (0.5 * gradient) / Math.sqrt(past[at]!);
  };
  // A stride that shares no factor with the number of examples visits each once, neighbours far apart.
  let stride = Math.max(1, Math.floor(examples.length * 0.618));
  const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));
  while (common(examples.length, stride) !== 1) stride++;
  for (let epoch = 0; epoch < epochs; epoch++) {
    for (let i = 0; i < examples.length; i++) {
      const { signs: shown, label } = examples[(i * stride) % examples.length]!;
      const odds = softmax(model, shown);
      const share = 1 / Math.sqrt(Math.max(1, shown.length));
      odds[label]! -= 1;
      for (const s of shown)
        for (let k = 0; k < labels; k++) {
          const at = s * labels + k;
          step(at, share * odds[k]! + ridge * weights[at]!);
        }
      for (let k = 0; k < labels; k++) step(signs * labels + k, odds[k]!);
    }
  }
  return model;
}
