import { softmax, trainSoftmax, type Example } from './softmaxRegression';

const example = (label: number, ...signs: number[]): Example => ({ label, signs: Int32Array.from(signs) });

/** `times` copies of an example. */
const many = (times: number, e: Example) => Array.from({ length: times }, () => e);

test('odds add up to one, are those of the exponentials, and do not overflow', () => {
  const model = { signs: 2, labels: 2, weights: Float64Array.from([1, -1, 1000, 2000, 0.5, 0]) };
  const [a, b] = softmax(model, [0]);
  // exp(1.5) / (exp(1.5) + exp(−1)), worked by hand.
  expect(a).toBeCloseTo(Math.exp(1.5) / (Math.exp(1.5) + Math.exp(-1)), 12);
  expect(a! + b!).toBeCloseTo(1, 12);
  expect([...softmax(model, [1])]).toEqual([0, 1]);
});

// The score equations of the maximum-likelihood fit: for each sign, fitted and observed shares agree (Hastie, Tibshirani,
// Friedman: The Elements of Statistical Learning, 2nd ed., section 4.4.1).
test('what is fitted has the shares of what was seen', () => {
  const seen = [
    ...many(30, example(0, 0)),
    ...many(10, example(1, 0)),
    ...many(5, example(0, 1)),
    ...many(15, example(1, 1)),
    ...many(40, example(2, 2)),
  ];
  const model = trainSoftmax(seen, 3, 3, { ridge: 1e-9, epochs: 400 });
  expect(softmax(model, [0])[0]).toBeCloseTo(30 / 40, 1);
  expect(softmax(model, [1])[1]).toBeCloseTo(15 / 20, 1);
  expect(softmax(model, [2])[2]).toBeGreaterThan(0.97);
});

test('a ridge pulls to nought; what was never shown stays there', () => {
  const seen = [...many(10, example(0, 0)), ...many(10, example(1, 1))];
  const free = trainSoftmax(seen, 3, 2, { ridge: 1e-9, epochs: 50 });
  const held = trainSoftmax(seen, 3, 2, { ridge: 0.3, epochs: 50 });
  expect(Math.abs(held.weights[0]!)).toBeLessThan(Math.abs(free.weights[0]!));
  expect([...free.weights.slice(4, 6)]).toEqual([0, 0]);
});

test('a sign that goes with neither tells nothing', () => {
  const seen = [
    ...many(10, example(0, 0, 2)),
    ...many(10, example(1, 1, 2)),
    ...many(10, example(0, 0)),
    ...many(10, example(1, 1)),
  ];
  const model = trainSoftmax(seen, 3, 2, { ridge: 1e-3, epochs: 100 });
  expect(Math.abs(softmax(model, [2])[0]! - 0.5)).toBeLessThan(0.1);
});

test('the same examples make the same model', () => {
  const seen = [...many(7, example(0, 0, 1)), ...many(6, example(1, 1, 2))];
  const teach = () => [...trainSoftmax(seen, 3, 2, { ridge: 1e-3, epochs: 9 }).weights];
  expect(teach()).toEqual(teach());
});
