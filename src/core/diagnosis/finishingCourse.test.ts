import fc from 'fast-check';
import { jointOutcomes, type AspectTable } from './aspectTables';
import { finishingCourse, type Finish, type FinishingInput, type Prover } from './finishingCourse';

const nobody: ReadonlySet<number> = new Set();

test('two rivals and a look that costs two minutes: worked by hand', () => {
  // Fault 0 is there with 0.75: looked at first (0.75 / 2 against 0.25 / 2), repaired for 4; else the other is looked at, repaired for 8.
  // 2 + 0.75 · 4 + 0.25 · (2 + 8) = 7.5 minutes.
  const course = finishingCourse({
    sets: [0, 1].map((f) => ({ faults: [f], probability: f === 0 ? 0.75 : 0.25 })),
    provers: [0, 1].map((f): Prover => ({ faults: [f], minutes: () => 2, opens: (open) => open })),
    repair: { minutes: (f) => (f === 0 ? 4 : 8), opens: (_, open) => open },
  });
  expect(course(Float64Array.of(0.75, 0.25), nobody, nobody, 0).minutes).toBeCloseTo(7.5, 12);
  // The first is proved: only its repair is owed where it is the cause, the look at the other where it is not.
  expect(course(Float64Array.of(0.75, 0.25), new Set([0]), nobody, 0).minutes).toBeCloseTo(0.75 * 4 + 0.25 * 10, 12);
  // The first is repaired already, and it was the cause.
  expect(course(Float64Array.of(1, 0), nobody, new Set([0]), 0).minutes).toBe(0);
});

test('what opens a cover leaves it open for what comes after', () => {
  const behind = (faults: number[]): Prover => ({
    faults,
    minutes: (open) => 1 + (open & 1 ? 0 : 5),
    opens: (open) => open | 1,
  });
  const course = finishingCourse({
    sets: [0, 1].map((f) => ({ faults: [f], probability: 0.5 })),
    provers: [behind([0]), behind([1])],
    repair: { minutes: () => 0, opens: (_, open) => open },
  });
  expect(course(Float64Array.of(0.5, 0.5), nobody, nobody, 0).minutes).toBeCloseTo(6 + 0.5 * 1, 12);
  expect(course(Float64Array.of(0.5, 0.5), nobody, nobody, 1).minutes).toBeCloseTo(1 + 0.5 * 1, 12);
});

/** The rule as it is told, set by set and group by group anew at every step: slow, and nothing kept. */
function asTold(
  { sets, provers, repair, groupsOf }: FinishingInput,
  weights: Float64Array,
  proved: ReadonlySet<number>,
  repaired: ReadonlySet<number>,
  openNow: number,
): Pick<Finish, 'minutes'> {
  const reached = new Set([...proved, ...repaired]);
  const paid = new Set(repaired);
  const groups = sets.map((s) => groupsOf!(s.faults));
  const askable = groups.map((all) => all.filter((g) => g.length > 0));
  const isFinished = (h: number) => askable[h]!.every((g) => g.some((f) => reached.has(f)));
  let open = openNow;
  const owed = (h: number) =>
    [...new Set(askable[h]!.flat())]
      .filter((f) => reached.has(f) && !paid.has(f))
      .reduce((sum, f) => sum + repair.minutes(f, open), 0);
  let minutes = 0;
  let left: number[] = [];
  sets.forEach((_, h) => {
    const w = weights[h]!;
    if (groups[h]!.length > 0 && askable[h]!.length === 0) minutes += w * 60;
    else if (isFinished(h)) minutes += w * owed(h);
    else left.push(h);
  });
  const weightOf = (some: number[]) => some.reduce((sum, h) => sum + weights[h]!, 0);
  for (let step = 0; step < 30 && weightOf(left) > 2e-3; step++) {
    const worth = provers.map((p) => {
      const gain = [...new Set(p.faults)]
        .filter((f) => !reached.has(f))
        .reduce((sum, f) => sum + weightOf(left.filter((h) => sets[h]!.faults.includes(f))), 0);
      return gain < 1e-5 ? 0 : gain / p.minutes(open);
    });
    const best = provers[worth.indexOf(Math.max(...worth))];
    if (!best || Math.max(...worth) <= 1e-7) return { minutes: minutes + weightOf(left) * 60 };
    minutes += weightOf(left) * best.minutes(open);
    open = best.opens(open);
    for (const f of best.faults) {
      reached.add(f);
      if (best.repairs) paid.add(f);
    }
    minutes += left.filter(isFinished).reduce((sum, h) => sum + weights[h]! * owed(h), 0);
    left = left.filter((h) => !isFinished(h));
  }
  return { minutes };
}

