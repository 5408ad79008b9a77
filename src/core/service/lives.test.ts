import fc from 'fast-check';
import { seededRandom } from '../diagnosis/seededRandom';
import { meanCumulative } from './meanCumulative';
import { replacementAge } from './replacementAge';
import { fitWeibull, lifeOf, type SeenLife } from './weibullFit';

const failed = (...times: number[]): SeenLife[] => times.map((t) => ({ from: t, to: t }));
const whole = (...times: number[]): SeenLife[] => times.map((t) => ({ from: t, to: Infinity }));

describe('lives by maximum likelihood', () => {
  test('ten failures and ten units unfailed at 500 h: NIST/SEMATECH e-Handbook of Statistical Methods, 8.4.1.3', () => {
    const fit = fitWeibull([
      ...failed(54, 187, 216, 240, 244, 335, 361, 373, 375, 386),
      ...whole(...Array.from({ length: 10 }, () => 500)),
    ])!;
    expect(fit.shape).toBeCloseTo(1.7208, 3);
    expect(fit.scale).toBeCloseTo(606.53, 1);
    expect([fit.failures, fit.stillWhole]).toEqual([10, 10]);
  });

  test('twenty-three ball bearings: J. Lieblein, M. Zelen 1956; 2.10 and 81.9 million turns as books have them (from memory)', () => {
    const fit = fitWeibull(
      failed(
        17.88,
        28.92,
        33.0,
        41.52,
        42.12,
        45.6,
        48.48,
        51.84,
        51.96,
        54.12,
        55.56,
        67.8,
        68.64,
        68.64,
        68.88,
        84.12,
        93.12,
        98.64,
        105.12,
        105.84,
        127.92,
        128.04,
        173.4,
      ),
    )!;
    expect(fit.shape).toBeCloseTo(2.1, 1);
    expect(fit.scale).toBeCloseTo(81.9, 0);
  });

  test('shock absorbers, eleven failures of 38: P. O’Connor 1985; σ 0.316 and μ 10.23 in Meeker & Escobar 1998 (from memory)', () => {
    const fit = fitWeibull([
      ...failed(6700, 9120, 12200, 13150, 14300, 17520, 20100, 20900, 22700, 26510, 27490),
      ...whole(
        6950,
        7820,
        8790,
        9660,
        9820,
        11310,
        11690,
        11850,
        11880,
        12140,
        12870,
        13330,
        13470,
        14040,
        17540,
        17890,
        18450,
        18960,
        18980,
        19410,
        20100,
        20150,
        20320,
        23490,
        27410,
        27890,
        28100,
      ),
    ])!;
    expect(fit.failures + fit.stillWhole).toBe(38);
    expect(1 / fit.shape).toBeCloseTo(0.316, 2);
    expect(Math.log(fit.scale)).toBeCloseTo(10.23, 2);
  });

  test('at its summit both slopes of the likelihood are nought: the equations of the textbook', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 500, noNaN: true }), { minLength: 4, maxLength: 20 }),
        fc.array(fc.double({ min: 1, max: 500, noNaN: true }), { maxLength: 20 }),
        (failures, alive) => {
          fc.pre(Math.max(...failures) > 1.3 * Math.min(...failures));
          const fit = fitWeibull([...failed(...failures), ...whole(...alive)])!;
          fc.pre(fit.shape < 30);
          const all = [...failures, ...alive];
          const power = all.reduce((sum, t) => sum + t ** fit.shape, 0);
          const logs = all.reduce((sum, t) => sum + t ** fit.shape * Math.log(t), 0);
          const meanLog = failures.reduce((sum, t) => sum + Math.log(t), 0) / failures.length;
          expect(fit.scale ** fit.shape / (power / failures.length)).toBeCloseTo(1, 3);
          expect(logs / power - 1 / fit.shape - meanLog).toBeCloseTo(0, 3);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('what failed between two looks counts between them: narrow looks tell what exact times tell', () => {
    const times = [54, 187, 216, 240, 244, 335, 361, 373, 375, 386];
    const exact = fitWeibull(failed(...times))!;
    const narrow = fitWeibull(times.map((t) => ({ from: t - 0.5, to: t + 0.5 })))!;
    expect(narrow.shape / exact.shape).toBeCloseTo(1, 2);
    expect(narrow.scale / exact.scale).toBeCloseTo(1, 2);
    const wide = fitWeibull(times.map((t) => ({ from: 100 * Math.floor(t / 100), to: 100 * Math.ceil(t / 100) })))!;
    expect(wide.scaleRange[0]).toBeLessThan(exact.scale);
    expect(wide.scaleRange[1]).toBeGreaterThan(exact.scale);
  });

  test('the ranges hold the truth as often as they say: 95 % of 120 drawn fleets', () => {
    const random = seededRandom(5);
    let inside = 0;
    for (let n = 0; n < 120; n++) {
      const seen = Array.from({ length: 18 }, (): SeenLife => {
        const t = 1000 * (-Math.log(1 - random())) ** (1 / 2);
        return t < 1100 ? { from: t, to: t } : { from: 1100, to: Infinity };
      });
      const fit = fitWeibull(seen)!;
      if (fit.shapeRange[0] <= 2 && fit.shapeRange[1] >= 2 && fit.scaleRange[0] <= 1000 && fit.scaleRange[1] >= 1000)
        inside++;
    }
    // Both at once: between the square of 95 % and 95 %, with the scatter of 120 draws.
    expect(inside / 120).toBeGreaterThan(0.82);
    expect(inside / 120).toBeLessThan(1);
  });

  test('one failure, or all at one moment, tells nothing; a time that runs backwards is refused', () => {
    expect(fitWeibull([...failed(100), ...whole(200, 300)])).toBeNull();
    expect(fitWeibull(failed(100, 100, 100))).toBeNull();
    expect(() => fitWeibull([{ from: 5, to: 3 }])).toThrow(RangeError);
    expect(lifeOf({ shape: 2, scale: 730.5 }, 365.25)).toEqual({ shape: 2, scaleYears: 2 });
  });
});

