import fc from 'fast-check';
import { countOdds } from './countOdds';

// n = 20, p = 0.3 of the binomial tables: P(X ≤ 3) = 0.1071, P(X ≤ 2) = 0.0355; P(X ≤ 8) = 0.8867, P(X ≤ 9) = 0.9520.
test('with one chance for all it is the binomial of the tables', () => {
  expect(countOdds(Array.from({ length: 20 }, () => 0.3))).toEqual({ expected: expect.closeTo(6, 9), low: 3, high: 9 });
});

test('certain things are certain, and nothing of nothing', () => {
  expect(countOdds([1, 1, 0])).toEqual({ expected: 2, low: 2, high: 2 });
  expect(countOdds([])).toEqual({ expected: 0, low: 0, high: 0 });
  expect(() => countOdds([1.2])).toThrow(RangeError);
});

test('the range holds what is expected, whatever the order', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 40 }), (chances) => {
      const { expected, low, high } = countOdds(chances);
      expect(low).toBeLessThanOrEqual(Math.ceil(expected));
      expect(high).toBeGreaterThanOrEqual(Math.floor(expected));
      const turned = countOdds([...chances].reverse());
      expect([turned.low, turned.high]).toEqual([low, high]);
    }),
  );
});