const FAULTS = 7;
const fault = fc.nat({ max: FAULTS - 1 });
const someFaults = (least: number, most: number) => fc.uniqueArray(fault, { minLength: least, maxLength: most });
/** Whole numbers that share no divisor with each other often: two provers are hardly ever worth exactly the same. */
const cost = fc.integer({ min: 1, max: 9973 }).map((n) => 0.5 + n / 997);

test('the minutes are those of the rule as it is told, whatever is weighed, proved, repaired and open', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(someFaults(1, 4), fc.integer({ min: 0, max: 1000 }), fc.nat({ max: 2 ** 12 - 1 })), {
        minLength: 1,
        maxLength: 12,
      }),
      fc.array(fc.tuple(someFaults(1, 3), cost, cost, fc.nat({ max: 3 })), { maxLength: 8 }),
      fc.array(cost, { minLength: FAULTS, maxLength: FAULTS }),
      someFaults(0, 2),
      someFaults(0, 2),
      fc.nat({ max: 3 }),
      (drawn, looks, repairs, proved, repaired, open) => {
        // Binary fractions add up without rounding, so that what is worth the same is so here and there.
        const sets = drawn.map(([faults, w]) => ({ faults, probability: w / 4096 }));
        // Of each set three groups of its own, cut out by the drawn bits: some of them empty, some overlapping.
        const bits = new Map(sets.map((s, h) => [s.faults, drawn[h]![2]]));
        const groupsOf = (faults: number[]) =>
          [0, 1, 2]
            .slice(0, 1 + (bits.get(faults)! % 3))
            .map((g) => faults.filter((_, i) => (bits.get(faults)! >> (g * 4 + i)) & 1));
        const input: FinishingInput = {
          sets,
          provers: looks.map(([faults, minutes, opening, path]): Prover => ({
            faults: faults.slice(0, path === 3 ? 1 : 3),
            ...(path === 3 ? { repairs: true as const } : {}),
            minutes: (now) => minutes + (path & ~now ? opening : 0),
            opens: (now) => now | path,
          })),
          repair: { minutes: (f, now) => repairs[f]! + (now & 1 ? 0 : 2), opens: (_, now) => now },
          groupsOf,
        };
        const weights = Float64Array.from(sets, (s) => s.probability);
        const course = finishingCourse(input);
        const wanted = asTold(input, weights, new Set(proved), new Set(repaired), open);
        // Asked twice: nothing of the first answer is left in the second.
        course(weights, new Set(repaired), nobody, 0);
        expect(course(weights, new Set(proved), new Set(repaired), open).minutes).toBeCloseTo(wanted.minutes, 9);
      },
    ),
    { numRuns: 2000 },
  );
});

describe('joint outcomes', () => {
  const tables = (sets: number): AspectTable[] => [
    // P(level | set), level by level.
    { finding: 4, radix: 2, p: Float64Array.from({ length: 2 * sets }, (_, i) => (i < sets ? 0.9 : 0.1)) },
    {
      finding: 9,
      radix: 3,
      p: Float64Array.from({ length: 3 * sets }, (_, i) => [0.5, 0.3, 0.2][Math.floor(i / sets)]!),
    },
  ];

  test('are all there, each as likely as its levels together, and what is left of the weights sums to one', () => {
    const found = jointOutcomes(tables(2), Float64Array.of(0.25, 0.75), 0);
    expect(found.map((o) => o.levels.map((l) => `${l.finding}:${l.level}`).join())).toEqual([
      '4:0,9:0',
      '4:1,9:0',
      '4:0,9:1',
      '4:1,9:1',
      '4:0,9:2',
      '4:1,9:2',
    ]);
    expect(found.map((o) => o.probability.toFixed(3))).toEqual(['0.450', '0.050', '0.270', '0.030', '0.180', '0.020']);
    for (const { weights } of found) {
      expect(weights[0]).toBeCloseTo(0.25, 12);
      expect(weights[1]).toBeCloseTo(0.75, 12);
    }
  });

  test('the rare ones are left out, and the weights of those kept are their own', () => {
    const p = Float64Array.of(0.99, 0.5, 0.01, 0.5);
    const kept = jointOutcomes([{ finding: 0, radix: 2, p }, ...tables(2)], Float64Array.of(0.5, 0.5), 0.06);
    expect(kept.every((o) => o.probability >= 0.06)).toBe(true);
    const [first, second] = [kept[0]!, kept.find((o) => o.levels[0]!.level === 1)!];
    expect(first.weights[0]).toBeCloseTo(0.99 / 1.49, 12);
    expect(second.weights[0]).toBeCloseTo(0.01 / 0.51, 12);
    expect(first.weights[0]! + first.weights[1]!).toBeCloseTo(1, 12);
  });
});