describe('the age of replacement', () => {
  test('shape 2.5, scale 1000, planned 40, failure 160: 554.9, 0.12402, 0.18033 (computed independently)', () => {
    const plan = replacementAge({ shape: 2.5, scale: 1000 }, { planned: 40, failure: 160 });
    expect(plan.age).toBeCloseTo(554.9, 0);
    expect(plan.costRate).toBeCloseTo(0.12402, 5);
    expect(plan.runToFailureRate).toBeCloseTo(0.18033, 5);
  });

  test('what does not wear out, or fails no dearer, is left until it fails', () => {
    expect(replacementAge({ shape: 1, scale: 10 }, { planned: 1, failure: 50 }).age).toBe(Infinity);
    expect(replacementAge({ shape: 4, scale: 10 }, { planned: 5, failure: 5 }).age).toBe(Infinity);
    expect(() => replacementAge({ shape: 2, scale: 1 }, { planned: 0, failure: 1 })).toThrow(RangeError);
  });

  test('the dearer a failure, the earlier it pays', () => {
    const age = (failure: number) => replacementAge({ shape: 3, scale: 100 }, { planned: 10, failure }).age;
    expect(age(200)).toBeLessThan(age(50));
    expect(age(50)).toBeLessThan(age(20));
  });
});

describe('failures of a fleet by age', () => {
  test('worked by hand: three machines, one watched for a shorter time', () => {
    const points = meanCumulative([
      { failures: [2, 6], until: 10 },
      { failures: [4], until: 5 },
      { failures: [], until: 10 },
    ]);
    // At 2 and 4 one of three; at 6 one of the two that are still watched.
    expect(points.map((p) => [p.age, Math.round(1000 * p.failures) / 1000])).toEqual([
      [2, 0.333],
      [4, 0.667],
      [6, 1.167],
    ]);
    for (const p of points) expect(p.error).toBeGreaterThan(0);
  });

  test('all watched to the end: it is the count over the machines', () => {
    const fleet = [1, 2, 3].map((n) => ({ failures: Array.from({ length: n }, (_, i) => i + 1), until: 9 }));
    expect(meanCumulative(fleet).at(-1)!.failures).toBeCloseTo(2, 9);
    expect(() => meanCumulative([{ failures: [5], until: 3 }])).toThrow(RangeError);
  });
});
