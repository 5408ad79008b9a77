import fc from 'fast-check';
import {
  AWG_CONDUCTORS,
  awgAreaMm2,
  awgDiameterMm,
  currentOfOutputA,
  IEC_CONDUCTORS,
  smallestConductor,
  voltageDropV,
} from './cord';
import { safetyVerdicts } from './safetyVerdict';
import { supplyOdds } from './supplyReading';

// ASTM B258: 18 → 0.823 mm², 16 → 1.309 mm²; 36 is 0.127 mm and 0000 (−3) 11.684 mm, by definition.
test('the American wire gauge', () => {
  expect(awgAreaMm2(18)).toBeCloseTo(0.823, 3);
  expect(awgAreaMm2(16)).toBeCloseTo(1.309, 3);
  expect(awgDiameterMm(36)).toBe(0.127);
  expect(awgDiameterMm(-3)).toBeCloseTo(11.684, 3);
});

// IEC 60228, class 5, plain copper, Ω/km at 20 °C.
test('IEC 60228 conductors', () => {
  expect(IEC_CONDUCTORS.slice(0, 5).map((c) => c.ohmPerKm)).toEqual([39.0, 26.0, 19.5, 13.3, 7.98]);
});

// ASTM B258 lists 20.95 Ω/km for solid AWG 18 copper at 20 °C (6.385 Ω/1000 ft, any handbook); strands lie 2 % longer.
test('a handbook resistance of AWG 18', () => {
  const awg18 = AWG_CONDUCTORS.find((c) => c.id === 'AWG 18')!;
  expect(awg18.ohmPerKm / 1.02).toBeCloseTo(20.95, 1);
});

test('drop by Ohm’s law, both ways, growing with length and warmth', () => {
  // 10 A through 15 m of 1.0 mm²: 19.5 Ω/km · 30 m = 0.585 Ω, 5.85 V.
  expect(voltageDropV(IEC_CONDUCTORS[2]!, 10, 15)).toBeCloseTo(5.85, 9);
  expect(voltageDropV(IEC_CONDUCTORS[2]!, 10, 15, 60)).toBeCloseTo(5.85 * (1 + 0.00393 * 40), 9);
});

test('the smallest that does both, and none when none does', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 30, noNaN: true }),
      fc.double({ min: 1, max: 60, noNaN: true }),
      (amps, metres) => {
        const found = smallestConductor(IEC_CONDUCTORS, amps, metres, 6, 60);
        for (const c of IEC_CONDUCTORS) {
          if (found && c.areaMm2 >= found.areaMm2) break;
          const tooLong = metres > (c.longestM ?? Infinity);
          expect(tooLong || c.mostA < amps || voltageDropV(c, amps, metres, 60) > 6).toBe(true);
        }
      },
    ),
    { seed: 2 },
  );
  expect(smallestConductor(IEC_CONDUCTORS, 60, 1, 6, 20)).toBeNull();
});

// IEC 60038 allows a supply ±10 % of its nominal voltage.
test.each([100, 120, 230])('at %d V nominal the whole tolerance band is a supply', (nominal) => {
  for (const part of [0.92, 1, 1.08]) expect(supplyOdds(part * nominal, nominal, 1, true)[0]!.is).toBe('supply');
  expect(supplyOdds(0, nominal, 0.5, false)[0]!.is).toBe('none');
  expect(supplyOdds(0.3 * nominal, nominal, 0.5, false)[0]!.is).toBe('ghost');
  expect(supplyOdds(0.78 * nominal, nominal, 0.5, true)[0]!.is).toBe('low');
});

test('odds of a reading add up to one', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 400, noNaN: true }), fc.boolean(), (v, low) => {
      expect(supplyOdds(v, 230, 2, low).reduce((s, o) => s + o.probability, 0)).toBeCloseTo(1, 9);
    }),
    { seed: 3 },
  );
});

// EN 50160 and IEC 60038 end at 110 %; twice the mains is what a lost neutral can give.
test.each([100, 120, 127, 230, 240])(
  'at %d V everything above the tolerance is over the mains, at any multiple',
  (nominal) => {
    for (const part of [1.14, 1.2, 1.34, 1.5, 1.73, 2, 2.4, 3.4, 4.1])
      for (const low of [true, false]) {
        const odds = supplyOdds(part * nominal, nominal, 0.012 * part * nominal, low);
        expect([part, odds[0]]).toEqual([part, { is: 'over', probability: expect.any(Number) }]);
        expect(odds[0]!.probability).toBeGreaterThan(0.9);
      }
  },
);

test('what a meter of low impedance still reads is a live line through resistance, never a ghost', () => {
  for (const volts of [10, 25, 50, 80, 110, 150])
    expect([volts, supplyOdds(volts, 230, 1, true)[0]!.is]).toEqual([volts, 'low']);
  expect(supplyOdds(50, 230, 1, false)[0]!.is).toBe('ghost');
});

// IEC 60335-1: 0.5 mm² for 3 A and 2 m at most; from memory.
test('a thin conductor may not be long, however little it carries', () => {
  expect(smallestConductor(IEC_CONDUCTORS, 0.5, 2, 20, 20)!.id).toBe('0.5 mm²');
  expect(smallestConductor(IEC_CONDUCTORS, 0.5, 2.1, 20, 20)!.id).toBe('0.75 mm²');
});

// One horsepower is 745.7 W at the shaft (NIST SP 811): at 120 V it takes 11.5 A in, not 6.2.
test('horsepower is what comes out: more goes in', () => {
  const amps = currentOfOutputA(745.6999, 120);
  expect(amps).toBeCloseTo(745.6999 / (0.54 * 120), 6);
  expect(amps).toBeGreaterThan(1.8 * (745.6999 / 120));
});

test('what is not measured is asked; what is neither asked for nor measured is left out', () => {
  const limits = { earthOhm: 0.1, insulationOhm: 1e6, touchA: NaN, protectiveA: 0.0035 };
  const items = safetyVerdicts(limits, { earthOhm: 0.2, insulationOhm: 5e7 }, 0.15, 0.05);
  expect(items.map((i) => [i.item, i.verdict])).toEqual([
    ['earthOhm', 'pass'],
    ['insulationOhm', 'pass'],
    ['protectiveA', 'ask'],
  ]);
  expect(safetyVerdicts(limits, { insulationOhm: 2e5 }, 0, 0.05)[1]!.verdict).toBe('fail');
});
