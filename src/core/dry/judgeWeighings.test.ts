import { judgeWeighings } from './judgeWeighings';

const row = (...points: [hours: number, grams: number][]) => points.map(([hours, grams]) => ({ hours, grams }));

test('three equal weights five minutes apart are not dry: the scale could not have seen the loss', () => {
  const verdict = judgeWeighings(row([0, 150], [1 / 12, 150], [2 / 12, 150]), 1.5, 0.2);
  expect(verdict).toMatchObject({ is: 'still', isDry: false });
  // By hand: 2·√2·0.2 g of 1.5 g, of what dries with 8 h: −8·ln(1 − 0.377) h.
  expect(verdict.is === 'still' && verdict.againHours).toBeCloseTo(-8 * Math.log(1 - (2 * Math.SQRT2 * 0.2) / 1.5), 9);
  expect(judgeWeighings(row([0, 150], [4, 150]), 1.5, 0.2)).toMatchObject({ is: 'still', isDry: true });
  // A kitchen scale cannot see a gram and a half at all, however long one waits.
  expect(judgeWeighings(row([0, 150], [12, 150]), 1.5, 1)).toMatchObject({ is: 'still', isDry: false });
});

test('heavier than before is an error of the hand or water that came: it is told with its number', () => {
  expect(judgeWeighings(row([0, 100], [1, 104], [2, 108]), 1, 0.5)).toEqual({ is: 'heavier', at: 2 });
  expect(judgeWeighings(row([0, 180], [1, 160], [2, 166]), 1, 0.5)).toEqual({ is: 'heavier', at: 3 });
  // What the scale cannot tell is no weight.
  expect(judgeWeighings(row([0, 180], [1, 160], [2, 160.4], [3, 150]), 1, 0.5).is).toBe('falling');
});

test('the same loss each hour has no end in it; a curve has', () => {
  const steady = judgeWeighings(row([0, 300], [1, 280], [2, 260], [3, 240.3]), 1, 0.5);
  expect(steady.is).toBe('steady');
  expect(steady.is === 'steady' && steady.gramsPerHour).toBeCloseTo(19.9, 1);
  const curve = [0, 1.5, 3, 4.5].map((h): [number, number] => [h, 120 + 62 * Math.exp(-h / 3.6)]);
  expect(judgeWeighings(row(...curve), 1.2, 0.5).is).toBe('falling');
});
