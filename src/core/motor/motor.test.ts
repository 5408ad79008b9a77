import fc from 'fast-check';
import { medianAbsoluteDeviation } from 'simple-statistics';
import { seededRandom } from '../diagnosis/seededRandom';
import { brushHoursLeft } from './brushLife';
import { oddBars } from './commutatorBars';
import { missingWasher, shimStacks, type ShimWish, type Washer } from './shimStacks';
import { atTemperature, windingTemperatureC } from './winding';

describe('copper', () => {
  // IEC 60335-1 (from memory): 234.5 °C. Copper rises 0.393 % per kelvin at 20 °C (IEC 60028), which is 1/(234.5 + 20).
  test('rises as IEC 60028 has it', () => {
    expect(atTemperature(1, 20, 21) - 1).toBeCloseTo(0.00393, 5);
    expect(windingTemperatureC(1, 20, atTemperature(1, 20, 85))).toBeCloseTo(85, 9);
  });
});

/**
 * Readings between neighbouring bars of a lap winding of equal coils: each coil lies beside all the others in series.
 * For a coil that is open only the way round is left, `(n−1)·r`.
 */
function barReadings(coils: readonly number[]): number[] {
  return coils.map((r, i) => {
    const round = coils.reduce((sum, x, j) => (j === i ? sum : sum + x), 0);
    if (r === Infinity) return round;
    return round === Infinity ? r : (r * round) / (r + round);
  });
}

describe('bar to bar', () => {
  // A lap winding of equal coils, worked from its circuit: a coil beside all the others in series.
  test('an open coil reads the way round, a shorted one low', () => {
    const coils = Array<number>(16).fill(1.2);
    coils[6] = Infinity;
    const open = oddBars(barReadings(coils)).odd;
    expect(open).toHaveLength(1);
    expect(open[0]).toMatchObject({ bars: [7, 8], is: 'open' });
    coils[6] = 1.2;
    coils[15] = 0.3;
    expect(oddBars(barReadings(coils)).odd).toMatchObject([{ bars: [16, 1], is: 'short' }]);
  });

  // simple-statistics, an independent library, for the median absolute deviation.
  test('the score is that of the median absolute deviation', () => {
    const x = [1.0, 1.3, 0.8, 1.1, 0.9, 1.2, 9];
    const [first] = oddBars(x).odd;
    expect(first!.score).toBeCloseTo((0.6745 * (9 - 1.1)) / medianAbsoluteDeviation(x), 9);
  });

  test('a sound armature with a meter’s noise has none', () => {
    const random = seededRandom(8);
    for (let i = 0; i < 50; i++) {
      const x = Array.from({ length: 24 }, () => 1.2 * (1 + 0.01 * (random() - 0.5)));
      expect(oddBars(x).odd).toEqual([]);
    }
    expect(() => oddBars([1, 1])).toThrow(RangeError);
  });
});

test('a brush half worn lasts as long again', () => {
  expect(brushHoursLeft(30, 20, 10, 400)).toBe(400);
  expect(() => brushHoursLeft(30, 30, 10, 400)).toThrow(RangeError);
});

/** Every way of dealing single washers to fan, commutator or neither. */
function bruteForce(washers: Washer[], wish: ShimWish) {
  const single = washers.flatMap((w) => Array<number>(w.count).fill(w.thicknessMm));
  let best = { miss: Infinity, count: Infinity };
  for (let code = 0; code < 3 ** single.length; code++) {
    let [fan, commutator, count, rest] = [0, 0, 0, code];
    for (const t of single) {
      const where = rest % 3;
      rest = Math.floor(rest / 3);
      if (where === 1) fan += t;
      if (where === 2) commutator += t;
      if (where > 0) count++;
    }
    const float = wish.gapMm - fan - commutator;
    if (float < -1e-9) continue;
    const out = (x: number, [a, b]: [number, number]) => Math.max(0, a - x, x - b);
    const miss = out(float, wish.floatMm) + out(wish.standOffMm + fan, wish.standOffWantedMm);
    if (miss < best.miss - 1e-6 || (Math.abs(miss - best.miss) <= 1e-6 && count < best.count)) best = { miss, count };
  }
  return best;
}

