import fc from 'fast-check';
import { cellSpread, chargeFromGravity, chargeFromRestVolts, peukertHours } from './battery';
import { DischargeLogError, dischargeLog } from './dischargeLog';

// Peukert's law at the rated current gives the rated hours; with exponent 1 it is plain capacity over current.
test('Peukert', () => {
  expect(peukertHours(100, 20, 5, 1.2)).toBeCloseTo(20, 9);
  expect(peukertHours(100, 20, 25, 1)).toBeCloseTo(4, 9);
  // 100 Ah at 20 h, 10 A, k 1.2: 20 · (100/200)^1.2 = 8.706 h (arithmetic of the law).
  expect(peukertHours(100, 20, 10, 1.2)).toBeCloseTo(8.7055, 3);
  expect(() => peukertHours(0, 20, 5, 1.2)).toThrow(RangeError);
});

// Handbook figures of flooded lead-acid, from memory: 12.65 V and 1.265 full, 11.89 V and 1.120 empty.
test('lead-acid at rest', () => {
  expect(chargeFromRestVolts(12.65, 6)).toBe(100);
  expect(chargeFromRestVolts(24.48, 12)).toBeCloseTo(50, 6);
  expect(chargeFromRestVolts(11.5, 6)).toBe(0);
  expect(chargeFromGravity(1.265, 26.7)).toBeCloseTo(100, 9);
  // Colder acid is denser: the same reading is less charge.
  expect(chargeFromGravity(1.225, 0)).toBeLessThan(chargeFromGravity(1.225, 26.7));
});

test('charge never falls as voltage or gravity rise', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 11, max: 13.5, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (v, more) => {
        expect(chargeFromRestVolts(v + more, 6)).toBeGreaterThanOrEqual(chargeFromRestVolts(v, 6) - 1e-9);
      },
    ),
    { seed: 4 },
  );
});

test('the weakest cell is named', () => {
  expect(cellSpread([3.9, 3.7, 3.95])).toMatchObject({ lowest: 2, highest: 3 });
});

describe('discharge log', () => {
  test('constant current for an hour', () => {
    const log = dischargeLog('t,V,A\n0,25.2,2\n1800,22,2\n3600,18,2', 15);
    expect(log.capacityAh).toBeCloseTo(2, 9);
    expect(log.energyWh).toBeCloseTo(0.5 * (2 * 25.2 + 2 * 22) * 0.5 + 0.5 * (2 * 22 + 2 * 18) * 0.5, 9);
    expect(log.rows).toBe(3);
  });
  // Against the integral: a current that falls in a line from 4 A to 0 in an hour is 2 Ah.
  test('100,000 lines of a falling current, semicolons and decimal commas', () => {
    const n = 100_000;
    const lines = Array.from({ length: n }, (_, i) => {
      const part = i / (n - 1);
      return `${(3600 * part).toFixed(4)};${(25 - 7 * part).toFixed(4)};${(4 * (1 - part)).toFixed(6)}`.replaceAll(
        '.',
        ',',
      );
    });
    const told: number[] = [];
    const log = dischargeLog(lines.join('\n'), 10, (p) => told.push(p));
    expect(log.capacityAh).toBeCloseTo(2, 5);
    expect(log.rows).toBe(n);
    expect(log.picture.length).toBeLessThanOrEqual(600);
    expect(told.at(-1)).toBe(1);
  });
  test('clock times, the cut-off, and a dip that the picture keeps', () => {
    expect(dischargeLog('00:00:00\t24\t3\n00:30:00\t20\t3\n01:00:00\t17.9\t3\n02:00:00\t17\t3', 18).hours).toBe(1);
    const lines = Array.from({ length: 5000 }, (_, i) => `${i},${i === 2501 ? 19 : 24},1`);
    expect(Math.min(...dischargeLog(lines.join('\n'), 10).picture.map((p) => p[1]))).toBe(19);
  });
  test('a hole in the log and a charge in the middle of it are cut out, and told', () => {
    const run = (from: number, to: number, amps: number) =>
      Array.from({ length: (to - from) / 10 + 1 }, (_, i) => `${from + 10 * i},24,${amps}`);
    // Half an hour at 2 A, an hour of nothing written, half an hour at 2 A: 2 Ah, not 4.
    const holed = dischargeLog([...run(0, 1800, 2), ...run(5400, 7200, 2)].join('\n'), 1);
    expect(holed.capacityAh).toBeCloseTo(2, 6);
    expect(holed.cut).toMatchObject({ gaps: 1, gapHours: 1 });
    // Charged for a while between: what went in is not what came out.
    const charged = dischargeLog([...run(0, 1800, 2), ...run(1810, 3600, -1), ...run(3610, 5400, 2)].join('\n'), 1);
    expect(charged.capacityAh).toBeLessThan(2.02);
    expect(charged.cut.chargedHours).toBeCloseTo(0.5, 1);
    // A logger that writes the discharge as less than nothing is understood.
    expect(dischargeLog('0,25,-2\n1800,24,-2\n3600,23,-2', 1).capacityAh).toBeCloseTo(2, 9);
  });
  test.each([
    ['', /Two lines/],
    ['0,25,2\n1,Infinity,2', /Line 2/],
    ['0,25,2\n1,1e999,2', /Line 2/],
    ['23:59:00,25,2\n00:01:00,24,2', /midnight/],
    ['0,25,2\n1,x,2', /Line 2/],
    ['0,25,2\n-5,24,2', /backwards/],
  ])('%j is refused with its line', (text, message) => {
    expect(() => dischargeLog(text, 1)).toThrow(DischargeLogError);
    expect(() => dischargeLog(text, 1)).toThrow(message);
  });
});
