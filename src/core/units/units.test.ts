import fc from 'fast-check';
import {
  formatQuantity,
  fromBase,
  OVER_RANGE_OHM,
  parseQuantity,
  toBase,
  unitsOf,
  UNITS,
  type Quantity,
} from './units';

describe('what a technician types', () => {
  test.each<[Quantity, string, number]>([
    ['voltage', '116', 116],
    ['voltage', '116V', 116],
    ['voltage', ' 5 v ', 5],
    ['voltage', '250 mV', 0.25],
    ['resistance', '0.4 ohm', 0.4],
    ['resistance', '2k2', 2200],
    ['resistance', '4M7', 4.7e6],
    ['resistance', '1.2 kΩ', 1200],
    ['resistance', 'OL', OVER_RANGE_OHM],
    ['pressure', '12,5 kPa', 12.5],
    ['length', '1 in', 25.4],
    ['time', '90 s', 1.5],
    ['speed', '3200rpm', 3200],
    ['length', '3/8 in', 9.525],
    ['length', '1 1/2 in', 38.1],
    ['length', '1-1/2"', 38.1],
    ['length', '2 ft', 609.6],
    ['pressure', '50 inH2O', 12.454445],
    ['force', '10 lbf', 44.48222],
    ['flow', '100 cfm', 47.19475],
    ['temperature', '68 °F', 20],
    ['temperature', '-40 F', -40],
    ['number', '1.265', 1.265],
  ])('%s %s is %d in the base unit', (quantity, typed, value) => {
    expect(parseQuantity(quantity, typed)!.value).toBeCloseTo(value, 9);
  });

  test.each<[Quantity, string]>([
    ['voltage', ''],
    ['voltage', 'abc'],
    ['voltage', '12 kPa'],
    ['voltage', '12 apples'],
    ['voltage', 'OL'],
    ['pressure', '1.2.3'],
  ])('%s %j is not read', (quantity, typed) => expect(parseQuantity(quantity, typed)).toBeNull());
});

// NIST SP 811 (2008), appendix B: inch 25.4 mm exactly; inch of water, conventional, 249.0889 Pa; millibar 100 Pa.
test('conversion factors against NIST SP 811', () => {
  expect(toBase('length', 1, 'in')).toBe(25.4);
  expect(toBase('pressure', 1, 'inH2O') * 1000).toBeCloseTo(249.0889, 4);
  expect(toBase('pressure', 1, 'mbar') * 1000).toBeCloseTo(100, 9);
});

test('a unit of another quantity is refused by name', () => {
  expect(() => toBase('voltage', 1, 'kPa')).toThrow(/kPa is not a unit of voltage/);
});

test('what is shown can be typed again', () => {
  const quantities = Object.keys(UNITS) as Quantity[];
  fc.assert(
    fc.property(fc.constantFrom(...quantities), fc.double({ min: 0.01, max: 9e5, noNaN: true }), (quantity, value) => {
      const again = parseQuantity(quantity, formatQuantity(quantity, value))!.value;
      expect(Math.abs(again - value) / value).toBeLessThan(0.006);
    }),
    { seed: 3 },
  );
});

test('every unit converts and is listed', () => {
  for (const quantity of Object.keys(UNITS) as Quantity[])
    for (const unit of unitsOf(quantity)) {
      const value = toBase(quantity, 2, unit);
      if (quantity !== 'temperature') expect(value).toBeGreaterThan(0);
      expect(fromBase(quantity, value, unit)).toBeCloseTo(2, 12);
    }
});