describe('shims', () => {
  test('as few washers and as small a miss as any way of dealing them', () => {
    const random = seededRandom(21);
    const of = (from: number, to: number) => Math.round((from + random() * (to - from)) * 100) / 100;
    for (let i = 0; i < 40; i++) {
      const washers = [0.1, 0.2, 0.3, 0.5].map((thicknessMm) => ({ thicknessMm, count: 1 + Math.floor(random() * 2) }));
      const least = of(0.05, 0.3);
      const off = of(0.5, 1.2);
      const wish: ShimWish = {
        gapMm: of(0.3, 2),
        floatMm: [least, least + 0.05],
        standOffMm: of(0.2, 1),
        standOffWantedMm: [off, off + 0.05],
      };
      const found = shimStacks(washers, wish);
      const best = bruteForce(washers, wish);
      expect(found.missMm).toBeCloseTo(best.miss, 6);
      expect(found.washers).toBe(best.count);
      expect(found.floatMm).toBeCloseTo(wish.gapMm - [...found.fan, ...found.commutator].reduce((a, b) => a + b, 0), 9);
    }
  });

  test('the washer that is said to do it does it, and where none is named none would', () => {
    const random = seededRandom(22);
    const of = (from: number, to: number) => Math.round((from + random() * (to - from)) * 100) / 100;
    const tally = { named: 0, none: 0 };
    for (let i = 0; tally.named + tally.none < 60; i++) {
      const washers = [0.3, 0.5].map((thicknessMm) => ({ thicknessMm, count: 1 + Math.floor(random() * 2) }));
      const least = of(0.05, 0.3);
      const off = of(0.3, 1.6);
      const wish: ShimWish = {
        gapMm: of(0.4, 2.4),
        floatMm: [least, least + 0.1],
        standOffMm: of(0.2, 1.2),
        standOffWantedMm: [off, off + 0.1],
      };
      if (shimStacks(washers, wish).missMm === 0) continue;
      const missWith = (thicknessMm: number) => shimStacks([...washers, { thicknessMm, count: 1 }], wish).missMm;
      const wanted = missingWasher(washers, wish);
      if (wanted) {
        tally.named++;
        for (const mm of [wanted.leastMm, (wanted.leastMm + wanted.mostMm) / 2, wanted.mostMm])
          expect(missWith(mm)).toBeLessThan(1e-6);
      } else {
        tally.none++;
        for (let mm = 0.02; mm <= 2.4; mm += 0.02) expect(missWith(mm)).toBeGreaterThan(0);
      }
    }
    expect(tally.named).toBeGreaterThan(10);
    expect(tally.none).toBeGreaterThan(5);
  });

  test('a sixty-fourth of an inch is exactly that', () => {
    const inch = 25.4 / 64;
    const found = shimStacks([{ thicknessMm: inch, count: 8 }], {
      gapMm: 9 * inch,
      floatMm: [inch, inch],
      standOffMm: 0,
      standOffWantedMm: [3 * inch, 3 * inch],
    });
    expect(found.missMm).toBe(0);
    expect(found.fan).toHaveLength(3);
    expect(found.commutator).toHaveLength(5);
  });

  test('never more washers of a sort than there are', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 5, max: 30 }), (count, gap) => {
        const found = shimStacks([{ thicknessMm: 0.2, count }], {
          gapMm: gap / 10,
          floatMm: [0, 0.05],
          standOffMm: 0,
          standOffWantedMm: [0.2, 0.4],
        });
        expect(found.washers).toBeLessThanOrEqual(count);
      }),
      { seed: 5 },
    );
    expect(() => shimStacks([{ thicknessMm: 0.1, count: 41 }], {} as ShimWish)).toThrow(RangeError);
    // A drawer full of thicknesses has millions of stacks: refused at once, not tried until the memory is full.
    const drawer = Array.from({ length: 12 }, (_, i) => ({ thicknessMm: 0.05 + 0.013 * i, count: 3 }));
    const wish: ShimWish = { gapMm: 12, floatMm: [0.1, 0.2], standOffMm: 0, standOffWantedMm: [3, 3.1] };
    expect(() => shimStacks(drawer, wish)).toThrow(/leave some thicknesses out/);
  });
});
