import fc from 'fast-check';
import { parseQuantity, UNITS, type Quantity } from './units';
import { shownIn, unitFor, withUnit } from './unitSystem';

test('a number without a unit is taken in the shop’s', () => {
  expect(parseQuantity('length', withUnit('length', '0.5', 'inch'))!.value).toBe(12.7);
  expect(parseQuantity('length', withUnit('length', '1 1/2', 'inch'))!.value).toBeCloseTo(38.1, 9);
  expect(withUnit('length', '12 mm', 'inch')).toBe('12 mm');
  expect(withUnit('length', '12', 'metric')).toBe('12');
  expect(withUnit('voltage', '12', 'inch')).toBe('12');
  expect(withUnit('length', '', 'inch')).toBe('');
});

test('both systems show the same amount', () => {
  expect(shownIn('length', 25.4, 'inch')).toBe('1 in');
  expect(shownIn('temperature', 20, 'inch')).toBe('68 °F');
  expect(shownIn('speed', 3600, 'inch')).toBe('3600 r/min');
  fc.assert(
    fc.property(
      fc.constantFrom(...(Object.keys(UNITS) as Quantity[])),
      fc.double({ min: 0.5, max: 5e3, noNaN: true }),
      (q, x) => {
        const again = parseQuantity(q, shownIn(q, x, 'inch'))!.value;
        expect(Math.abs(again - x) / x).toBeLessThan(0.06);
        expect(shownIn(q, x, 'inch').endsWith(unitFor(q, 'inch')) || q === 'resistance').toBe(true);
      },
    ),
    { seed: 2 },
  );
});
