import fc from 'fast-check';
import {
  ambiguity,
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
    ['resistance', '2 GΩ', 2e9],
    ['resistance', '2 Gohm', 2e9],
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

describe('a number that can be read in two ways is asked, never guessed', () => {
  test.each<[Quantity, string, string]>([
    ['power', '1,200 W', '1,200: is it 1200 or 1.2? Write it so.'],
    ['speed', '12,000 rpm', '12,000: is it 12000 or 12? Write it so.'],
    ['area', '1,800 m2', '1,800: is it 1800 or 1.8? Write it so.'],
    ['voltage', '3,300', '3,300: is it 3300 or 3.3? Write it so.'],
    ['number', '-1,250', '-1,250: is it -1250 or -1.25? Write it so.'],
  ])('%s %s', (quantity, typed, asked) => {
    expect(parseQuantity(quantity, typed)).toBeNull();
    expect(ambiguity(quantity, typed)).toBe(asked);
  });

  test.each<[Quantity, string, number]>([
    ['pressure', '12,5 kPa', 12.5],
    ['length', '0,125 mm', 0.125],
    ['length', '9,5250 mm', 9.525],
    ['power', '1,234.5 W', 1234.5],
    ['power', '1.234,5 W', 1234.5],
    ['speed', '1,234,567 rpm', 1_234_567],
    ['speed', '12’000 rpm', 12_000],
    ['speed', '12\u202f000 rpm', 12_000],
    ['power', '1200 W', 1200],
    ['speed', '12.000 rpm', 12],
  ])('%s %s is %d and nothing else', (quantity, typed, value) => {
    expect(ambiguity(quantity, typed)).toBeNull();
    expect(parseQuantity(quantity, typed)!.value).toBeCloseTo(value, 9);
  });
});

test('a thousandth is never read for a million, whatever the capitals', () => {
  expect(parseQuantity('resistance', '80 mohm')!.value).toBeCloseTo(0.08, 12);
  expect(parseQuantity('resistance', '80 Mohm')!.value).toBe(8e7);
  for (const typed of ['80 MOHM', '80 mOHM', '80 Mω'])
    expect([typed, parseQuantity('resistance', typed)]).toEqual([typed, null]);
  for (const [quantity, typed] of [
    ['voltage', '5 MV'],
    ['current', '5 MA'],
    ['charge', '2000 MAh'],
    ['modulus', '5 mPa'],
  ] as const)
    expect([typed, parseQuantity(quantity, typed)]).toEqual([typed, null]);
  // Where only one can be meant the slip is forgiven.
  expect(parseQuantity('length', '5 MM')!.value).toBe(5);
  expect(parseQuantity('voltage', '5 v')!.value).toBe(5);
});

// NIST SP 811 (2008), appendix B.8: inch of mercury 3.386389 kPa, psi 6.894757 kPa, US gallon 3.785412 L; bar 100 kPa.
test('units that are met on meters of other shops', () => {
  expect(parseQuantity('pressure', '2 bar')!.value).toBe(200);
  expect(parseQuantity('pressure', '10 inHg')!.value).toBeCloseTo(33.86389, 9);
  expect(parseQuantity('pressure', '1 psi')!.value).toBeCloseTo(6.894757, 9);
  expect(parseQuantity('flow', '6 gpm')!.value).toBeCloseTo(0.3785412, 9);
  // The ohm sign and the Greek letter are two signs for one thing.
  expect(parseQuantity('resistance', '5 \u2126')!.value).toBe(5);
  expect(parseQuantity('resistance', '5 k\u2126')!.value).toBe(5000);
  // Horsepower is what comes out: it is no unit of what goes in.
  expect(parseQuantity('intake', '1 hp')).toBeNull();
  expect(parseQuantity('power', '1 hp')!.value).toBeCloseTo(745.6999, 6);
});

test('what is printed is read back as it was, for every quantity and every size', () => {
  const sizes = fc.double({ min: 1e-3, max: 1e7, noNaN: true });
  for (const quantity of Object.keys(UNITS) as Quantity[])
    fc.assert(
      fc.property(sizes, fc.boolean(), (size, isNegative) => {
        const value = isNegative && quantity === 'temperature' ? -size : size;
        const read = parseQuantity(quantity, formatQuantity(quantity, value));
        // Three figures are printed: what is lost is half of the last of them, or of a whole.
        expect(Math.abs(read!.value - value)).toBeLessThanOrEqual(0.0051 * Math.abs(value));
      }),
      { seed: 5, numRuns: 300 },
    );
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
