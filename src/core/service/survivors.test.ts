import fc from 'fast-check';
import { failedOf, shareRange, survivors, type Watched } from './survivors';
import { countedAlike, fitWeibull, lifeBand, type SeenLife } from './weibullFit';

const lives = (failed: number[], whole: number[]): Watched[] => [
  ...failed.map((time) => ({ time, cause: 'it' })),
  ...whole.map((time) => ({ time, cause: null })),
];

// E. Freireich and others, Blood 21, 1963: weeks of remission under 6-mercaptopurine, as in most textbooks of survival; its
// product-limit estimate is tabled there (Kalbfleisch and Prentice, The Statistical Analysis of Failure Time Data, 1980). From memory.
test('the share still whole: the remissions of 1963', () => {
  const steps = survivors(lives([6, 6, 6, 7, 10, 13, 16, 22, 23], [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35]));
  expect(steps.map((s) => [s.time, s.atRisk])).toEqual([
    [6, 21],
    [7, 17],
    [10, 15],
    [13, 12],
    [16, 11],
    [22, 7],
    [23, 6],
  ]);
  const tabled = [0.857, 0.807, 0.753, 0.69, 0.627, 0.538, 0.448];
  steps.forEach((s, i) => expect(s.whole).toBeCloseTo(tabled[i]!, 3));
  expect(steps[0]!.error).toBeCloseTo(0.0764, 4);
  expect(steps.at(-1)!.error).toBeCloseTo(0.1346, 4);
});

const anyLives = fc.array(
  fc.record({ time: fc.integer({ min: 1, max: 40 }), cause: fc.constantFrom(null, 'a', 'b', 'c') }),
  { minLength: 1, maxLength: 60 },
);

test('what failed of each cause, and what is whole, are one; one cause alone is the curve turned over', () => {
  fc.assert(
    fc.property(anyLives, fc.integer({ min: 1, max: 45 }), (watched, by) => {
      const whole =
        survivors(watched)
          .filter((s) => s.time <= by)
          .at(-1)?.whole ?? 1;
      const shares = failedOf(watched, by);
      expect([...shares.values()].reduce((sum, x) => sum + x, 0) + whole).toBeCloseTo(1, 12);
      const alone = watched.map((w) => ({ ...w, cause: w.cause === null ? null : 'it' }));
      expect((failedOf(alone, by).get('it') ?? 0) + whole).toBeCloseTo(1, 12);
    }),
  );
});

// Two causes of which one comes always first: the other is never seen, and counted with none.
test('a cause that is kept from being seen has no share', () => {
  const shares = failedOf(
    [
      { time: 1, cause: 'a' },
      { time: 1, cause: 'a' },
      { time: 2, cause: null },
    ],
    5,
  );
  expect([shares.get('a'), shares.get('b')]).toEqual([expect.closeTo(2 / 3, 12), undefined]);
});

// L. Brown, T. Cai, A. DasGupta, Statistical Science 16, 2001, on this interval; the closed form at nought is z²/(n + z²).
test('how sure a share is', () => {
  expect(shareRange(0, 10)[0]).toBe(0);
  expect(shareRange(0, 10)[1]).toBeCloseTo(3.841459 / 13.841459, 5);
  expect(shareRange(5, 10)).toEqual([expect.closeTo(0.2366, 4), expect.closeTo(0.7634, 4)]);
  expect(() => shareRange(1, 0)).toThrow(RangeError);
  expect(() => shareRange(3, 2)).toThrow(RangeError);
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), fc.nat(500), (of, k) => {
      const often = Math.min(k, of);
      const [low, high] = shareRange(often, of);
      const slack = 1e-9;
      expect(low <= often / of + slack && often / of <= high + slack && low >= 0 && high <= 1).toBe(true);
    }),
  );
});

describe('many alike', () => {
  const seen: SeenLife[] = [54, 187, 187, 216, 240, 240, 240, 335].map((t) => ({ from: t, to: t }));
  const all = [...seen, ...Array.from({ length: 10 }, () => ({ from: 500, to: Infinity }))];

  test('counted once they fit as they do one by one', () => {
    const [one, counted] = [fitWeibull(all)!, fitWeibull(countedAlike(all))!];
    expect(countedAlike(all)).toHaveLength(6);
    expect([counted.failures, counted.stillWhole]).toEqual([8, 10]);
    expect(counted.shape).toBeCloseTo(one.shape, 6);
    expect(counted.scale).toBeCloseTo(one.scale, 3);
    expect(counted.logLikelihood).toBeCloseTo(one.logLikelihood, 9);
  });

  test('the band holds the curve, is nought wide at the start, and narrows with more of them', () => {
    const fit = fitWeibull(all)!;
    const ages = [0, 100, 300, 600];
    const band = lifeBand(all, fit, ages);
    for (const b of band) expect(b.low <= b.whole && b.whole <= b.high).toBe(true);
    expect([band[0]!.low, band[0]!.high]).toEqual([1, 1]);
    const many = countedAlike(all.flatMap((s) => Array.from({ length: 10 }, () => s)));
    const narrow = lifeBand(many, fitWeibull(many)!, ages);
    for (const i of [1, 2, 3])
      expect(narrow[i]!.high - narrow[i]!.low).toBeLessThan(0.5 * (band[i]!.high - band[i]!.low));
  });

  // The band is of the likelihood: where the shape is known to be one, its edge at an age is that of the scale’s own range.
  test('of the truth it misses about one in twenty', () => {
    let seed = 11;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    let inside = 0;
    const RUNS = 40;
    for (let n = 0; n < RUNS; n++) {
      const drawn = Array.from({ length: 30 }, () => {
        const t = Math.round(1000 * (-Math.log(random())) ** (1 / 2)) + 1;
        return t > 900 ? { from: 900, to: Infinity } : { from: t, to: t };
      });
      const fit = fitWeibull(drawn)!;
      const [at] = lifeBand(drawn, fit, [600]);
      const truth = Math.exp(-(0.6 ** 2));
      if (at!.low <= truth && truth <= at!.high) inside++;
    }
    expect(inside / RUNS).toBeGreaterThan(0.85);
  });
});
