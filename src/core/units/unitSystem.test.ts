import fc from 'fast-check';
import { parseQuantity, UNITS, type Quantity } from './units';
import { shownIn, unitFor, withUncertainty, withUnit } from './unitSystem';

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
        const unit = unitFor(q, 'inch');
        if (unit !== UNITS[q].base) expect(shownIn(q, x, 'inch').endsWith(unit)).toBe(true);
      },
    ),
    { seed: 2 },
  );
});

// JCGM 100:2008, 7.2.6: an uncertainty is stated with at most two figures, the value to the same place.
test.each([
  ['length', 354.63, 1, 'metric', '354.6 ± 1.0 mm'],
  ['percent', 3.66, 0.398, 'metric', '3.7 ± 0.4 %'],
  ['duration', 29126, 13107, 'metric', '29000 ± 13000 h'],
  ['length', 25.4, 2.54, 'inch', '1.00 ± 0.10 in'],
  ['temperature', 20, 5, 'inch', '68 ± 9 °F'],
  ['number', 7, 0, 'metric', '7'],
] as const)('%s %d ± %d in %s', (q, x, u, system, shown) => expect(withUncertainty(q, x, u, system)).toBe(shown));
